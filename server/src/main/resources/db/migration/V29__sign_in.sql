-- Sessions keep whom they belong to and this version; it grows with role and password, and a disabled account has none.
alter table account
    add column version integer not null default 1 check (version >= 1),
    add column disabled_at timestamptz;

-- Sessions made before hold what is no longer read.
delete from spring_session;

-- Sign-ins that failed, by name and by address, hashed; no programme is known at that point.
create table sign_in_failure (
    key text not null,
    failures integer not null check (failures >= 1),
    last_failed_at timestamptz not null,
    constraint sign_in_failure_pk primary key (key)
);
create index sign_in_failure_by_time on sign_in_failure (last_failed_at);
