-- What is known of a line beside its key and meter where its notes are not kept, and of which books notes may be kept.
alter table line
    add column notes_used text[] not null default '{}',
    add column values_introduced text[] not null default '{}',
    add column signs_introduced text[] not null default '{}',
    add column roadmap text not null default '' check (length(roadmap) <= 200);

alter table book
    add column notes_kept boolean not null default false;

-- Books whose notes are here already were entered as one's own.
update book b
set notes_kept = true
where exists (
    select 1
    from line l
    join line_notation n on n.program_id = l.program_id and n.milestone_id = l.milestone_id
    where l.program_id = b.program_id and l.book_id = b.id
);
