-- Who made an edit: the window that it came from, and the name that its person goes by.
alter table edits
  add column editor_id uuid,
  add column editor_name text not null default '';
