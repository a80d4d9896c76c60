-- What was measured of a student for an instrument that fits, what came of it, and when to look again.
create table student_fit (
    program_id uuid not null,
    -- Made by the client, so that sending it twice keeps it once.
    id uuid not null,
    student_id uuid not null,
    kind text not null,
    -- Measures by name: centimetres, weeks, or 1 for standing.
    measures jsonb not null,
    result text not null check (result <> ''),
    -- Body tests that the student passed, of those that belong to this kind.
    confirmed text[] not null,
    note text not null default '',
    measured_on date not null,
    review_on date not null,
    measured_by uuid not null,
    measured_at timestamptz not null default clock_timestamp(),
    constraint student_fit_pk primary key (program_id, id),
    constraint student_fit_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint student_fit_account_fk foreign key (program_id, measured_by) references account (program_id, id),
    constraint student_fit_kind_known check (
        kind in ('CHAIR', 'CELLO_ENDPIN', 'BASS_ENDPIN', 'VIOLIN_SIZE', 'VIOLA_SIZE', 'BASSOON_STRAP')),
    constraint student_fit_days check (review_on > measured_on)
);
create index student_fit_by_student on student_fit (program_id, student_id, measured_at);
