-- What we need from the client, in parts; seen by those who are asked only, never by aperture.
create table request (
  id uuid primary key,
  project_id uuid not null references project,
  title varchar(480) not null,
  why varchar(8000) not null,
  folder_id uuid references item,
  allowance_days integer not null check (allowance_days between 1 and 250),
  made_by varchar(480) not null,
  created_at timestamp with time zone not null,
  sent_at timestamp with time zone,
  due_at timestamp with time zone,
  turn varchar(8) not null check (position('|' || turn || '|' in '|OURS|CLIENTS|NOBODYS|') > 0),
  held_at timestamp with time zone not null,
  withdrawn_at timestamp with time zone,
  withdraw_reason varchar(2000),
  revision integer not null
);
create index request_of_project on request (project_id);

create table request_asked (
  request_id uuid not null references request,
  contact_id uuid not null references contact,
  position integer not null,
  primary key (request_id, contact_id)
);
create index request_asked_contact on request_asked (contact_id);

create table request_part (
  id uuid primary key,
  request_id uuid not null references request,
  position integer not null,
  name varchar(480) not null,
  takes varchar(8) not null
    check (position('|' || takes || '|' in '|FILES|TEXT|CHOICE|ADDRESS|ACCESS|DAY|LINK|') > 0),
  choices text not null,
  wanted integer not null check (wanted between 1 and 1000),
  checks text not null,
  good varchar(2000) not null,
  bad varchar(2000) not null
);
create index request_part_of on request_part (request_id);

-- What was given for a part: what was found in it, what the checks said, and what the team made of it.
create table supplied (
  id uuid primary key,
  request_id uuid not null references request,
  part_id uuid not null references request_part,
  sha256 varchar(64) not null,
  name varchar(480) not null,
  facts text not null,
  findings text not null,
  typed text,
  given_by varchar(480) not null,
  given_at timestamp with time zone not null,
  door varchar(8) not null check (position('|' || door || '|' in '|PAGE|MAIL|') > 0),
  all_the_same varchar(2000),
  standing varchar(16) not null
    check (position('|' || standing || '|' in '|ARRIVED|ACCEPTED|ASKED_AGAIN|TAKEN_BACK|') > 0),
  settled_by varchar(480),
  settled_at timestamp with time zone,
  settled_words varchar(2000)
);
create index supplied_for on supplied (request_id);
create index supplied_part on supplied (part_id);
create index supplied_content on supplied (sha256);

-- Somebody who is named for one request is asked it as soon as they have their seat.
alter table seat_wish add column request_id uuid references request;
