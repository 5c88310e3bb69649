-- The particulars of a client, kept by its own people and used everywhere.
create table particulars (
  client_id uuid primary key references client,
  legal_name varchar(480) not null,
  address varchar(2000) not null,
  hours varchar(800) not null,
  tax_number varchar(160) not null,
  revision integer not null,
  set_by varchar(540) not null,
  set_at timestamp with time zone not null
);

-- Its logo in its forms, as files.
create table client_logo (
  id uuid primary key,
  client_id uuid not null references client,
  name varchar(480) not null,
  sha256 varchar(64) not null,
  media_type varchar(120) not null,
  size_bytes bigint not null,
  added_by varchar(540) not null,
  created_at timestamp with time zone not null
);
create index client_logo_of on client_logo (client_id);
