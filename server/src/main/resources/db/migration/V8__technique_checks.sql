-- What a technique check says beside its criteria. Editing adds a version; what students passed keeps the one it was heard with.
create table technique_check (
    program_id uuid not null,
    milestone_id uuid not null,
    -- The starter check it was taken from; null for a director's own.
    starter_key text,
    constraint technique_check_pk primary key (program_id, milestone_id),
    constraint technique_check_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint technique_check_starter_unique unique (program_id, starter_key)
);

create table technique_check_version (
    program_id uuid not null,
    milestone_id uuid not null,
    version integer not null check (version >= 1),
    -- Topic, steps, wordings by school, syllables, self-test, faults with remedies, cautions, variants.
    content jsonb not null,
    written_by uuid not null,
    written_at timestamptz not null default now(),
    constraint technique_check_version_pk primary key (program_id, milestone_id, version),
    constraint technique_check_version_check_fk foreign key (program_id, milestone_id)
        references technique_check (program_id, milestone_id),
    constraint technique_check_version_account_fk foreign key (program_id, written_by) references account (program_id, id)
);

-- Where practitioners disagree: the programme's choice; a question without a row keeps its default.
create table school_choice (
    program_id uuid not null,
    question text not null check (question <> ''),
    choice text not null check (choice <> ''),
    chosen_by uuid not null,
    chosen_at timestamptz not null default now(),
    constraint school_choice_pk primary key (program_id, question),
    constraint school_choice_program_fk foreign key (program_id) references program (id),
    constraint school_choice_account_fk foreign key (program_id, chosen_by) references account (program_id, id)
);
