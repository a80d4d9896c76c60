-- Who signed in, read what somebody said hurts, took data out, or erased a student. Ids only, no names; only ever added to.
create table audit (
    program_id uuid not null,
    id uuid not null default gen_random_uuid(),
    happened_at timestamptz not null default clock_timestamp(),
    -- Null where the programme's own rule erased.
    account_id uuid,
    what text not null,
    -- The student or class it is about, where it is about one.
    about uuid,
    constraint audit_pk primary key (program_id, id),
    constraint audit_account_fk foreign key (program_id, account_id) references account (program_id, id),
    constraint audit_what_known check (what in ('SIGNED_IN', 'READ_PAIN_REPORTS', 'EXPORTED', 'ERASED'))
);
create index audit_by_time on audit (program_id, happened_at desc);
create index audit_by_what on audit (program_id, account_id, what, happened_at desc);

-- A student who was erased keeps a made-up name; the attempts stay as numbers.
alter table student add column erased_at timestamptz;

-- How many years after the last seat a student's name and words are kept; null keeps them.
alter table program add column keep_years smallint check (keep_years between 1 and 20);

-- Attempts are never changed, but for the one function below, and it can only take words away.
create or replace function attempt_is_append_only() returns trigger language plpgsql as $$
begin
    if tg_op = 'UPDATE'
        and current_setting('vividroster.erasing', true) = old.student_id::text
        and to_jsonb(new) - array['reason', 'note'] = to_jsonb(old) - array['reason', 'note']
        and new.note = '' and new.reason in ('', 'erased')
    then
        return new;
    end if;
    raise exception 'attempts are never changed or deleted; record a correction instead'
        using errcode = 'restrict_violation';
end
$$;

-- Takes the words of a student's attempts, and with them what can only be taken by the owner. Called by the application,
-- which may not change those rows itself; noted in the audit. Does nothing for a student that is not there.
create function erase_words_of_student(of_program uuid, of_student uuid, by_account uuid) returns void
language plpgsql security definer set search_path = public, pg_temp as $$
begin
    if not exists (select 1 from student where program_id = of_program and id = of_student) then
        return;
    end if;
    perform set_config('vividroster.erasing', of_student::text, true);
    update attempt
    set note = '', reason = case when reason = '' then '' else 'erased' end
    where program_id = of_program and student_id = of_student and (note <> '' or reason not in ('', 'erased'));
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
