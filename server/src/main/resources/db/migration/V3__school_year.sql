create table school_year (
    program_id uuid not null,
    id uuid not null,
    name text not null check (name <> ''),
    first_day date not null,
    last_day date not null,
    -- Letters in turn over school days, for example {A,B}; empty where every class meets every day.
    rotation text[] not null default '{}',
    constraint school_year_pk primary key (program_id, id),
    constraint school_year_program_fk foreign key (program_id) references program (id),
    constraint school_year_days check (last_day > first_day)
);

create table calendar_entry (
    program_id uuid not null,
    id uuid not null,
    school_year_id uuid not null,
    kind text not null,
    name text not null check (name <> ''),
    first_day date not null,
    last_day date not null,
    constraint calendar_entry_pk primary key (program_id, id),
    constraint calendar_entry_school_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id),
    constraint calendar_entry_kind_known check (kind in ('BREAK', 'LOST_DAY', 'TESTING', 'CONCERT', 'FESTIVAL')),
    constraint calendar_entry_days check (last_day >= first_day)
);
create index calendar_entry_by_year on calendar_entry (program_id, school_year_id, first_day);
