-- How a programme makes grades of milestones, and the stretches of the year it grades together.
create table grade_scheme (
    program_id uuid not null,
    -- Weights by kind, what is not yet passed or never heard, the school's scale, tests in two classes.
    content jsonb not null,
    edited_by uuid not null,
    edited_at timestamptz not null default now(),
    constraint grade_scheme_pk primary key (program_id),
    constraint grade_scheme_program_fk foreign key (program_id) references program (id),
    constraint grade_scheme_account_fk foreign key (program_id, edited_by) references account (program_id, id)
);

create table marking_period (
    program_id uuid not null,
    id uuid not null,
    name text not null check (name <> ''),
    first_on date not null,
    last_on date not null,
    constraint marking_period_pk primary key (program_id, id),
    constraint marking_period_program_fk foreign key (program_id) references program (id),
    constraint marking_period_name_length check (length(name) <= 40),
    constraint marking_period_days_in_order check (last_on >= first_on)
);
