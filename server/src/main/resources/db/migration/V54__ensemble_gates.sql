-- What admits to an ensemble; where nothing is said, the last belt.
create table ensemble_gate (
    program_id uuid not null,
    class_id uuid not null,
    kind text not null check (kind in ('LAST_BELT', 'BELT_OF_RANK', 'OWN_LIST')),
    rank smallint not null default 0,
    milestone_ids uuid[] not null default '{}',
    constraint ensemble_gate_pk primary key (program_id, class_id),
    constraint ensemble_gate_class_fk foreign key (program_id, class_id) references school_class (program_id, id)
);
