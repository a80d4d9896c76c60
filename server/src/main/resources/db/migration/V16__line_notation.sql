-- The notes of a line, as they were typed or read: a source in an open format. A line without a row is known by facts only.
create table line_notation (
    program_id uuid not null,
    milestone_id uuid not null,
    format text not null,
    source text not null check (source <> ''),
    written_by uuid not null,
    written_at timestamptz not null default now(),
    constraint line_notation_pk primary key (program_id, milestone_id),
    constraint line_notation_line_fk foreign key (program_id, milestone_id) references line (program_id, milestone_id),
    constraint line_notation_account_fk foreign key (program_id, written_by) references account (program_id, id),
    constraint line_notation_format_known check (format in ('ABC', 'MUSICXML'))
);
