-- What the notes of a line tell is told from them: measures played are kept only where facts alone are known. Tempos
-- keep their fractions, meters their groups, keys their mode; and of a file with several parts it is kept who reads which.
alter table line
    alter column played_measures drop not null,
    alter column tempo_bpm type double precision,
    add column meter_groups smallint[] not null default '{}';

alter table line drop constraint line_mode_check;

alter table line
    add constraint line_mode_known
        check (mode in ('MAJOR', 'MINOR', 'DORIAN', 'PHRYGIAN', 'LYDIAN', 'MIXOLYDIAN', 'LOCRIAN'));

alter table practice_ladder_step alter column tempo_bpm type double precision;

update line l
set played_measures = null
where exists (
    select 1 from line_notation n where n.program_id = l.program_id and n.milestone_id = l.milestone_id
);

alter table line_notation add column part_choices jsonb not null default '{}';

alter table warm_up_part drop constraint warm_up_part_mode_check;

alter table warm_up_part
    add constraint warm_up_part_mode_known
        check (mode in ('MAJOR', 'MINOR', 'DORIAN', 'PHRYGIAN', 'LYDIAN', 'MIXOLYDIAN', 'LOCRIAN'));
