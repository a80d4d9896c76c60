-- What a class is to have by a day: all lines of a book up to one.
create table forecast_target (
    program_id uuid not null,
    id uuid not null,
    school_year_id uuid not null,
    class_id uuid not null,
    line_id uuid not null,
    by_day date not null,
    constraint forecast_target_pk primary key (program_id, id),
    constraint forecast_target_year_fk foreign key (program_id, school_year_id) references school_year (program_id, id),
    constraint forecast_target_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint forecast_target_line_fk foreign key (program_id, line_id) references line (program_id, milestone_id),
    constraint forecast_target_once unique (program_id, school_year_id, class_id, line_id, by_day)
);

-- What was forecast for a section in a week, so that it can be seen how good it was. Only ever added to.
create table forecast_kept (
    program_id uuid not null,
    target_id uuid not null,
    instrument text not null,
    -- Monday of the week it was made in.
    monday date not null,
    need integer not null,
    -- Mondays of the weeks by which it is done with a chance of 10, 50 and 90 in a hundred; null for not this year.
    low date,
    middle date,
    high date,
    -- In a hundred, to be there by the day.
    chance smallint not null,
    constraint forecast_kept_pk primary key (program_id, target_id, instrument, monday),
    constraint forecast_kept_target_fk foreign key (program_id, target_id) references forecast_target (program_id, id)
        on delete cascade,
    constraint forecast_kept_chance check (chance between 0 and 100)
);
