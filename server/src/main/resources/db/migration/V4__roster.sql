create table school_class (
    program_id uuid not null,
    id uuid not null,
    name text not null check (name <> ''),
    campus text not null default '',
    shape text not null,
    -- The rotation letter on which it meets; null meets on every school day.
    rotation text,
    period smallint not null check (period between 0 and 12),
    starts_at time not null,
    minutes smallint not null check (minutes between 5 and 240),
    constraint school_class_pk primary key (program_id, id),
    constraint school_class_program_fk foreign key (program_id) references program (id),
    constraint school_class_shape_known check (shape in ('LIKE_INSTRUMENT', 'MIXED_BEGINNERS', 'FULL_ENSEMBLE'))
);
create unique index school_class_name_unique on school_class (program_id, lower(name));

create table student (
    program_id uuid not null,
    id uuid not null,
    name text not null check (name <> ''),
    sort_name text not null check (sort_name <> ''),
    student_number text check (student_number <> ''),
    created_at timestamptz not null default now(),
    constraint student_pk primary key (program_id, id),
    constraint student_program_fk foreign key (program_id) references program (id),
    constraint student_number_unique unique (program_id, student_number)
);

create table seat (
    program_id uuid not null,
    id uuid not null,
    student_id uuid not null,
    class_id uuid not null,
    instrument text not null,
    division text not null default '',
    starts_on date not null,
    ends_on date,
    constraint seat_pk primary key (program_id, id),
    constraint seat_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint seat_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint seat_days check (ends_on >= starts_on)
);
-- A student sits in one division of a class at a time.
create unique index seat_held_once on seat (program_id, student_id, class_id) where ends_on is null;
create index seat_by_class on seat (program_id, class_id);
create index seat_by_instrument on seat (program_id, instrument);
create index seat_by_student on seat (program_id, student_id);

create table roster_import (
    program_id uuid not null,
    id uuid not null,
    file_name text not null,
    imported_by uuid not null,
    imported_at timestamptz not null default now(),
    rows_taken integer not null,
    rows_unchanged integer not null,
    rows_refused integer not null,
    constraint roster_import_pk primary key (program_id, id),
    constraint roster_import_account_fk foreign key (program_id, imported_by) references account (program_id, id)
);
