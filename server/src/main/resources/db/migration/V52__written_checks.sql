-- Written checks: made by the tool from lines, or handed in on paper. Editing adds a version.
create table written_check (
    program_id uuid not null,
    milestone_id uuid not null,
    constraint written_check_pk primary key (program_id, milestone_id),
    constraint written_check_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id)
);

create table written_check_version (
    program_id uuid not null,
    milestone_id uuid not null,
    version integer not null check (version >= 1),
    -- Lines it is made from, what is asked, how much, and the number of the sheet.
    content jsonb not null,
    written_by uuid not null,
    written_at timestamptz not null default now(),
    constraint written_check_version_pk primary key (program_id, milestone_id, version),
    constraint written_check_version_check_fk foreign key (program_id, milestone_id)
        references written_check (program_id, milestone_id),
    constraint written_check_version_account_fk foreign key (program_id, written_by) references account (program_id, id)
);

alter table plan_item drop constraint plan_item_kind_known;
alter table plan_item add constraint plan_item_kind_known
    check (kind in ('LINE', 'TECHNIQUE_CHECK', 'PLAYING_TEST', 'WRITTEN_CHECK', 'BELT', 'PIECE', 'CATCH_UP'));
