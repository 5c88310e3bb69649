-- How the agency stands to a client, and who has left theirs.
alter table client add relation varchar(16) default 'ACTIVE' not null check (position('|' || relation || '|' in '|PROSPECT|ACTIVE|PAST|LOST|') > 0);
alter table contact add left_at timestamp with time zone;
