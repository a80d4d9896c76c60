-- The order in which attempts came in, whatever the clocks of devices say, so that who looks on can ask for what is new.
alter table attempt add column arrived bigint generated always as identity;
create index attempt_by_arrival on attempt (program_id, arrived);

-- Tells every instance of the application that attempts of a programme were recorded; what they are is read then.
create function attempt_arrived() returns trigger language plpgsql as $$
begin
    perform pg_notify('vivid_marks', of_program.program_id::text)
    from (select distinct program_id from added) of_program;
    return null;
end
$$;
create trigger attempt_is_told after insert on attempt
    referencing new table as added
    for each statement execute function attempt_arrived();
