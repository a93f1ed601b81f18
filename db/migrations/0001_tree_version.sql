-- The first databases lack this column: their trees are read anew.
alter table revisions add column if not exists tree_version integer not null default 0;
alter table revisions alter column tree_version drop default;
