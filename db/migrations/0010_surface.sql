-- How the page is to be built: one setting for all steps, kept with the mockup.
alter table mockups add column build_options jsonb;

-- The newest edit that a build includes, so that it can be said how old it is.
alter table builds add column last_edit bigint not null default 0;
update builds
   set last_edit = coalesce((select max(e.id) from edits e
                              where e.mockup_id = builds.mockup_id and e.created_at <= builds.created_at), 0);

-- A proof counts its screens, and can be stopped.
alter table proofs add column done integer not null default 0, add column total integer not null default 0;
alter table proofs drop constraint proofs_state_check;
alter table proofs add constraint proofs_state_check
  check (state in ('waiting', 'running', 'done', 'failed', 'cancelled'));
