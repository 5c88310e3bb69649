-- Who signs a deliverable, in order; nobody here means every signatory of its pane.
create table deliverable_signatory (
  deliverable_id uuid not null references deliverable,
  contact_id uuid not null references contact,
  position integer not null,
  primary key (deliverable_id, contact_id)
);
create index deliverable_signatory_contact on deliverable_signatory (contact_id);

-- How signing usually goes in a project: what a new deliverable begins with.
create table project_signing (
  project_id uuid primary key references project,
  rule varchar(16) not null check (position('|' || rule || '|' in '|ALL|ANY|AT_LEAST|IN_ORDER|') > 0),
  rule_least integer,
  review_days integer not null,
  rounds_included integer not null,
  extra_fee decimal(12, 2) not null,
  checklist varchar(8000) not null,
  revision integer not null
);

-- A round beyond those included, accepted by somebody of the client's.
create table extra_round (
  deliverable_id uuid not null references deliverable,
  round_number integer not null,
  fee decimal(12, 2) not null,
  contact_id uuid not null references contact,
  accepted_by varchar(480) not null,
  accepted_at timestamp with time zone not null,
  primary key (deliverable_id, round_number)
);
create index extra_round_contact on extra_round (contact_id);

-- An owner's reason to release in spite of one condition, for one version.
create table waiver (
  version_id uuid not null references version,
  condition varchar(20) not null,
  reason varchar(2000) not null,
  waived_by varchar(480) not null,
  waived_at timestamp with time zone not null,
  primary key (version_id, condition)
);

-- What is looked at before a deliverable is released.
create table checklist_line (
  id uuid primary key,
  deliverable_id uuid not null references deliverable,
  words varchar(800) not null,
  position integer not null
);
create index checklist_line_of on checklist_line (deliverable_id);

create table checklist_tick (
  line_id uuid not null references checklist_line,
  version_id uuid not null references version,
  ticked_by varchar(480) not null,
  ticked_at timestamp with time zone not null,
  primary key (line_id, version_id)
);
create index checklist_tick_version on checklist_tick (version_id);

-- Somebody who gets exactly the files of a release, by a link of their own.
create table release_recipient (
  id uuid primary key,
  release_id uuid not null references release,
  name varchar(480) not null,
  email varchar(254) not null,
  key_hash varchar(64) not null unique,
  expires_at timestamp with time zone not null,
  created_at timestamp with time zone not null,
  fetched integer not null,
  fetched_at timestamp with time zone
);
create index release_recipient_of on release_recipient (release_id);

-- A fault that was found in the Record; shouted until somebody has dealt with it.
create table record_fault (
  id uuid primary key,
  chain_id uuid not null,
  sequence bigint not null,
  said varchar(1000) not null,
  found_at timestamp with time zone not null,
  settled_at timestamp with time zone
);

-- Somebody who decides in place of a signatory who is away.
create table stand_in (
  id uuid primary key,
  project_id uuid not null references project,
  contact_id uuid not null references contact,
  stand_in_contact uuid not null references contact,
  from_on date not null,
  until_on date not null,
  set_by varchar(480) not null,
  ended_at timestamp with time zone
);
create index stand_in_of on stand_in (project_id);
create index stand_in_away on stand_in (contact_id);
create index stand_in_by on stand_in (stand_in_contact);
