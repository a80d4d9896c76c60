-- What the director says of a line, to one instrument or to everybody: the place that goes wrong, and a tip.
create table line_remark (
    program_id uuid not null,
    line_id uuid not null,
    instrument text not null,
    trouble text not null default '',
    tip text not null default '',
    written_by uuid not null,
    written_at timestamptz not null default now(),
    constraint line_remark_pk primary key (program_id, line_id, instrument),
    constraint line_remark_line_fk foreign key (program_id, line_id) references line (program_id, milestone_id),
    constraint line_remark_account_fk foreign key (program_id, written_by) references account (program_id, id),
    constraint line_remark_something check (trouble <> '' or tip <> ''),
    constraint line_remark_short check (length(trouble) <= 400 and length(tip) <= 400)
);
