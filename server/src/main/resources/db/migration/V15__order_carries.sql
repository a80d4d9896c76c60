-- What the check of an order carries for a part of its sections: a line, a place, a finger pattern, a drill.
-- A row without family and instrument is for all that nothing closer is said of.
create table order_carry (
    program_id uuid not null,
    order_id uuid not null,
    ordinal smallint not null check (ordinal >= 1),
    family text,
    instrument text,
    division text,
    line_id uuid,
    place text not null default '',
    pattern text not null default '',
    drill text not null default '',
    constraint order_carry_pk primary key (program_id, order_id, ordinal),
    constraint order_carry_order_fk foreign key (program_id, order_id) references milestone_order (program_id, id),
    constraint order_carry_line_fk foreign key (program_id, line_id) references line (program_id, milestone_id),
    constraint order_carry_family_known check (family in ('WOODWIND', 'BRASS', 'PERCUSSION', 'STRING')),
    constraint order_carry_shape check (
        not (family is not null and instrument is not null) and (division is null or instrument is not null)),
    constraint order_carry_something check (line_id is not null or place <> '' or pattern <> '' or drill <> '')
);
