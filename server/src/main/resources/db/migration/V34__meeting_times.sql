-- When a class meets: one or more slots, where one time on one letter was before.
create table class_meeting (
    program_id uuid not null,
    class_id uuid not null,
    place smallint not null,
    -- From 1, Monday; empty meets on every weekday.
    weekdays smallint[] not null default '{}',
    -- Letters of the rotation; empty meets on every turn.
    letters text[] not null default '{}',
    period smallint not null,
    starts_at time not null,
    minutes smallint not null,
    -- Empty where it is the class's own.
    campus text not null default '',
    constraint class_meeting_pk primary key (program_id, class_id, place),
    constraint class_meeting_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint class_meeting_period check (period between 0 and 12),
    constraint class_meeting_minutes check (minutes between 5 and 240),
    constraint class_meeting_campus_length check (length(campus) <= 80)
);

insert into class_meeting (program_id, class_id, place, letters, period, starts_at, minutes)
select program_id, id, 0, case when rotation is null then '{}' else array[rotation] end, period, starts_at, minutes
from school_class;

alter table school_class
    drop column rotation,
    drop column period,
    drop column starts_at,
    drop column minutes,
    -- The last day of a class that has ended, inclusive.
    add column last_day date;

-- A class may be called like one that has ended.
drop index school_class_name_unique;
create unique index school_class_name_unique on school_class (program_id, lower(name)) where last_day is null;

-- How many a director wants in a section.
create table class_wanted (
    program_id uuid not null,
    class_id uuid not null,
    instrument text not null,
    division text not null default '',
    students smallint not null,
    constraint class_wanted_pk primary key (program_id, class_id, instrument, division),
    constraint class_wanted_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint class_wanted_students check (students between 1 and 200),
    constraint class_wanted_division_length check (length(division) <= 40)
);

alter table calendar_entry
    drop constraint calendar_entry_kind_known,
    add constraint calendar_entry_kind_known check (kind in (
        'BREAK', 'LOST_DAY', 'TESTING', 'CONCERT', 'FESTIVAL', 'ASSEMBLY', 'SHORT_DAY', 'MARKING_PERIOD')),
    -- Periods whose place it takes.
    add column periods smallint[] not null default '{}';

-- The periods of the day, by campus; empty for every campus.
create table bell (
    program_id uuid not null,
    school_year_id uuid not null,
    campus text not null default '',
    period smallint not null,
    starts_at time not null,
    minutes smallint not null,
    short_starts_at time,
    short_minutes smallint,
    constraint bell_pk primary key (program_id, school_year_id, campus, period),
    constraint bell_school_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id),
    constraint bell_period check (period between 0 and 12),
    constraint bell_minutes check (minutes between 5 and 240),
    constraint bell_short check ((short_starts_at is null) = (short_minutes is null) and (short_minutes between 5 and 240)),
    constraint bell_campus_length check (length(campus) <= 80)
);
