-- Folders say what belongs in them; a file keeps what stood in its place before.
alter table folder add column words varchar(480) default '' not null;
alter table file add column replaced_at timestamp with time zone;

create table file_version (
  item_id uuid not null references item,
  number integer not null,
  sha256 varchar(64) not null,
  media_type varchar(120) not null,
  size_bytes bigint not null,
  added_by varchar(480) not null,
  added_at timestamp with time zone not null,
  primary key (item_id, number)
);
create index file_version_content on file_version (sha256);
