-- An order belongs to a school year: the one its set day lies in, of a day between two years the one to come.
alter table milestone_order
    add column school_year_id uuid,
    -- Its sections in one text, so that two orders for the same sections can be told by the database.
    add column scopes_key text;

update milestone_order o
set school_year_id = (
        select y.id
        from school_year y
        where y.program_id = o.program_id
        order by o.set_on <= y.last_day desc,
                 case when o.set_on <= y.last_day then y.first_day end,
                 y.first_day desc
        limit 1),
    scopes_key = (
        select string_agg(k.key, ',' order by k.key collate "C")
        from (
            select concat_ws('/', coalesce(s.class_id::text, ''), coalesce(s.family, ''), coalesce(s.instrument, ''),
                             coalesce(s.division, '')) as key
            from order_scope s
            where s.program_id = o.program_id and s.order_id = o.id) k);

-- Presses that raced one another made the same order more than once; the first stands, the others are withdrawn.
update milestone_order o
set withdrawn_at = now(), withdrawn_by = o.ordered_by
where o.withdrawn_at is null
  and exists (
    select 1
    from milestone_order f
    where f.program_id = o.program_id and f.school_year_id = o.school_year_id and f.milestone_id = o.milestone_id
      and f.scopes_key = o.scopes_key and f.withdrawn_at is null
      and (f.ordered_at, f.id) < (o.ordered_at, o.id));

alter table milestone_order
    alter column school_year_id set not null,
    alter column scopes_key set not null,
    add constraint milestone_order_school_year_fk
        foreign key (program_id, school_year_id) references school_year (program_id, id);

create index milestone_order_by_year on milestone_order (program_id, school_year_id);
create unique index milestone_order_set_once on milestone_order (program_id, school_year_id, milestone_id, scopes_key)
    where withdrawn_at is null;
