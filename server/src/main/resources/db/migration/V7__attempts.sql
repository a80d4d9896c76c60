-- One try by one student. Rows are only ever added: what was wrong is corrected by a later row that says why.
create table attempt (
    program_id uuid not null,
    -- Made by the client, so that sending an attempt twice records it once.
    id uuid not null,
    student_id uuid not null,
    milestone_id uuid not null,
    milestone_version integer not null,
    instrument text not null,
    class_id uuid not null,
    heard_by uuid not null,
    heard_on date not null,
    heard_at timestamptz not null,
    recorded_at timestamptz not null default clock_timestamp(),
    evidence text not null,
    outcome text not null,
    -- Points by criterion, in two columns of equal length.
    mark_ordinals smallint[] not null default '{}',
    mark_points smallint[] not null default '{}',
    waived boolean not null default false,
    reason text not null default '',
    note text not null default '',
    corrects_id uuid,
    constraint attempt_pk primary key (program_id, id),
    constraint attempt_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint attempt_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint attempt_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint attempt_account_fk foreign key (program_id, heard_by) references account (program_id, id),
    constraint attempt_corrects_fk foreign key (program_id, corrects_id) references attempt (program_id, id),
    constraint attempt_evidence_known check (
        evidence in ('LIVE_ALONE', 'LIVE_WITH_SECTION', 'PARTNER_CHECK', 'RECORDING', 'SUBSTITUTE')),
    constraint attempt_outcome_known check (outcome in ('PASS', 'NOT_YET', 'EXCUSED', 'ABSENT', 'UNDONE')),
    constraint attempt_marks_paired check (cardinality(mark_ordinals) = cardinality(mark_points)),
    constraint attempt_waives_excuses check (not waived or outcome = 'EXCUSED'),
    constraint attempt_undo_corrects check (outcome <> 'UNDONE' or corrects_id is not null),
    constraint attempt_says_why check (reason <> '' or (outcome <> 'EXCUSED' and corrects_id is null))
);
create index attempt_by_student_and_milestone on attempt (program_id, student_id, milestone_id);
create index attempt_by_class_and_day on attempt (program_id, class_id, heard_on);
-- An attempt is corrected once; who wants to change it again corrects the correction.
create unique index attempt_corrected_once on attempt (program_id, corrects_id) where corrects_id is not null;

create function attempt_is_append_only() returns trigger language plpgsql as $$
begin
    raise exception 'attempts are never changed or deleted; record a correction instead'
        using errcode = 'restrict_violation';
end
$$;
create trigger attempt_no_change before update or delete on attempt
    for each row execute function attempt_is_append_only();
create trigger attempt_no_truncate before truncate on attempt
    for each statement execute function attempt_is_append_only();
