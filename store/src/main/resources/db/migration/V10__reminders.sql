-- When people are reminded of what waits for them, and what was agreed on those who say nothing.
alter table agency add column remind boolean default true not null;
alter table agency add column remind_hour integer default 9 not null check (remind_hour between 0 and 23);
alter table agency add column remind_every integer default 2 not null check (remind_every between 1 and 30);
alter table agency add column remind_most integer default 3 not null check (remind_most between 0 and 12);

-- Each reminder goes out once, however often and wherever it is tried.
create table reminder (
  about uuid not null,
  contact_id uuid not null references contact,
  due_at timestamp with time zone not null,
  occasion varchar(16) not null,
  mail_id uuid references mail,
  written_at timestamp with time zone not null,
  primary key (about, contact_id, due_at, occasion)
);
create index reminder_contact on reminder (contact_id);
create index reminder_mail on reminder (mail_id);

create table silence_terms (
  project_id uuid primary key references project,
  working_days integer not null check (working_days between 1 and 60),
  agreed_where varchar(400) not null,
  set_by varchar(480) not null,
  set_at timestamp with time zone not null
);

alter table sign_off add column by_silence boolean default false not null;

-- A mail that tells of what may still be taken back waits until then.
alter table mail add column about uuid;
alter table mail add column certain_at timestamp with time zone;
create index mail_about on mail (about);
