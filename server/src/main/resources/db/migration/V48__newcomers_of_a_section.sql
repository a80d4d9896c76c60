-- An order may be for those of one section who came to it on a day or later: who changed instrument catches up with them.
alter table order_scope
    drop constraint order_scope_shape,
    add constraint order_scope_shape check (
        (class_id is not null or (instrument is not null and family is null and division is null))
        and not (family is not null and instrument is not null)
        and (division is null or instrument is not null)
        and (joined_since is null or (class_id is not null and family is null and division is null)));
