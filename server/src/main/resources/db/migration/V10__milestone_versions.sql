-- The pass rule of each version of a milestone: a try is judged by the rule it was heard against.
create table milestone_version (
    program_id uuid not null,
    milestone_id uuid not null,
    version integer not null check (version >= 1),
    pass_rule text not null,
    pass_k smallint,
    pass_n smallint,
    pass_mark smallint,
    constraint milestone_version_pk primary key (program_id, milestone_id, version),
    constraint milestone_version_milestone_fk foreign key (program_id, milestone_id) references milestone (program_id, id),
    constraint milestone_version_rule_known check (
        pass_rule in ('ONE_GOOD_TRY', 'K_OF_LAST_N', 'ALL_CRITERIA', 'SCORE_AT_LEAST', 'ALL_SLOTS')),
    constraint milestone_version_numbers check (
        (pass_rule = 'K_OF_LAST_N') = (pass_k is not null and pass_n is not null)
        and (pass_rule = 'SCORE_AT_LEAST') = (pass_mark is not null))
);
insert into milestone_version (program_id, milestone_id, version, pass_rule, pass_k, pass_n, pass_mark)
select program_id, id, version, pass_rule, pass_k, pass_n, pass_mark
from milestone;

alter table milestone
    drop constraint milestone_pass_rule_known,
    drop constraint milestone_pass_numbers,
    drop column pass_rule,
    drop column pass_k,
    drop column pass_n,
    drop column pass_mark;

-- What earlier versions of checks did not have yet.
update technique_check_version
set content = content
    || jsonb_build_object('cues', '{}'::jsonb)
    || jsonb_build_object('variants', coalesce(
        (select jsonb_agg(variant || '{"choices": {}}'::jsonb) from jsonb_array_elements(content -> 'variants') variant),
        '[]'::jsonb));
