-- A ladder of belts is edited as a whole; how it was asked before is kept, so that an edit takes no earned belt away.
create table ladder (
    program_id uuid not null,
    id uuid not null,
    name text not null check (name <> ''),
    -- Whom it is for; empty for everybody.
    instruments text[] not null default '{}',
    version integer not null default 1 check (version >= 1),
    retired_on date,
    edited_at timestamptz not null default now(),
    constraint ladder_pk primary key (program_id, id),
    constraint ladder_program_fk foreign key (program_id) references program (id),
    constraint ladder_name_unique unique (program_id, name),
    constraint ladder_name_length check (length(name) <= 40)
);
insert into ladder (program_id, id, name)
select program_id, gen_random_uuid(), ladder
from belt
group by program_id, ladder;

alter table belt
    add constraint belt_ladder_fk foreign key (program_id, ladder) references ladder (program_id, name) on update cascade,
    add column rule text not null default 'EVERY_SLOT',
    add column rule_slots smallint not null default 0,
    add constraint belt_rule_known check (rule in ('EVERY_SLOT', 'AT_LEAST', 'MUSTS_AND_FREE'));
alter table belt_slot add column must boolean not null default false;

create table ladder_version (
    program_id uuid not null,
    ladder_id uuid not null,
    version integer not null check (version >= 1),
    -- The last day on which it was asked so.
    until_on date not null,
    -- Its belts with what they asked of each instrument.
    belts jsonb not null,
    constraint ladder_version_pk primary key (program_id, ladder_id, version),
    constraint ladder_version_ladder_fk foreign key (program_id, ladder_id) references ladder (program_id, id)
);

-- What the student brings, as a goal of its own.
alter table milestone drop constraint milestone_kind_known;
alter table milestone add constraint milestone_kind_known
    check (kind in ('LINE', 'TECHNIQUE_CHECK', 'PLAYING_TEST', 'WRITTEN_CHECK', 'FREE_CHOICE', 'BELT'));
alter table plan_item drop constraint plan_item_kind_known;
alter table plan_item add constraint plan_item_kind_known
    check (kind in
        ('LINE', 'TECHNIQUE_CHECK', 'PLAYING_TEST', 'WRITTEN_CHECK', 'FREE_CHOICE', 'BELT', 'PIECE', 'CATCH_UP'));

-- A piece of one's own is named however it was heard.
alter table attempt drop constraint attempt_substitute_said;

-- A belt that was put round somebody: that it was earned is told by the passes alone.
create table belt_hand_over (
    program_id uuid not null,
    id uuid not null,
    student_id uuid not null,
    belt_id uuid not null,
    instrument text not null,
    handed_on date not null,
    occasion text not null default '',
    handed_by uuid not null,
    kept_at timestamptz not null default now(),
    constraint belt_hand_over_pk primary key (program_id, id),
    constraint belt_hand_over_once unique (program_id, student_id, belt_id, instrument),
    constraint belt_hand_over_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint belt_hand_over_belt_fk foreign key (program_id, belt_id) references milestone (program_id, id),
    constraint belt_hand_over_account_fk foreign key (program_id, handed_by) references account (program_id, id),
    constraint belt_hand_over_occasion_length check (length(occasion) <= 60)
);
create index belt_hand_over_by_day on belt_hand_over (program_id, handed_on);
