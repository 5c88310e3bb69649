-- Who took something away, as they were called then.
alter table item add deleted_by varchar(480);
