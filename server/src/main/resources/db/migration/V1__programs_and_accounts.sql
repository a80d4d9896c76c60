-- One school music programme. Every other table leads with its id.
create table program (
    id uuid not null,
    name text not null check (name <> ''),
    zone text not null,
    -- The demo stands still on one day; a real programme has null and lives by the clock.
    fixed_today date,
    created_at timestamptz not null default now(),
    constraint program_pk primary key (id)
);

create table account (
    program_id uuid not null,
    id uuid not null,
    sign_in_name text not null check (sign_in_name <> '' and sign_in_name = lower(sign_in_name)),
    display_name text not null check (display_name <> ''),
    password_hash text not null,
    role text not null,
    created_at timestamptz not null default now(),
    constraint account_pk primary key (program_id, id),
    constraint account_program_fk foreign key (program_id) references program (id),
    constraint account_sign_in_name_unique unique (sign_in_name),
    constraint account_role_known check (role in ('DIRECTOR', 'ASSISTANT'))
);
