-- What went wrong in a try, and the tempo it was heard at.
alter table attempt
    -- Signs of faults with the measure each was heard in, 0 where none was tapped; in two columns of equal length.
    add column fault_signs text[] not null default '{}',
    add column fault_measures smallint[] not null default '{}',
    add column tempo_bpm smallint,
    -- What was played instead of the set piece.
    add column substitute text not null default '',
    add constraint attempt_faults_paired check (cardinality(fault_signs) = cardinality(fault_measures)),
    add constraint attempt_faults_few check (cardinality(fault_signs) <= 12),
    add constraint attempt_tempo_played check (tempo_bpm between 20 and 400),
    add constraint attempt_substitute_length check (length(substitute) <= 120),
    add constraint attempt_substitute_said check (substitute = '' or evidence = 'SUBSTITUTE');

-- The faults of a section over a year.
create index attempt_with_faults on attempt (program_id, student_id, heard_on) where fault_signs <> '{}';

-- Attempts are never changed, but for erasing words, and for a made-up programme that is thrown away.
create or replace function attempt_is_append_only() returns trigger language plpgsql as $$
declare
    words text[] := array['reason', 'note', 'substitute', 'fault_signs', 'fault_measures'];
begin
    if tg_op = 'UPDATE'
        and current_setting('vividroster.erasing', true) = old.student_id::text
        and to_jsonb(new) - words = to_jsonb(old) - words
        and new.note = '' and new.reason in ('', 'erased') and new.substitute = '' and new.fault_signs = '{}'
    then
        return new;
    end if;
    if tg_op = 'DELETE'
        and current_setting('vividroster.throwing_away', true) = old.program_id::text
        and exists (select 1 from program where id = old.program_id and aside_of is not null)
    then
        return old;
    end if;
    raise exception 'attempts are never changed or deleted; record a correction instead'
        using errcode = 'restrict_violation';
end
$$;

-- A person's words go with the person; signs are of a list, a piece may be named in words.
create or replace function erase_words_of_student(of_program uuid, of_student uuid, by_account uuid) returns void
language plpgsql security definer set search_path = public, pg_temp as $$
begin
    if not exists (select 1 from student where program_id = of_program and id = of_student) then
        return;
    end if;
    perform set_config('vividroster.erasing', of_student::text, true);
    update attempt
    set note = '', substitute = '', fault_signs = '{}', fault_measures = '{}',
        reason = case when reason = '' then '' else 'erased' end
    where program_id = of_program and student_id = of_student
      and (note <> '' or substitute <> '' or fault_signs <> '{}' or reason not in ('', 'erased'));
    perform set_config('vividroster.erasing', '', true);
    delete from pain_follow_up f
    using pain_report r
    where f.program_id = of_program and r.program_id = of_program and r.id = f.report_id and r.student_id = of_student;
    delete from variant_review v
    using student_variant s
    where v.program_id = of_program and s.program_id = of_program and s.id = v.variant_id and s.student_id = of_student;
    insert into audit (program_id, account_id, what, about) values (of_program, by_account, 'ERASED', of_student);
end
$$;
