-- Layers have opaque ids instead of paths that begin with the file's name. The ids are those that the readers give to
-- layers at these paths (src/core/mockup/identity.ts): a chain of FNV-1a hashes from the sheet down.
create function pg_temp.fnv1a(bytes bytea, basis bigint) returns bigint language plpgsql as $$
declare
  value bigint := basis;
begin
  for at in 0 .. length(bytes) - 1 loop
    value := ((value # get_byte(bytes, at)::bigint) * 16777619) % 4294967296;
  end loop;
  return value;
end
$$;

create function pg_temp.layer_hash(name text) returns text language plpgsql as $$
declare
  bytes bytea := convert_to(name, 'UTF8');
  first bigint := pg_temp.fnv1a(bytes, 2166136261);
begin
  return lpad(to_hex(first), 8, '0') || lpad(to_hex(pg_temp.fnv1a(bytes, first)), 8, '0');
end
$$;

-- The path of an earlier key: without the file's name, and with a fixed name for the bitmap of a flat picture.
create function pg_temp.layer_path(key text, format text) returns text language sql as $$
  select case
    when format = 'flat' then regexp_replace(regexp_replace(key, '^/[^/]*', ''), '^/[^/]+', '/picture')
    else regexp_replace(key, '^/[^/]*', '')
  end
$$;

create function pg_temp.layer_id(key text, format text) returns text language plpgsql as $$
declare
  id text := pg_temp.layer_hash('/');
  name text;
begin
  foreach name in array string_to_array(pg_temp.layer_path(key, format), '/') loop
    if name <> '' then
      id := pg_temp.layer_hash(id || '/' || name);
    end if;
  end loop;
  return id;
end
$$;

alter table tags rename column layer_key to layer_id;
update tags set layer_id = pg_temp.layer_id(layer_id, m.format) from mockups m where m.id = tags.mockup_id;

update edits
   set changes = (
     select coalesce(jsonb_agg(change || jsonb_build_object('layer', pg_temp.layer_id(change ->> 'layer', m.format))
                               order by place), '[]'::jsonb)
       from jsonb_array_elements(changes) with ordinality as t(change, place))
  from mockups m where m.id = edits.mockup_id;

update builds
   set tags = (
     select coalesce(jsonb_object_agg(pg_temp.layer_id(layer, m.format), tag), '{}'::jsonb)
       from jsonb_each(tags) as t(layer, tag))
  from mockups m where m.id = builds.mockup_id;

update proofs
   set screens = (
     select jsonb_agg(screen || jsonb_build_object('worst', (
              select coalesce(jsonb_agg(worst || jsonb_build_object(
                       'layer', pg_temp.layer_id(worst ->> 'layer', m.format),
                       'path', pg_temp.layer_path(worst ->> 'layer', m.format)) order by rank), '[]'::jsonb)
                from jsonb_array_elements(screen -> 'worst') with ordinality as w(worst, rank)))
              order by place)
       from jsonb_array_elements(screens) with ordinality as t(screen, place))
  from builds b join mockups m on m.id = b.mockup_id
 where b.id = proofs.build_id and jsonb_typeof(screens) = 'array';

-- A build keeps what is shown of it: layers, decisions, boxes, and which layer wrote which lines.
alter table builds add column record_digest text references blobs;

-- Every reading of a file is a revision of its own; none is changed later.
alter table revisions add column cause text not null default 'file' check (cause in ('file', 'fonts', 'update'));
