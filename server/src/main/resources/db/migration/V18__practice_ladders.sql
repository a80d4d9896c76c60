-- A practice ladder as the director put it, kept with the line for one instrument. Measures and notes by index from 0.
create table practice_ladder (
    program_id uuid not null,
    line_id uuid not null,
    instrument text not null,
    minutes numeric(5, 2) not null check (minutes > 0 and minutes <= 120),
    habit text not null,
    kept_by uuid not null,
    kept_at timestamptz not null default now(),
    constraint practice_ladder_pk primary key (program_id, line_id, instrument),
    constraint practice_ladder_line_fk foreign key (program_id, line_id) references line (program_id, milestone_id),
    constraint practice_ladder_account_fk foreign key (program_id, kept_by) references account (program_id, id),
    constraint practice_ladder_habit_known check (habit in ('SPOTS_FIRST', 'WHOLE_SPOT_WHOLE', 'STRAIGHT_THROUGH'))
);

create table practice_ladder_step (
    program_id uuid not null,
    line_id uuid not null,
    instrument text not null,
    ordinal smallint not null check (ordinal between 1 and 60),
    kind text not null,
    from_measure smallint not null check (from_measure >= 0),
    to_measure smallint not null,
    tempo_bpm smallint not null check (tempo_bpm between 20 and 400),
    repetitions smallint not null check (repetitions between 1 and 20),
    group_from smallint[] not null default '{}',
    group_to smallint[] not null default '{}',
    note text not null default '' check (length(note) <= 200),
    constraint practice_ladder_step_pk primary key (program_id, line_id, instrument, ordinal),
    constraint practice_ladder_step_ladder_fk foreign key (program_id, line_id, instrument)
        references practice_ladder (program_id, line_id, instrument) on delete cascade,
    constraint practice_ladder_step_measures check (to_measure >= from_measure),
    constraint practice_ladder_step_kind_known
        check (kind in ('LOOK', 'GROUPS', 'ISOLATE', 'RECALL', 'JOIN', 'WHOLE_SLOW', 'WHOLE'))
);
