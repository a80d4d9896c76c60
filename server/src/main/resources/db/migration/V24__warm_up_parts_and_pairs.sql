-- A rhythm is drilled on one note; a demonstration may hang on a part; it may be wrong on purpose, beside the right one.
alter table demonstration
    add column shows text,
    add constraint demonstration_shows_known check (shows in ('WRONG', 'RIGHT'));

alter table warm_up_part
    drop constraint warm_up_part_kind_known,
    add constraint warm_up_part_kind_known
        check (kind in ('BREATHING', 'SOUND_ALONE', 'EASY_SLURS', 'ARTICULATION', 'RHYTHM', 'SCALE', 'LONG_TONES')),
    add column demonstration_id uuid,
    add constraint warm_up_part_demonstration_fk foreign key (program_id, demonstration_id)
        references demonstration (program_id, id) on delete set null (demonstration_id);
create index warm_up_part_by_demonstration on warm_up_part (program_id, demonstration_id);
