-- Whole deliveries of a release's files, for each recipient and day beside each other. Looks at an address, parts of files and answers without bytes are none.
create table release_delivery (
  recipient_id uuid not null references release_recipient,
  delivered_on date not null,
  what varchar(12) not null,
  times integer not null,
  size_bytes bigint not null,
  primary key (recipient_id, delivered_on, what)
);
