-- What a class calls its finger patterns: which neighbouring fingers stand close, under a name of its own.
create table finger_pattern (
    program_id uuid not null,
    class_id uuid not null,
    ordinal smallint not null check (ordinal >= 1),
    name text not null,
    -- Lower finger of each pair that stands close; empty where all stand apart.
    close smallint[] not null,
    constraint finger_pattern_pk primary key (program_id, class_id, ordinal),
    constraint finger_pattern_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint finger_pattern_name_length check (length(name) <= 60),
    constraint finger_pattern_close_known check (close <@ array[1, 2, 3]::smallint[])
);
