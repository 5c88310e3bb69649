create trigger record_entry_only_grows before update, delete on record_entry for each row call 'app.clearpane.store.record.OnlyGrows';
