-- The filters of a Filtered aperture, as published and as pending.
create table pane_filter (
  pane_id uuid not null references pane,
  kind varchar(16) not null,
  named varchar(480) not null,
  published boolean not null,
  pending boolean not null,
  primary key (pane_id, kind, named)
);

-- The filters of ceilings and of the starting point.
create table agency_filter (
  kind varchar(16) not null,
  named varchar(480) not null,
  ceiling boolean not null,
  starting_point boolean not null,
  primary key (kind, named)
);

-- From when on new items of a kind arrive Shown at a pane; without a row they arrive unset.
create table pane_arrival (
  pane_id uuid not null references pane,
  kind varchar(16) not null,
  set_by varchar(480) not null,
  set_at timestamp with time zone not null,
  primary key (pane_id, kind)
);

-- From when on a pane is open; and what the guide says on somebody's first visit.
alter table pane add column opens_at timestamp with time zone;
alter table pane add column guide varchar(4000) default '' not null;

-- A cover of its own; empty for the project's.
alter table pane add column cover varchar(16) default '' not null;

-- When something last changed that those who see an item can notice.
alter table item add column changed_at timestamp with time zone;

-- How everybody works together, said once for all panes.
alter table agency add column house_rules varchar(4000) default '' not null;

-- A section of a pane's page with words of its own; one without a row has the usual ones, in the usual place.
create table pane_section (
  pane_id uuid not null references pane,
  kind varchar(16) not null,
  position integer not null,
  title varchar(480) not null,
  line varchar(1000) not null,
  off boolean not null,
  primary key (pane_id, kind)
);

-- A seat for whoever has the link. Only the digest of the key is kept.
create table link_seat (
  id uuid primary key,
  pane_id uuid not null references pane,
  name varchar(480) not null,
  key_hash varchar(64) not null unique,
  may_mark boolean not null,
  passcode_hash varchar(400),
  expires_at timestamp with time zone,
  revoked_at timestamp with time zone,
  created_by varchar(480) not null,
  created_at timestamp with time zone not null
);
create index link_seat_of_pane on link_seat (pane_id);

create table link_opening (
  id uuid primary key,
  link_seat_id uuid not null references link_seat,
  opened_at timestamp with time zone not null,
  guest_name varchar(480),
  guest_email varchar(480)
);
create index opening_of_link on link_opening (link_seat_id);

-- When a seat saw an item; a seat is one of seat or of link_seat.
create table sighting (
  item_id uuid not null references item,
  seat_id uuid not null,
  first_seen_at timestamp with time zone not null,
  last_seen_at timestamp with time zone not null,
  opened_at timestamp with time zone,
  downloads integer not null,
  downloaded_at timestamp with time zone,
  primary key (item_id, seat_id)
);
create index sighting_of_seat on sighting (seat_id);

-- When the present visit of a seat began, its last page, and the last page of the visit before.
create table visit (
  seat_id uuid primary key,
  pane_id uuid not null references pane,
  began_at timestamp with time zone not null,
  last_at timestamp with time zone not null,
  before_at timestamp with time zone,
  visits integer not null
);

-- A note for oneself or for the team, on a project, a contact or an item; never on the clients' side.
create table note (
  id uuid primary key,
  subject_id uuid not null,
  project_id uuid references project,
  body varchar(8000) not null,
  written_by uuid not null references team_member,
  for_team boolean not null,
  created_at timestamp with time zone not null,
  deleted_at timestamp with time zone
);
create index note_on on note (subject_id);
