-- What was written under an id that a client made, as a fingerprint: the same again is the same, something else is refused.
create table client_write (
    program_id uuid not null,
    kind text not null,
    id uuid not null,
    content bytea not null,
    written_at timestamptz not null default now(),
    constraint client_write_pk primary key (program_id, kind, id),
    constraint client_write_program_fk foreign key (program_id) references program (id)
);
