-- What was seen when a passed check was looked at again while the others played; never a try, so that no standing reads it.
-- Rows are only ever added: of one day the last one counts.
create table habit_look (
    program_id uuid not null,
    -- Made by the client, so that sending it twice keeps it once.
    id uuid not null,
    student_id uuid not null,
    milestone_id uuid not null,
    instrument text not null,
    class_id uuid not null,
    looked_on date not null,
    finding text not null,
    looked_by uuid not null,
    looked_at timestamptz not null default clock_timestamp(),
    constraint habit_look_pk primary key (program_id, id),
    constraint habit_look_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint habit_look_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint habit_look_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint habit_look_account_fk foreign key (program_id, looked_by) references account (program_id, id),
    constraint habit_look_finding_known check (finding in ('STILL_THERE', 'SLIPPING', 'LOST', 'TAKEN_BACK'))
);
create index habit_look_by_student on habit_look (program_id, student_id);
