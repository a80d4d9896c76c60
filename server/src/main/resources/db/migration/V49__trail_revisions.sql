-- Which state a student's trails are in: another one after every transaction that changed any of them, so that who has read
-- them once need not read them again. Null where nothing was ever heard.
alter table student
    add column trail_revision uuid,
    add column trail_changed_in xid8;

update student s set trail_revision = gen_random_uuid()
where exists (select 1 from attempt_trail t where t.program_id = s.program_id and t.student_id = s.id);

create function trail_revision_follows() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
declare
    of_program uuid := case when tg_op = 'DELETE' then old.program_id else new.program_id end;
    of_student uuid := case when tg_op = 'DELETE' then old.student_id else new.student_id end;
begin
    update student
    set trail_revision = gen_random_uuid(), trail_changed_in = pg_current_xact_id()
    where program_id = of_program and id = of_student and trail_changed_in is distinct from pg_current_xact_id();
    return null;
end
$$;

create trigger trail_revision_follows after insert or update or delete on attempt_trail
    for each row execute function trail_revision_follows();
