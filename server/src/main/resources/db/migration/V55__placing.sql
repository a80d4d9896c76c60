-- A student tried an instrument, or its mouthpiece alone.
create table placing_trial (
    program_id uuid not null,
    id uuid not null,
    student_id uuid not null,
    instrument text not null,
    mouthpiece text not null check (mouthpiece in ('OWN', 'ALONE', 'LARGER')),
    -- 1 to 4; empty where it was not looked at.
    sound smallint check (sound between 1 and 4),
    response smallint check (response between 1 and 4),
    comfort smallint check (comfort between 1 and 4),
    reach smallint check (reach between 1 and 4),
    wish smallint check (wish between 1 and 4),
    arm_cm numeric(4, 1) check (arm_cm between 30 and 90),
    note text not null default '',
    tried_on date not null,
    tried_by uuid not null,
    constraint placing_trial_pk primary key (program_id, id),
    constraint placing_trial_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint placing_trial_account_fk foreign key (program_id, tried_by) references account (program_id, id),
    constraint placing_trial_note_length check (length(note) <= 300)
);
create index placing_trial_by_student on placing_trial (program_id, student_id, tried_on);

-- What people decided; a switch itself is made under Switch.
create table placing_decision (
    program_id uuid not null,
    id uuid not null,
    student_id uuid not null,
    instrument text not null,
    why text not null default '',
    decided_on date not null,
    decided_by uuid not null,
    decided_at timestamptz not null default now(),
    constraint placing_decision_pk primary key (program_id, id),
    constraint placing_decision_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint placing_decision_account_fk foreign key (program_id, decided_by) references account (program_id, id),
    constraint placing_decision_why_length check (length(why) <= 300)
);

-- Two placements, syllables or hands tried in turn.
create table two_ways (
    program_id uuid not null,
    id uuid not null,
    student_id uuid not null,
    instrument text not null,
    about text not null,
    one text not null,
    other text not null,
    blind boolean not null,
    better text not null check (better in ('ONE', 'OTHER', 'NO_DIFFERENCE')),
    compared_on date not null,
    compared_by uuid not null,
    constraint two_ways_pk primary key (program_id, id),
    constraint two_ways_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint two_ways_account_fk foreign key (program_id, compared_by) references account (program_id, id),
    constraint two_ways_about_length check (length(about) <= 60),
    constraint two_ways_one_length check (length(one) <= 60),
    constraint two_ways_other_length check (length(other) <= 60)
);
create index two_ways_by_student on two_ways (program_id, student_id, compared_on);
