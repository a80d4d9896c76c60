-- The act of setting a milestone for whole sections.
create table milestone_order (
    program_id uuid not null,
    id uuid not null,
    milestone_id uuid not null,
    set_on date not null,
    due_on date not null,
    -- Which evidence can make the pass.
    evidence text[] not null,
    ordered_by uuid not null,
    ordered_at timestamptz not null default now(),
    withdrawn_at timestamptz,
    withdrawn_by uuid,
    constraint milestone_order_pk primary key (program_id, id),
    constraint milestone_order_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint milestone_order_account_fk foreign key (program_id, ordered_by) references account (program_id, id),
    constraint milestone_order_withdrawer_fk foreign key (program_id, withdrawn_by) references account (program_id, id),
    constraint milestone_order_days check (due_on >= set_on),
    constraint milestone_order_evidence_known check (
        evidence <@ array['LIVE_ALONE', 'LIVE_WITH_SECTION', 'PARTNER_CHECK', 'RECORDING', 'SUBSTITUTE'])
);
create index milestone_order_by_milestone on milestone_order (program_id, milestone_id);
create index milestone_order_by_due on milestone_order (program_id, due_on);

-- Whole sections an order is for: tutti (class alone), a family of a class, an instrument of a class with or without
-- a division, or an instrument across classes (no class).
create table order_scope (
    program_id uuid not null,
    order_id uuid not null,
    ordinal smallint not null check (ordinal >= 1),
    class_id uuid,
    family text,
    instrument text,
    division text,
    constraint order_scope_pk primary key (program_id, order_id, ordinal),
    constraint order_scope_order_fk foreign key (program_id, order_id) references milestone_order (program_id, id),
    constraint order_scope_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint order_scope_family_known check (family in ('WOODWIND', 'BRASS', 'PERCUSSION', 'STRING')),
    constraint order_scope_shape check (
        (class_id is not null or (instrument is not null and family is null and division is null))
        and not (family is not null and instrument is not null)
        and (division is null or instrument is not null))
);
create index order_scope_by_class on order_scope (program_id, class_id);
