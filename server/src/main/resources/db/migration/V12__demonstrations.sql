-- A director's own sound, picture, clip or hand-out for a check.
create table demonstration (
    program_id uuid not null,
    id uuid not null,
    milestone_id uuid not null,
    name text not null check (name <> ''),
    media_type text not null,
    content bytea not null,
    added_by uuid not null,
    added_at timestamptz not null default now(),
    constraint demonstration_pk primary key (program_id, id),
    constraint demonstration_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint demonstration_account_fk foreign key (program_id, added_by) references account (program_id, id),
    constraint demonstration_size check (octet_length(content) between 1 and 10485760)
);
create index demonstration_by_milestone on demonstration (program_id, milestone_id, added_at);
