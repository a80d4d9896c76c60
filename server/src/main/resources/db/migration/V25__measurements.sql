-- An amount a student reached with a check, the longest tone in seconds for example; never changed, taken back by hand.
create table measurement (
    program_id uuid not null,
    -- Made by the client, so that sending it twice keeps it once.
    id uuid not null,
    student_id uuid not null,
    milestone_id uuid not null,
    instrument text not null,
    value numeric(5, 1) not null,
    measured_on date not null,
    measured_by uuid not null,
    measured_at timestamptz not null default clock_timestamp(),
    constraint measurement_pk primary key (program_id, id),
    constraint measurement_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint measurement_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint measurement_account_fk foreign key (program_id, measured_by) references account (program_id, id),
    constraint measurement_value check (value > 0 and value <= 600)
);
create index measurement_by_student on measurement (program_id, student_id, measured_at);
create index measurement_by_milestone on measurement (program_id, milestone_id);
