-- Where people are signed in, for them to see and to end.
create table signed_in (
  session_id varchar(36) primary key,
  principal varchar(100) not null,
  browser varchar(200) not null,
  address varchar(64) not null,
  signed_in_at timestamp with time zone not null
);
create index signed_in_as on signed_in (principal);
