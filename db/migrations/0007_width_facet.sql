-- The facet `wide` is called `width`, and its values are fit, rest and drawn.
create function pg_temp.width_of(value jsonb) returns jsonb language sql as $$
  select case value
    when '"hug"' then '"fit"'::jsonb
    when '"fill"' then '"rest"'::jsonb
    when '"set"' then '"drawn"'::jsonb
    else value
  end
$$;

update tags set facet = 'width', value = pg_temp.width_of(value) where facet = 'wide';

update edits
   set changes = (
     select jsonb_agg(
              case when change ->> 'facet' = 'wide'
                then change || jsonb_build_object(
                  'facet', 'width',
                  'before', pg_temp.width_of(change -> 'before'),
                  'after', pg_temp.width_of(change -> 'after'))
                else change
              end
              order by place)
       from jsonb_array_elements(changes) with ordinality as t(change, place))
 where changes @> '[{"facet": "wide"}]';

update builds
   set tags = (
     select jsonb_object_agg(
              layer,
              case when tag ? 'wide'
                then (tag - 'wide') || jsonb_build_object('width', pg_temp.width_of(tag -> 'wide'))
                else tag
              end)
       from jsonb_each(tags) as t(layer, tag))
 where jsonb_path_exists(tags, '$.*.wide');
