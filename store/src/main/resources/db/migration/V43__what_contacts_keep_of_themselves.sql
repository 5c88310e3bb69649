-- What contacts keep of themselves: how they are reached, where they are, how they read dates, when we may write.
create table contact_own (
  contact_id uuid primary key references contact,
  phone varchar(160) not null,
  zone varchar(64),
  dates varchar(16),
  writes_from integer,
  writes_until integer,
  password_hash varchar(400)
);

-- Who asked to be forgotten, and who was.
alter table contact add asked_forgetting_at timestamp with time zone;
alter table contact add forgotten_at timestamp with time zone;

-- For how many days a link keeps a contact signed in on a device.
alter table agency add client_days integer default 90 not null;

-- What a mail to a contact said, kept for them to read again: without the key of the link that was in it.
alter table mail add says text;
alter table mail add button varchar(200);
alter table mail add page varchar(400);
create index mail_of_contact on mail (contact_id);
