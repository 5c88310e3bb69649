-- People of their own side whom a lead voice wishes to have at a pane; given a seat or not by the manager.
create table seat_wish (
  id uuid primary key,
  pane_id uuid not null references pane,
  contact_id uuid not null references contact,
  name varchar(480) not null,
  email varchar(254) not null,
  says varchar(480) not null,
  role varchar(16) not null check (position('|' || role || '|' in '|READER|REVIEWER|SIGNATORY|') > 0),
  wished_at timestamp with time zone not null,
  settled_at timestamp with time zone,
  given boolean,
  answer varchar(1600) default '' not null
);
create index seat_wish_of on seat_wish (pane_id);

-- The address of a link, sealed, so that managers can see it again.
alter table link_seat add sealed_address varchar(1000);

-- Whether what is said in a project starts for the client, where it is not said otherwise.
alter table project add says_to_client boolean default false not null;

-- The house's own work: a client that is none.
alter table client add own boolean default false not null;
