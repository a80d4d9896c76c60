-- The warm-up of a class in a week as the director put it: parts in order, each with its minutes and concert key.
create table warm_up (
    program_id uuid not null,
    class_id uuid not null,
    monday date not null,
    kept_by uuid not null,
    kept_at timestamptz not null default now(),
    constraint warm_up_pk primary key (program_id, class_id, monday),
    constraint warm_up_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint warm_up_account_fk foreign key (program_id, kept_by) references account (program_id, id)
);

create table warm_up_part (
    program_id uuid not null,
    class_id uuid not null,
    monday date not null,
    ordinal smallint not null check (ordinal between 1 and 12),
    kind text not null,
    minutes numeric(4, 2) not null check (minutes > 0 and minutes <= 60),
    concert_fifths smallint not null check (concert_fifths between -7 and 7),
    mode text not null check (mode in ('MAJOR', 'MINOR')),
    constraint warm_up_part_pk primary key (program_id, class_id, monday, ordinal),
    constraint warm_up_part_warm_up_fk foreign key (program_id, class_id, monday)
        references warm_up (program_id, class_id, monday) on delete cascade,
    constraint warm_up_part_kind_known
        check (kind in ('BREATHING', 'SOUND_ALONE', 'EASY_SLURS', 'ARTICULATION', 'SCALE', 'LONG_TONES'))
);
