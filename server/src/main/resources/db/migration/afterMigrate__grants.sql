-- What the application's role may do, told anew after every migration. Over a server where one role does everything,
-- nothing can be taken from it.
do $grants$
declare
    app text := '${app}';
    added text;
begin
    -- Numbers of transactions begin anew where a copy was read back.
    update student set trail_changed_in = null where trail_changed_in is not null;
    if app = current_user then
        return;
    end if;
    execute format('grant usage on schema public to %I', app);
    execute format('revoke all on all tables in schema public from %I', app);
    execute format('grant select, insert, update, delete on all tables in schema public to %I', app);
    -- Only ever added to.
    foreach added in array array[
        'attempt', 'audit', 'milestone_version', 'criterion', 'technique_check_version', 'playing_test_version',
        'written_check_version', 'variant_review',
        'pain_follow_up'] loop
        execute format('revoke update, delete on %I from %I', added, app);
    end loop;
    execute format('revoke update on client_write from %I', app);
    execute format('revoke insert, update, delete on attempt_trail, flyway_schema_history from %I', app);
    execute 'revoke execute on function rebuild_attempt_trails(uuid, uuid, uuid) from public';
    execute 'revoke execute on function erase_words_of_student(uuid, uuid, uuid) from public';
    execute format('grant execute on function erase_words_of_student(uuid, uuid, uuid) to %I', app);
    execute 'revoke execute on function throw_away_aside(uuid) from public';
    execute format('grant execute on function throw_away_aside(uuid) to %I', app);
end
$grants$;
