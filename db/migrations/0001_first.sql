create table projects (
  id uuid primary key default gen_random_uuid(),
  name text not null,
  -- Set for what the demo loads, so that loading it again changes nothing.
  demo_digest text unique,
  created_at timestamptz not null default now()
);

create table mockups (
  id uuid primary key default gen_random_uuid(),
  project_id uuid not null references projects on delete cascade,
  name text not null,
  format text not null
);
create index mockups_by_project on mockups (project_id);

-- Bytes by their SHA-256 digest, each kept once.
create table blobs (
  digest text primary key,
  bytes bytea not null
);

-- A reading of a file. The tree is the whole mockup as JSON.
create table revisions (
  id uuid primary key default gen_random_uuid(),
  mockup_id uuid not null references mockups on delete cascade,
  number integer not null,
  file_name text not null,
  source_digest text not null references blobs,
  picture_digest text not null references blobs,
  tree jsonb not null,
  -- Which shape of the tree this is; older ones are read anew from the source.
  tree_version integer not null,
  findings jsonb not null,
  layer_count integer not null,
  created_at timestamptz not null default now(),
  unique (mockup_id, number)
);

create table revision_assets (
  revision_id uuid not null references revisions on delete cascade,
  name text not null,
  digest text not null references blobs,
  primary key (revision_id, name)
);

-- The tags that hold now, a row a facet.
create table tags (
  mockup_id uuid not null references mockups on delete cascade,
  layer_key text not null,
  facet text not null,
  value jsonb not null,
  primary key (mockup_id, layer_key, facet)
);

-- Every edit ever made; undoing is an edit of its own.
create table edits (
  id bigint generated always as identity primary key,
  mockup_id uuid not null references mockups on delete cascade,
  kind text not null check (kind in ('set', 'undo', 'redo')),
  -- The edit that an undo or redo is about.
  about bigint references edits,
  changes jsonb not null,
  created_at timestamptz not null default now()
);
create index edits_by_mockup on edits (mockup_id, id);

create table builds (
  id uuid primary key default gen_random_uuid(),
  mockup_id uuid not null references mockups on delete cascade,
  revision_id uuid not null references revisions on delete cascade,
  options jsonb not null,
  tags jsonb not null,
  state text not null default 'waiting' check (state in ('waiting', 'running', 'done', 'failed', 'cancelled')),
  done integer not null default 0,
  total integer not null default 0,
  problem text,
  result jsonb,
  created_at timestamptz not null default now(),
  finished_at timestamptz
);
create index builds_by_mockup on builds (mockup_id, created_at desc);

create table build_files (
  build_id uuid not null references builds on delete cascade,
  path text not null,
  digest text not null references blobs,
  size integer not null,
  primary key (build_id, path)
);
