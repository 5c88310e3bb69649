-- Who put a file beside a task is kept by identity, so that they can be forgotten; what was kept before is a name.
alter table task_file rename column author_name to added_by;
alter table task_file alter column added_by set data type varchar(540);
