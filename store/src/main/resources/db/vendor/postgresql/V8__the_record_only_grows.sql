create function record_entry_only_grows() returns trigger language plpgsql as $$ begin raise exception 'the Record only grows: its entries are neither changed nor deleted'; end $$;
create trigger record_entry_only_grows before update or delete on record_entry for each row execute function record_entry_only_grows();
create trigger record_entry_is_not_emptied before truncate on record_entry for each statement execute function record_entry_only_grows();
