-- What a playing test consists of, by version, and the rubrics it can be scored on.
alter table milestone drop constraint milestone_kind_known;
alter table milestone add constraint milestone_kind_known
    check (kind in ('LINE', 'TECHNIQUE_CHECK', 'PLAYING_TEST', 'WRITTEN_CHECK', 'BELT'));

-- A written check may have more points than a digit tells; rubrics keep to nine.
alter table criterion drop constraint criterion_top_points_check;
alter table criterion
    add column weight smallint not null default 1,
    -- What is heard at each number of points, from 0 to the top; empty where no words are kept.
    add column levels text[] not null default '{}',
    add constraint criterion_top_points_in_range check (top_points between 1 and 100),
    add constraint criterion_weight_in_range check (weight between 1 and 100),
    add constraint criterion_levels_of_each_point check (cardinality(levels) in (0, top_points + 1)),
    add constraint criterion_levels_short check (char_length(array_to_string(levels, '')) <= 2400);

-- Conditions are written out of what a test says, with the director's own words behind.
alter table playing_test drop constraint playing_test_conditions_length;
alter table playing_test add constraint playing_test_conditions_length check (length(conditions) <= 400);

create table playing_test_version (
    program_id uuid not null,
    milestone_id uuid not null,
    version integer not null check (version >= 1),
    -- Parts with excerpts and variants, conditions, retakes, listeners.
    content jsonb not null,
    written_by uuid not null,
    written_at timestamptz not null default now(),
    constraint playing_test_version_pk primary key (program_id, milestone_id, version),
    constraint playing_test_version_test_fk foreign key (program_id, milestone_id)
        references playing_test (program_id, milestone_id),
    constraint playing_test_version_account_fk foreign key (program_id, written_by) references account (program_id, id)
);

-- A test keeps the criteria it was built with; an edit here changes no test.
create table rubric (
    program_id uuid not null,
    id uuid not null,
    name text not null check (name <> ''),
    version integer not null default 1 check (version >= 1),
    -- Criteria with weights, floors and worded levels, and the mark that passes.
    content jsonb not null,
    edited_by uuid not null,
    edited_at timestamptz not null default now(),
    constraint rubric_pk primary key (program_id, id),
    constraint rubric_program_fk foreign key (program_id) references program (id),
    constraint rubric_account_fk foreign key (program_id, edited_by) references account (program_id, id),
    constraint rubric_name_unique unique (program_id, name),
    constraint rubric_name_length check (length(name) <= 120)
);
