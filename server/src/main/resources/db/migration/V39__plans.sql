-- How plans are made in a programme; a row only where somebody changed what ships.
create table plan_setting (
    program_id uuid not null,
    max_new_notes smallint not null,
    full_percent smallint not null,
    -- Points; one is one minute above the even share.
    essential bigint not null,
    drop_per_value bigint not null,
    late_each bigint not null,
    late_per_week bigint not null,
    broken_need bigint not null,
    over_per_minute bigint not null,
    uneven_per_minute bigint not null,
    order_per_week bigint not null,
    margin_per_week bigint not null,
    moved_each bigint not null,
    moved_per_week bigint not null,
    constraint plan_setting_pk primary key (program_id),
    constraint plan_setting_program_fk foreign key (program_id) references program (id)
);

-- The plan of a school year; its revision grows with every change, so that two directors do not undo one another.
create table plan_year (
    program_id uuid not null,
    school_year_id uuid not null,
    revision bigint not null default 0,
    constraint plan_year_pk primary key (program_id, school_year_id),
    constraint plan_year_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id)
);

-- How one class keeps its sections together.
create table plan_class (
    program_id uuid not null,
    school_year_id uuid not null,
    class_id uuid not null,
    pacing text not null,
    reserve_percent smallint not null,
    constraint plan_class_pk primary key (program_id, school_year_id, class_id),
    constraint plan_class_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id),
    constraint plan_class_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint plan_class_pacing_known check (pacing in ('IN_STEP', 'MASTERY', 'IN_STEP_WITH_CARRY_OVER')),
    constraint plan_class_reserve check (reserve_percent between 0 and 90)
);

-- Minutes a director gives a class in one week besides its share of the meetings.
create table plan_extra_minutes (
    program_id uuid not null,
    class_id uuid not null,
    monday date not null,
    minutes smallint not null,
    constraint plan_extra_minutes_pk primary key (program_id, class_id, monday),
    constraint plan_extra_minutes_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint plan_extra_minutes_some check (minutes between 1 and 600)
);

-- A section that does not keep the planned pace, in percent of its usual minutes: more where it is slow, fewer where it
-- runs ahead.
create table section_pace (
    program_id uuid not null,
    school_year_id uuid not null,
    class_id uuid not null,
    instrument text not null,
    pace_percent smallint not null,
    constraint section_pace_pk primary key (program_id, school_year_id, class_id, instrument),
    constraint section_pace_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id),
    constraint section_pace_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint section_pace_percent check (pace_percent between 50 and 200 and pace_percent <> 100)
);

-- What was chosen for the year, and the week it stands in; it becomes an order only when a director orders that week.
create table plan_item (
    program_id uuid not null,
    id uuid not null,
    school_year_id uuid not null,
    -- Place among what was chosen, in the order of books.
    ordinal integer not null,
    kind text not null,
    milestone_id uuid,
    title text not null default '',
    value integer not null,
    essential boolean not null default false,
    teach_minutes smallint not null,
    heard_alone boolean not null default false,
    not_before date,
    due_by date,
    margin_weeks smallint not null default 0,
    -- Monday of the week it stands in; null while it stands nowhere.
    monday date,
    pinned boolean not null default false,
    constraint plan_item_pk primary key (program_id, id),
    constraint plan_item_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id),
    constraint plan_item_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint plan_item_kind_known
        check (kind in ('LINE', 'TECHNIQUE_CHECK', 'PLAYING_TEST', 'BELT', 'PIECE', 'CATCH_UP')),
    constraint plan_item_shape check ((milestone_id is null) = (kind in ('PIECE', 'CATCH_UP'))
        and (milestone_id is null) = (title <> '')),
    constraint plan_item_title_length check (length(title) <= 90),
    constraint plan_item_value check (value between 0 and 100000),
    constraint plan_item_minutes check (teach_minutes between 0 and 600),
    constraint plan_item_margin check (margin_weeks between 0 and 60),
    constraint plan_item_pinned check (monday is not null or not pinned)
);
create index plan_item_by_year on plan_item (program_id, school_year_id);

-- Whom an item is for; the same shape as the scopes of an order.
create table plan_item_scope (
    program_id uuid not null,
    item_id uuid not null,
    ordinal smallint not null check (ordinal >= 1),
    class_id uuid,
    family text,
    instrument text,
    division text,
    constraint plan_item_scope_pk primary key (program_id, item_id, ordinal),
    constraint plan_item_scope_item_fk foreign key (program_id, item_id) references plan_item (program_id, id)
        on delete cascade,
    constraint plan_item_scope_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint plan_item_scope_family_known check (family in ('WOODWIND', 'BRASS', 'PERCUSSION', 'STRING')),
    constraint plan_item_scope_division_length check (length(division) <= 40),
    constraint plan_item_scope_shape check (
        (class_id is not null or (instrument is not null and family is null and division is null))
        and not (family is not null and instrument is not null)
        and (division is null or instrument is not null))
);
create index plan_item_scope_by_class on plan_item_scope (program_id, class_id);

-- A plan that waits to be taken, as what it changes of the one in force.
create table plan_proposal (
    program_id uuid not null,
    id uuid not null,
    school_year_id uuid not null,
    class_id uuid not null,
    -- Balanced, or as few moves as possible.
    aim text not null,
    -- What it answers, in words of the director.
    cause text not null default '',
    made_at timestamptz not null default now(),
    made_by uuid not null,
    constraint plan_proposal_pk primary key (program_id, id),
    constraint plan_proposal_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id),
    constraint plan_proposal_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint plan_proposal_account_fk foreign key (program_id, made_by) references account (program_id, id),
    constraint plan_proposal_cause_length check (length(cause) <= 300),
    constraint plan_proposal_aim_known check (aim in ('BALANCED', 'LEAST_CHANGE'))
);
create index plan_proposal_by_class on plan_proposal (program_id, school_year_id, class_id);

create table plan_proposal_change (
    program_id uuid not null,
    proposal_id uuid not null,
    item_id uuid not null,
    -- Monday of its week by the proposal; null where it is left out.
    monday date,
    constraint plan_proposal_change_pk primary key (program_id, proposal_id, item_id),
    constraint plan_proposal_change_proposal_fk foreign key (program_id, proposal_id)
        references plan_proposal (program_id, id) on delete cascade,
    constraint plan_proposal_change_item_fk foreign key (program_id, item_id) references plan_item (program_id, id)
        on delete cascade
);

-- A long look in the background.
create table plan_look (
    program_id uuid not null,
    id uuid not null,
    school_year_id uuid not null,
    class_id uuid not null,
    started_at timestamptz not null default now(),
    started_by uuid not null,
    -- Steps so far, of all, and the points of the best plan so far.
    done bigint not null default 0,
    steps bigint not null default 0,
    points bigint,
    told_at timestamptz not null default now(),
    stop_asked boolean not null default false,
    -- Null while it looks.
    ended_at timestamptz,
    -- With proposals, or in vain since the plan was changed meanwhile or something went wrong.
    ended_as text,
    constraint plan_look_ended check ((ended_at is null) = (ended_as is null)),
    constraint plan_look_ended_known check (ended_as in ('PROPOSED', 'CHANGED', 'FAILED')),
    constraint plan_look_pk primary key (program_id, id),
    constraint plan_look_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id),
    constraint plan_look_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint plan_look_account_fk foreign key (program_id, started_by) references account (program_id, id)
);
create unique index plan_look_one_at_a_time on plan_look (program_id, school_year_id, class_id) where ended_at is null;
