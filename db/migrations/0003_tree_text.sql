-- Trees go to the browser as they were written: `json` keeps the text, `jsonb` would print it anew for every opening.
alter table revisions alter column tree type json;
alter table readings alter column tree type json;
