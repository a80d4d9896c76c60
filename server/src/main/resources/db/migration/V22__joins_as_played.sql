-- Two measures are also joined as they follow one another when played: back at a repeat, into the coda, to the top.
alter table practice_ladder_step
    drop constraint practice_ladder_step_measures,
    drop constraint practice_ladder_step_kind_known,
    add constraint practice_ladder_step_kind_known
        check (kind in ('LOOK', 'GROUPS', 'ISOLATE', 'RECALL', 'JOIN', 'JOIN_AS_PLAYED', 'WHOLE_SLOW', 'WHOLE')),
    add constraint practice_ladder_step_measures
        check (to_measure >= 0 and (to_measure >= from_measure or kind = 'JOIN_AS_PLAYED'));
