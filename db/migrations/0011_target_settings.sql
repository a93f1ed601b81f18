-- What a person chooses about a target is a setting of that target: the unit of lengths, files of shared parts.
create function pg_temp.with_settings(options jsonb) returns jsonb language sql as $$
  select (options - 'unit' - 'fragments') || case
    when settings = '{}'::jsonb then '{}'::jsonb
    else jsonb_build_object('settings', settings)
  end
  from (select case when options ? 'unit' then jsonb_build_object('unit', options -> 'unit') else '{}'::jsonb end
            || case when options -> 'fragments' = 'true'::jsonb then '{"shared": "apart"}'::jsonb else '{}'::jsonb end
          as settings) as made
$$;

update builds set options = pg_temp.with_settings(options) where options ?| array['unit', 'fragments'];
update mockups set build_options = pg_temp.with_settings(build_options)
 where build_options ?| array['unit', 'fragments'];
