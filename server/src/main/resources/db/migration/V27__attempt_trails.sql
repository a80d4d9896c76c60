-- What a student's attempts with a milestone come down to once corrections are applied, packed, so that a page reads one
-- row for each student and milestone however often it was tried. Nobody writes here but the trigger on attempt.
create table attempt_trail (
    program_id uuid not null,
    student_id uuid not null,
    milestone_id uuid not null,
    instruments text[] not null,
    -- Six bytes for each attempt that stands, in the order heard; see attempt_trail_step.
    steps bytea not null,
    -- The latest moment of hearing among all of the attempts, also those corrected.
    last_heard_at timestamptz not null,
    constraint attempt_trail_pk primary key (program_id, student_id, milestone_id)
);

-- Day since 2000-01-01, version, and the rest in one number, each a signed 16-bit integer, the highest byte first.
create function attempt_trail_step(
    instrument_place integer, heard_on date, version integer, evidence text, outcome text, waived boolean)
returns bytea language sql immutable as $$
    select int2send((heard_on - date '2000-01-01')::smallint)
        || int2send(version::smallint)
        || int2send((((instrument_place * 5
                + array_position(array['LIVE_ALONE', 'LIVE_WITH_SECTION', 'PARTNER_CHECK', 'RECORDING', 'SUBSTITUTE'], evidence) - 1) * 5
                + array_position(array['PASS', 'NOT_YET', 'EXCUSED', 'ABSENT', 'UNDONE'], outcome) - 1) * 2
                + waived::integer)::smallint)
$$;

-- Writes trails anew from the attempts: of one student and milestone, or of all of a programme where those are null.
create function rebuild_attempt_trails(of_program uuid, of_student uuid, of_milestone uuid)
returns void language sql as $$
    insert into attempt_trail (program_id, student_id, milestone_id, instruments, steps, last_heard_at)
    select a.program_id, a.student_id, a.milestone_id, i.instruments,
           coalesce(
               string_agg(
                   attempt_trail_step(
                       array_position(i.instruments, a.instrument) - 1, a.heard_on, a.milestone_version, a.evidence, a.outcome,
                       a.waived),
                   '' order by a.heard_at, a.recorded_at, a.id)
               filter (where a.outcome <> 'UNDONE' and not exists (
                   select 1 from attempt c where c.program_id = a.program_id and c.corrects_id = a.id)),
               ''),
           max(a.heard_at)
    from attempt a
    join (
        select program_id, student_id, milestone_id, array_agg(distinct instrument) as instruments
        from attempt
        where program_id = of_program
          and (of_student is null or student_id = of_student)
          and (of_milestone is null or milestone_id = of_milestone)
        group by program_id, student_id, milestone_id
    ) i on i.program_id = a.program_id and i.student_id = a.student_id and i.milestone_id = a.milestone_id
    where a.program_id = of_program
      and (of_student is null or a.student_id = of_student)
      and (of_milestone is null or a.milestone_id = of_milestone)
    group by a.program_id, a.student_id, a.milestone_id, i.instruments
    on conflict (program_id, student_id, milestone_id) do update
        set instruments = excluded.instruments, steps = excluded.steps, last_heard_at = excluded.last_heard_at
$$;

-- An attempt that came in order is put behind the others; a correction or a late one writes the trail anew.
create function attempt_trail_follows() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
    if new.corrects_id is null then
        insert into attempt_trail as t (program_id, student_id, milestone_id, instruments, steps, last_heard_at)
        values (new.program_id, new.student_id, new.milestone_id, array[new.instrument],
                attempt_trail_step(0, new.heard_on, new.milestone_version, new.evidence, new.outcome, new.waived),
                new.heard_at)
        on conflict (program_id, student_id, milestone_id) do update
            set instruments = case
                    when new.instrument = any (t.instruments) then t.instruments
                    else t.instruments || new.instrument
                end,
                steps = t.steps || attempt_trail_step(
                    coalesce(array_position(t.instruments, new.instrument), cardinality(t.instruments) + 1) - 1,
                    new.heard_on, new.milestone_version, new.evidence, new.outcome, new.waived),
                last_heard_at = new.heard_at
            where t.last_heard_at <= new.heard_at;
        if found then
            return null;
        end if;
    else
        perform 1 from attempt_trail
        where program_id = new.program_id and student_id = new.student_id and milestone_id = new.milestone_id
        for update;
    end if;
    perform rebuild_attempt_trails(new.program_id, new.student_id, new.milestone_id);
    return null;
end
$$;

select rebuild_attempt_trails(id, null, null) from program;

create trigger attempt_trail_follows after insert on attempt
    for each row execute function attempt_trail_follows();

-- What was heard on a day, for the order of the next run.
create index attempt_by_day on attempt (program_id, heard_on, student_id);

-- The latest tries of a student with a milestone, read without the others.
create index attempt_by_student_milestone_and_moment
    on attempt (program_id, student_id, milestone_id, heard_at desc, recorded_at desc);
drop index attempt_by_student_and_milestone;
