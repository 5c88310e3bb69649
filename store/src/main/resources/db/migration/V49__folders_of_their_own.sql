-- Folders that a client's people made at their pane, for what they keep there themselves.
alter table folder add pane_id uuid references pane;
create index folder_of_pane on folder (pane_id);
