-- An order may be for those of a class who joined on a day or later: the first weeks, for whoever came after them.
alter table order_scope
    add column joined_since date,
    drop constraint order_scope_shape,
    add constraint order_scope_shape check (
        (class_id is not null or (instrument is not null and family is null and division is null))
        and not (family is not null and instrument is not null)
        and (division is null or instrument is not null)
        and (joined_since is null or (class_id is not null and family is null and instrument is null)));
