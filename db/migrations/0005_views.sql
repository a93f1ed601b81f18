-- Queries that people keep, to look at the same layers of a mockup again.
create table views (
  mockup_id uuid not null references mockups on delete cascade,
  query text not null,
  created_at timestamptz not null default now(),
  primary key (mockup_id, query)
);
