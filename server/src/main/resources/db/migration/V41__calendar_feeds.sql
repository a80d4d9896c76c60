-- A secret address under which other calendars look up the due days of a class; of the secret only its hash is kept.
create table calendar_feed (
    program_id uuid not null,
    class_id uuid not null,
    secret_hash bytea not null,
    opened_at timestamptz not null default now(),
    opened_by uuid not null,
    constraint calendar_feed_pk primary key (program_id, class_id),
    constraint calendar_feed_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint calendar_feed_account_fk foreign key (program_id, opened_by) references account (program_id, id)
);
create unique index calendar_feed_by_secret on calendar_feed (secret_hash);
