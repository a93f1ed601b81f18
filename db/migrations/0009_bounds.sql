-- A small picture for the shelf, drawn when the file was read; null until it is asked for in older readings.
alter table revisions add column small_digest text references blobs;
alter table readings add column small_digest text references blobs;
-- The report on a file that is not on the shelf yet, as it is sent to the browser.
alter table readings add column report json;

-- The ids of all layers of a revision: an edit names one of them.
alter table revisions add column layer_ids text[] not null default '{}';
update revisions
   set layer_ids = coalesce((select array_agg(distinct id #>> '{}')
                               from jsonb_path_query(tree::jsonb, '$.screens.**.id') as t(id)
                              where jsonb_typeof(id) = 'string'), '{}');
alter table readings add column layer_ids text[] not null default '{}';

-- Font files belong to a project, or to a reading that is not on the shelf yet. So far they were everybody's.
alter table fonts rename to installed_fonts;
create table fonts (
  owner uuid not null,
  digest text not null references blobs,
  file_name text not null,
  family text not null,
  weight integer not null,
  italic boolean not null,
  size integer not null,
  created_at timestamptz not null default now(),
  primary key (owner, digest)
);
insert into fonts (owner, digest, file_name, family, weight, italic, size, created_at)
  select p.id, f.digest, f.file_name, f.family, f.weight, f.italic, length(b.bytes), f.created_at
    from projects p, installed_fonts f join blobs b on b.digest = f.digest;
drop table installed_fonts;

-- Undo takes back the newest edit of a person; a request that is sent again is carried out once.
alter table edits
  add column person_id uuid not null default '00000000-0000-0000-0000-000000000000',
  -- `dropped`: undone, and a newer edit was made since, so that it cannot be redone.
  add column standing text not null default 'done' check (standing in ('done', 'undone', 'dropped')),
  add column request_id uuid;
update edits
   set standing = case when exists (select 1 from edits newer
                                     where newer.mockup_id = edits.mockup_id and newer.kind = 'set' and newer.id > last.id)
                       then 'dropped' else 'undone' end
  from (select distinct on (about) about, kind, id from edits where about is not null order by about, id desc) last
 where last.about = edits.id and last.kind = 'undo';
create index edits_to_undo on edits (mockup_id, person_id, standing, id) where kind = 'set';
create unique index edits_by_request on edits (mockup_id, request_id) where request_id is not null;

-- How often work was begun: what ends its process each time is given up.
alter table builds add column attempts integer not null default 0;
alter table proofs add column attempts integer not null default 0;
