-- What a student said hurts, as it was said. It is kept for staff, followed up, and never judged by the tool.
create table pain_report (
    program_id uuid not null,
    -- Made by the client, so that sending a report twice keeps it once.
    id uuid not null,
    student_id uuid not null,
    class_id uuid not null,
    instrument text not null,
    place text not null check (place <> ''),
    since text not null default '',
    reported_on date not null,
    reported_by uuid not null,
    reported_at timestamptz not null default now(),
    constraint pain_report_pk primary key (program_id, id),
    constraint pain_report_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint pain_report_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint pain_report_account_fk foreign key (program_id, reported_by) references account (program_id, id)
);
create index pain_report_by_student on pain_report (program_id, student_id);

create table pain_follow_up (
    program_id uuid not null,
    report_id uuid not null,
    note text not null check (note <> ''),
    followed_up_by uuid not null,
    followed_up_at timestamptz not null default now(),
    constraint pain_follow_up_pk primary key (program_id, report_id),
    constraint pain_follow_up_report_fk foreign key (program_id, report_id) references pain_report (program_id, id),
    constraint pain_follow_up_account_fk foreign key (program_id, followed_up_by) references account (program_id, id)
);
