-- A file that was read and is not on the shelf yet.
create table readings (
  id uuid primary key,
  file_name text not null,
  source_digest text not null references blobs,
  picture_digest text not null references blobs,
  tree jsonb not null,
  tree_version integer not null,
  findings jsonb not null,
  layer_count integer not null,
  -- Digests of the assets by their names.
  assets jsonb not null,
  created_at timestamptz not null default now()
);

-- Font files that people added; every reading may be set in them.
create table fonts (
  digest text primary key references blobs,
  file_name text not null,
  family text not null,
  weight integer not null,
  italic boolean not null,
  created_at timestamptz not null default now()
);
