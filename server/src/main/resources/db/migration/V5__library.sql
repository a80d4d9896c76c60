-- Anything that can be passed. The version grows when criteria or pass rule are edited.
create table milestone (
    program_id uuid not null,
    id uuid not null,
    kind text not null,
    short_name text not null check (short_name <> ''),
    title text not null check (title <> ''),
    instrument_free boolean not null default false,
    -- Codes of the instruments it is meant for; empty means any.
    applies_to text[] not null default '{}',
    version integer not null default 1 check (version >= 1),
    pass_rule text not null,
    pass_k smallint,
    pass_n smallint,
    pass_mark smallint,
    shelf_order integer not null default 0,
    retired_at timestamptz,
    constraint milestone_pk primary key (program_id, id),
    constraint milestone_program_fk foreign key (program_id) references program (id),
    constraint milestone_kind_known check (kind in ('LINE', 'TECHNIQUE_CHECK', 'PLAYING_TEST', 'BELT')),
    constraint milestone_pass_rule_known check (
        pass_rule in ('ONE_GOOD_TRY', 'K_OF_LAST_N', 'ALL_CRITERIA', 'SCORE_AT_LEAST', 'ALL_SLOTS')),
    constraint milestone_pass_numbers check (
        (pass_rule = 'K_OF_LAST_N') = (pass_k is not null and pass_n is not null)
        and (pass_rule = 'SCORE_AT_LEAST') = (pass_mark is not null))
);
create index milestone_by_kind on milestone (program_id, kind, shelf_order);

create table criterion (
    program_id uuid not null,
    milestone_id uuid not null,
    version integer not null,
    ordinal smallint not null check (ordinal >= 1),
    name text not null check (name <> ''),
    top_points smallint not null check (top_points between 1 and 9),
    floor_points smallint check (floor_points between 0 and top_points),
    constraint criterion_pk primary key (program_id, milestone_id, version, ordinal),
    constraint criterion_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id)
);

create table book (
    program_id uuid not null,
    id uuid not null,
    title text not null check (title <> ''),
    volume text not null default '',
    constraint book_pk primary key (program_id, id),
    constraint book_program_fk foreign key (program_id) references program (id),
    constraint book_title_unique unique (program_id, title, volume)
);

create table line (
    program_id uuid not null,
    milestone_id uuid not null,
    book_id uuid not null,
    page smallint not null check (page >= 1),
    number smallint not null check (number >= 1),
    concert_fifths smallint not null check (concert_fifths between -7 and 7),
    mode text not null check (mode in ('MAJOR', 'MINOR')),
    meter_count smallint not null,
    meter_unit smallint not null,
    tempo_bpm smallint not null check (tempo_bpm between 20 and 400),
    measures smallint not null check (measures between 1 and 2000),
    played_measures smallint not null check (played_measures between 1 and 20000),
    constraint line_pk primary key (program_id, milestone_id),
    constraint line_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint line_book_fk foreign key (program_id, book_id) references book (program_id, id),
    constraint line_number_unique unique (program_id, book_id, number)
);

create table playing_test (
    program_id uuid not null,
    milestone_id uuid not null,
    line_id uuid,
    conditions text not null default '',
    constraint playing_test_pk primary key (program_id, milestone_id),
    constraint playing_test_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint playing_test_line_fk foreign key (program_id, line_id) references line (program_id, milestone_id)
);

create table belt (
    program_id uuid not null,
    milestone_id uuid not null,
    ladder text not null check (ladder <> ''),
    rank smallint not null check (rank >= 1),
    color text not null check (color ~ '^#[0-9A-F]{6}$'),
    weave text not null,
    knots smallint not null check (knots between 1 and 9),
    constraint belt_pk primary key (program_id, milestone_id),
    constraint belt_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint belt_rank_unique unique (program_id, ladder, rank)
);

create table belt_slot (
    program_id uuid not null,
    belt_id uuid not null,
    ordinal smallint not null check (ordinal >= 1),
    name text not null check (name <> ''),
    constraint belt_slot_pk primary key (program_id, belt_id, ordinal),
    constraint belt_slot_belt_fk foreign key (program_id, belt_id) references belt (program_id, milestone_id)
);

create table belt_slot_filling (
    program_id uuid not null,
    belt_id uuid not null,
    ordinal smallint not null,
    -- An instrument's code, or "any" for all that have no filling of their own.
    instrument text not null,
    milestone_id uuid not null,
    constraint belt_slot_filling_pk primary key (program_id, belt_id, ordinal, instrument),
    constraint belt_slot_filling_slot_fk foreign key (program_id, belt_id, ordinal) references belt_slot (program_id, belt_id, ordinal),
    constraint belt_slot_filling_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id)
);
create index belt_slot_filling_by_milestone on belt_slot_filling (program_id, milestone_id);
