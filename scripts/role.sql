-- The role of the application: it owns its database and is no superuser. Run by the superuser of the cluster, at every
-- start; objects of an earlier Orden are given to the role.
select 'create role orden login createdb' where not exists (select from pg_roles where rolname = 'orden') \gexec
select format('alter role orden password %L', :'password') \gexec
alter database postgres owner to orden;
select format('alter schema %I owner to orden', nspname)
  from pg_namespace where nspname in ('public', 'pgboss') and nspowner <> 'orden'::regrole \gexec
select format('alter table %I.%I owner to orden', nspname, relname)
  from pg_class c join pg_namespace n on n.oid = relnamespace
 where nspname in ('public', 'pgboss') and relkind in ('r', 'p', 'v') and relowner <> 'orden'::regrole \gexec
select format('alter type %I.%I owner to orden', nspname, typname)
  from pg_type t join pg_namespace n on n.oid = typnamespace
 where nspname in ('public', 'pgboss') and typtype = 'e' and typowner <> 'orden'::regrole \gexec
select format('alter function %s owner to orden', p.oid::regprocedure)
  from pg_proc p join pg_namespace n on n.oid = pronamespace
 where nspname in ('public', 'pgboss') and proowner <> 'orden'::regrole \gexec
