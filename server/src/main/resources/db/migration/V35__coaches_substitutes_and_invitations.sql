alter table account
    drop constraint account_role_known,
    add constraint account_role_known
        check (role in ('DIRECTOR', 'ASSISTANT', 'SECTION_COACH', 'SUBSTITUTE_TEACHER'));

-- The sections a coach sees and hears, as order_scope names them.
create table account_section (
    program_id uuid not null,
    account_id uuid not null,
    class_id uuid,
    family text,
    instrument text,
    division text,
    constraint account_section_account_fk foreign key (program_id, account_id) references account (program_id, id),
    constraint account_section_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint account_section_one check (class_id is not null or instrument is not null),
    constraint account_section_division_length check (length(division) <= 40)
);
create index account_section_by_account on account_section (program_id, account_id);

-- A one-time link to sign in. The link itself is kept nowhere, only what it hashes to.
create table invitation (
    program_id uuid not null,
    id uuid not null,
    token_hash bytea not null,
    display_name text not null check (display_name <> ''),
    role text not null,
    sections jsonb not null default '[]',
    made_by uuid not null,
    made_at timestamptz not null default now(),
    used_at timestamptz,
    withdrawn_at timestamptz,
    constraint invitation_pk primary key (program_id, id),
    constraint invitation_account_fk foreign key (program_id, made_by) references account (program_id, id),
    constraint invitation_role_known check (role in ('DIRECTOR', 'ASSISTANT', 'SECTION_COACH', 'SUBSTITUTE_TEACHER')),
    constraint invitation_display_name_length check (length(display_name) <= 120)
);
create unique index invitation_token_unique on invitation (token_hash);

-- What a substitute teacher heard is marked as theirs, whatever they are later.
alter table attempt add column as_substitute boolean not null default false;
