-- Whether a section goes on from a milestone: what was advised, and what the director decided. Rows are only ever added; the
-- last one counts.
create table section_decision (
    program_id uuid not null,
    -- Made by the client, so that sending it twice keeps it once.
    id uuid not null,
    class_id uuid not null,
    -- Null for the whole class.
    instrument text,
    milestone_id uuid not null,
    decided_on date not null,
    advised text not null,
    decided text not null,
    decided_by uuid not null,
    decided_at timestamptz not null default clock_timestamp(),
    constraint section_decision_pk primary key (program_id, id),
    constraint section_decision_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint section_decision_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint section_decision_account_fk foreign key (program_id, decided_by) references account (program_id, id),
    constraint section_decision_advised_known check (
        advised in ('GO_ON', 'HEAR_THE_REST', 'GO_ON_WITH_CATCH_UP', 'STAY', 'NOBODY_HEARD')),
    constraint section_decision_decided_known check (decided in ('GO_ON', 'GO_ON_WITH_CATCH_UP', 'STAY'))
);
create index section_decision_by_class on section_decision (program_id, class_id, milestone_id, decided_at);
