-- Fingers are set before a falling slur; a shift is drilled with fewer and fewer bows to a note.
alter table practice_ladder_step
    add column bows smallint[] not null default '{}',
    drop constraint practice_ladder_step_kind_known,
    add constraint practice_ladder_step_kind_known
        check (kind in ('LOOK', 'GROUPS', 'SET_FINGERS', 'BOWS', 'ISOLATE', 'RECALL', 'JOIN', 'JOIN_AS_PLAYED',
                        'WHOLE_SLOW', 'WHOLE')),
    add constraint practice_ladder_step_bows
        check (cardinality(bows) <= 6 and 1 <= all (bows) and 8 >= all (bows)
               and (cardinality(bows) > 0) = (kind = 'BOWS'));
