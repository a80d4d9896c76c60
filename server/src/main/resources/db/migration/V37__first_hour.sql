alter table program
    -- When a director said what the school is called; null while it has the name it was opened with.
    add column named_at timestamptz,
    -- Campuses in the order they are shown; empty where there is one.
    add column campuses text[] not null default '{}',
    -- The programme beside which this made-up one stands, to be thrown away.
    add column aside_of uuid,
    add constraint program_aside_fk foreign key (aside_of) references program (id);
create unique index program_aside_once on program (aside_of) where aside_of is not null;
update program set named_at = created_at;

-- What a director leaves out of the guide, or has looked at.
create table start_step (
    program_id uuid not null,
    step text not null,
    kept_as text not null,
    kept_at timestamptz not null default now(),
    constraint start_step_pk primary key (program_id, step),
    constraint start_step_program_fk foreign key (program_id) references program (id),
    constraint start_step_kept_as_known check (kept_as in ('LEFT_OUT', 'SEEN'))
);

-- Attempts of a made-up programme go with it when it is thrown away; no other attempt ever goes.
create or replace function attempt_is_append_only() returns trigger language plpgsql as $$
begin
    if tg_op = 'UPDATE'
        and current_setting('vividroster.erasing', true) = old.student_id::text
        and to_jsonb(new) - array['reason', 'note'] = to_jsonb(old) - array['reason', 'note']
        and new.note = '' and new.reason in ('', 'erased')
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

-- Takes a made-up programme away with everything in it. Does nothing for a real one.
create function throw_away_aside(of_program uuid) returns void
language plpgsql security definer set search_path = public, pg_temp as $$
declare
    owned text;
    waiting text[];
    still text[];
begin
    if not exists (select 1 from program where id = of_program and aside_of is not null) then
        return;
    end if;
    perform set_config('vividroster.throwing_away', of_program::text, true);
    select array_agg(table_name order by table_name) into waiting
    from information_schema.columns
    where table_schema = 'public' and column_name = 'program_id';
    -- A table goes when nothing points into it any more; each round takes at least one, or something is wrong.
    while cardinality(waiting) > 0 loop
        still := '{}';
        foreach owned in array waiting loop
            begin
                execute format('delete from %I where program_id = $1', owned) using of_program;
            exception when foreign_key_violation then
                still := still || owned;
            end;
        end loop;
        if still = waiting then
            raise exception 'rows of a made-up programme hold one another: %', still;
        end if;
        waiting := still;
    end loop;
    delete from program where id = of_program;
    perform set_config('vividroster.throwing_away', '', true);
end
$$;
