-- Students watching one another for a few points: who with whom, in which class, on which day.
create table partner_check (
    program_id uuid not null,
    -- Made by the client, so that sending it twice keeps it once.
    id uuid not null,
    class_id uuid not null,
    milestone_id uuid not null,
    held_on date not null,
    pairing text not null,
    -- Three or four visible things.
    watch text[] not null,
    made_by uuid not null,
    made_at timestamptz not null default now(),
    constraint partner_check_pk primary key (program_id, id),
    constraint partner_check_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint partner_check_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint partner_check_account_fk foreign key (program_id, made_by) references account (program_id, id),
    constraint partner_check_pairing_known check (pairing in ('STAND', 'LISTS', 'FAIR')),
    constraint partner_check_points check (cardinality(watch) between 3 and 4)
);
create index partner_check_by_class on partner_check (program_id, class_id, held_on);

-- Partners, the first to play first; three where the number is odd.
create table partner_group (
    program_id uuid not null,
    partner_check_id uuid not null,
    ordinal smallint not null check (ordinal >= 1),
    members uuid[] not null,
    constraint partner_group_pk primary key (program_id, partner_check_id, ordinal),
    constraint partner_group_check_fk foreign key (program_id, partner_check_id) references partner_check (program_id, id),
    constraint partner_group_size check (cardinality(members) between 2 and 3)
);

-- Which measures a section, or a division of it, watches.
create table partner_measures (
    program_id uuid not null,
    partner_check_id uuid not null,
    instrument text not null,
    division text not null default '',
    first_measure smallint not null check (first_measure >= 1),
    last_measure smallint not null,
    constraint partner_measures_pk primary key (program_id, partner_check_id, instrument, division),
    constraint partner_measures_check_fk foreign key (program_id, partner_check_id) references partner_check (program_id, id),
    constraint partner_measures_order check (last_measure >= first_measure)
);
