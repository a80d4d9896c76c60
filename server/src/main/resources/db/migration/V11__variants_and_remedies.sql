-- Another way of a check that one student was given.
create table student_variant (
    program_id uuid not null,
    -- Made by the client, so that sending it twice keeps it once.
    id uuid not null,
    student_id uuid not null,
    milestone_id uuid not null,
    instrument text not null,
    name text not null check (name <> ''),
    note text not null default '',
    -- Schools this student follows instead of the programme's, by question.
    choices jsonb not null default '{}',
    given_on date not null,
    review_on date not null,
    given_by uuid not null,
    given_at timestamptz not null default now(),
    constraint student_variant_pk primary key (program_id, id),
    constraint student_variant_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint student_variant_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint student_variant_account_fk foreign key (program_id, given_by) references account (program_id, id),
    constraint student_variant_days check (review_on > given_on)
);
create index student_variant_by_student on student_variant (program_id, student_id);
create index student_variant_by_milestone on student_variant (program_id, milestone_id);

-- Every look at a variant: kept until another day, or withdrawn.
create table variant_review (
    program_id uuid not null,
    id uuid not null,
    variant_id uuid not null,
    reviewed_on date not null,
    -- The next look; null when the variant was withdrawn.
    review_on date,
    note text not null default '',
    reviewed_by uuid not null,
    reviewed_at timestamptz not null default clock_timestamp(),
    constraint variant_review_pk primary key (program_id, id),
    constraint variant_review_variant_fk foreign key (program_id, variant_id) references student_variant (program_id, id),
    constraint variant_review_account_fk foreign key (program_id, reviewed_by) references account (program_id, id),
    constraint variant_review_days check (review_on > reviewed_on)
);
create index variant_review_by_variant on variant_review (program_id, variant_id, reviewed_at);

-- What helped a student against a fault of a check.
create table remedy_helped (
    program_id uuid not null,
    id uuid not null,
    student_id uuid not null,
    milestone_id uuid not null,
    instrument text not null,
    sign text not null check (sign <> ''),
    remedy text not null check (remedy <> ''),
    helped_on date not null,
    noted_by uuid not null,
    noted_at timestamptz not null default now(),
    constraint remedy_helped_pk primary key (program_id, id),
    constraint remedy_helped_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint remedy_helped_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint remedy_helped_account_fk foreign key (program_id, noted_by) references account (program_id, id),
    constraint remedy_helped_once_a_day unique (program_id, student_id, milestone_id, sign, remedy, helped_on)
);
create index remedy_helped_by_milestone on remedy_helped (program_id, milestone_id);
