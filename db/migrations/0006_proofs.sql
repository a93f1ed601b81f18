-- A built page held against its mockup: figures by screen and layer, and the pictures of it.
create table proofs (
  build_id uuid primary key references builds on delete cascade,
  state text not null default 'waiting' check (state in ('waiting', 'running', 'done', 'failed')),
  problem text,
  screens jsonb,
  created_at timestamptz not null default now()
);

create table proof_pictures (
  build_id uuid not null references proofs on delete cascade,
  path text not null,
  digest text not null references blobs,
  primary key (build_id, path)
);
