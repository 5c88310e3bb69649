-- A check of the form "column in (…)" would keep hold of the connection that made it and fail once that is closed; these ask for a position instead.
create table agency (
  id uuid primary key,
  name varchar(480) not null,
  zone varchar(64) not null,
  created_at timestamp with time zone not null
);

create table team_member (
  id uuid primary key,
  name varchar(480) not null,
  email varchar(254) not null unique,
  role varchar(16) not null check (position('|' || role || '|' in '|OWNER|MANAGER|MAKER|') > 0),
  password_hash varchar(400),
  ended_at timestamp with time zone,
  created_at timestamp with time zone not null
);

create table client (
  id uuid primary key,
  name varchar(480) not null,
  created_at timestamp with time zone not null
);

create table contact (
  id uuid primary key,
  client_id uuid not null references client,
  name varchar(480) not null,
  email varchar(254) not null unique,
  says varchar(480) not null,
  created_at timestamp with time zone not null
);
create index contact_of_client on contact (client_id);

create table project (
  id uuid primary key,
  client_id uuid not null references client,
  manager_id uuid not null references team_member,
  name varchar(480) not null,
  cover varchar(16) not null,
  currency varchar(3) not null,
  tax_percent decimal(5, 2) not null,
  starts_on date not null,
  agreed_on date not null,
  archived_at timestamp with time zone,
  revision integer not null,
  created_at timestamp with time zone not null
);
create index project_of_client on project (client_id);

create table phase (
  id uuid primary key,
  project_id uuid not null references project,
  name varchar(480) not null,
  position integer not null,
  starts_on date not null,
  ends_on date not null,
  stage varchar(16) not null check (position('|' || stage || '|' in '|TO_DO|UNDER_WAY|DONE|') > 0),
  revision integer not null
);
create index phase_of_project on phase (project_id);

-- Everything that can be shown or held back one by one.
create table item (
  id uuid primary key,
  project_id uuid not null references project,
  kind varchar(16) not null check (position('|' || kind || '|' in '|DATES|TASKS|FILES|DELIVERABLES|CONCERNS|') > 0),
  name varchar(480) not null,
  parent_id uuid references item,
  created_at timestamp with time zone not null,
  deleted_at timestamp with time zone
);
create index item_of_project on item (project_id, kind);

-- Every item is an ancestor of itself at depth 0, so one join finds what holds it back from above.
create table item_ancestor (
  item_id uuid not null references item,
  ancestor_id uuid not null references item,
  depth integer not null,
  primary key (item_id, ancestor_id)
);

create table milestone (
  item_id uuid primary key references item,
  falls_on date not null,
  reached boolean not null,
  revision integer not null
);

create table folder (
  item_id uuid primary key references item
);

create table file (
  item_id uuid primary key references item,
  sha256 varchar(64) not null,
  media_type varchar(120) not null,
  size_bytes bigint not null,
  added_by varchar(480) not null
);
create index file_content on file (sha256);

create table pane (
  id uuid primary key,
  project_id uuid not null references project,
  name varchar(480) not null,
  welcome varchar(4000) not null,
  published_at timestamp with time zone,
  closes_at timestamp with time zone,
  revision integer not null,
  created_at timestamp with time zone not null
);
create index pane_of_project on pane (project_id);

create table pane_aperture (
  pane_id uuid not null references pane,
  kind varchar(16) not null,
  published varchar(16) not null check (position('|' || published || '|' in '|CLOSED|PICKED|FILTERED|OPEN|') > 0),
  pending varchar(16) not null check (position('|' || pending || '|' in '|CLOSED|PICKED|FILTERED|OPEN|') > 0),
  primary key (pane_id, kind)
);

-- What was said of one item at one pane, as published and as pending.
create table showing (
  pane_id uuid not null references pane,
  item_id uuid not null references item,
  published varchar(16) not null check (position('|' || published || '|' in '|SHOWN|HELD_BACK|UNSET|') > 0),
  pending varchar(16) not null check (position('|' || pending || '|' in '|SHOWN|HELD_BACK|UNSET|') > 0),
  set_by varchar(480) not null,
  set_at timestamp with time zone not null,
  primary key (pane_id, item_id)
);
create index showing_of_item on showing (item_id);

-- Held back for every pane; at once, so without a pending state.
create table held_back_everywhere (
  item_id uuid primary key references item,
  set_by varchar(480) not null,
  set_at timestamp with time zone not null
);

create table seat (
  id uuid primary key,
  pane_id uuid not null references pane,
  contact_id uuid not null references contact,
  role varchar(16) not null check (position('|' || role || '|' in '|READER|REVIEWER|SIGNATORY|') > 0),
  lead_voice boolean not null,
  state varchar(16) not null check (position('|' || state || '|' in '|INVITED|ACCEPTED|ENDED|') > 0),
  invited_at timestamp with time zone,
  accepted_at timestamp with time zone,
  ended_at timestamp with time zone,
  revision integer not null,
  created_at timestamp with time zone not null,
  unique (pane_id, contact_id)
);
create index seat_of_contact on seat (contact_id);

create table deliverable (
  item_id uuid primary key references item,
  pane_id uuid not null references pane,
  about varchar(2000) not null,
  rule varchar(16) not null check (position('|' || rule || '|' in '|ALL|ANY|AT_LEAST|IN_ORDER|') > 0),
  rule_least integer,
  review_days integer not null check (review_days between 1 and 250),
  rounds_included integer not null,
  extra_fee decimal(12, 2) not null,
  position integer not null,
  revision integer not null
);
create index deliverable_of_pane on deliverable (pane_id);

create table version (
  id uuid primary key,
  deliverable_id uuid not null references deliverable,
  number integer,
  sha256 varchar(64) not null,
  file_name varchar(480) not null,
  media_type varchar(120) not null,
  size_bytes bigint not null,
  what_changed varchar(2000) not null,
  made_by varchar(480) not null,
  created_at timestamp with time zone not null,
  sent_at timestamp with time zone,
  unique (deliverable_id, number)
);
create index version_content on version (sha256);

-- The pages of a file as pictures, known by the file's content: the same file is drawn once.
create table drawing (
  source_sha256 varchar(64) primary key,
  media_type varchar(120) not null,
  pages integer not null,
  state varchar(16) not null check (position('|' || state || '|' in '|WAITING|DONE|FAILED|') > 0),
  failure varchar(1000)
);

create table sheet (
  source_sha256 varchar(64) not null references drawing,
  page integer not null,
  width double precision not null,
  height double precision not null,
  large_sha256 varchar(64) not null,
  small_sha256 varchar(64) not null,
  media_type varchar(120) not null,
  primary key (source_sha256, page)
);
create index sheet_large on sheet (large_sha256);
create index sheet_small on sheet (small_sha256);

create table round (
  id uuid primary key,
  version_id uuid not null unique references version,
  number integer not null,
  sent_at timestamp with time zone not null,
  due_at timestamp with time zone not null,
  rule varchar(16) not null,
  rule_least integer,
  closed_at timestamp with time zone,
  closed_by varchar(480),
  close_reason varchar(2000),
  outcome varchar(20),
  revision integer not null
);

create table round_signatory (
  round_id uuid not null references round,
  contact_id uuid not null references contact,
  position integer not null,
  lead_voice boolean not null,
  primary key (round_id, contact_id)
);
create index round_signatory_contact on round_signatory (contact_id);

create table sign_off (
  id uuid primary key,
  round_id uuid not null references round,
  contact_id uuid not null references contact,
  decision varchar(20) not null,
  sentence varchar(4000) not null,
  typed_name varchar(480) not null,
  sha256 varchar(64) not null,
  made_at timestamp with time zone not null,
  taken_back_at timestamp with time zone,
  batch_id uuid,
  stand_in_contact uuid references contact,
  stand_in_name varchar(480),
  sequence bigint generated by default as identity
);
create index sign_off_stand_in on sign_off (stand_in_contact);
create index sign_off_of_round on sign_off (round_id);

create table markup (
  id uuid primary key,
  version_id uuid not null references version,
  pane_id uuid not null references pane,
  number integer,
  team_number integer,
  page integer not null,
  shape varchar(12) not null check (position('|' || shape || '|' in '|NONE|POINT|RECTANGLE|ELLIPSE|LINE|ARROW|FREEHAND|') > 0),
  spots text,
  x1 double precision not null,
  y1 double precision not null,
  x2 double precision not null,
  y2 double precision not null,
  text_start integer,
  quote varchar(4000),
  quote_before varchar(32),
  quote_after varchar(32),
  seconds_from double precision,
  seconds_to double precision,
  intent varchar(12) not null check (position('|' || intent || '|' in '|CHANGE|QUESTION|IDEA|KEEP|') > 0),
  progress varchar(12) not null,
  note varchar(4000) not null,
  replacement varchar(4000),
  author varchar(480) not null,
  author_contact uuid references contact,
  author_member uuid references team_member,
  origin varchar(400),
  fixed_in uuid references version,
  revision integer not null,
  created_at timestamp with time zone not null,
  unique (version_id, pane_id, number),
  unique (version_id, pane_id, team_number)
);

create table markup_answer (
  id uuid primary key,
  markup_id uuid not null references markup,
  act varchar(12),
  said varchar(4000) not null,
  team_only boolean not null,
  author varchar(480) not null,
  author_contact uuid references contact,
  author_member uuid references team_member,
  created_at timestamp with time zone not null,
  sequence bigint generated by default as identity
);
create index markup_answer_of on markup_answer (markup_id);

-- What a mark said before it was changed by its author.
create table markup_edit (
  markup_id uuid not null references markup,
  note varchar(4000) not null,
  intent varchar(12) not null,
  replacement varchar(4000),
  edited_at timestamp with time zone not null,
  sequence bigint generated by default as identity
);
create index markup_edit_of on markup_edit (markup_id);

create table release (
  id uuid primary key,
  deliverable_id uuid not null references deliverable,
  version_id uuid not null references version,
  released_at timestamp with time zone not null,
  released_by varchar(480) not null,
  bundle_sha256 varchar(64),
  bundle_size bigint,
  certificate_sha256 varchar(64),
  failure varchar(1000),
  recalled_at timestamp with time zone,
  recalled_by varchar(480),
  recall_reason varchar(2000),
  replaces_id uuid references release
);
create index release_certificate on release (certificate_sha256);
create index release_replaces on release (replaces_id);
create index release_of on release (deliverable_id);

create table record_chain (
  id uuid primary key,
  next_sequence bigint not null,
  newest_hash varchar(64) not null
);

create table record_entry (
  chain_id uuid not null references record_chain,
  sequence bigint not null,
  previous varchar(64) not null,
  hash varchar(64) not null,
  act varchar(60) not null,
  actor varchar(480) not null,
  subject varchar(480) not null,
  about uuid not null,
  at timestamp with time zone not null,
  payload_hash varchar(64) not null,
  payload text not null,
  primary key (chain_id, sequence)
);
create index record_about on record_entry (about);

-- The words of every entry, so that a long story is searched without reading all of it.
create table record_word (
  chain_id uuid not null,
  word varchar(64) not null,
  sequence bigint not null,
  primary key (chain_id, word, sequence),
  foreign key (chain_id, sequence) references record_entry
);
create index record_word_of on record_word (chain_id, sequence, word);

-- A link that stands for one person's mailbox. Only the digest of its key is kept.
create table way_in (
  id uuid primary key,
  key_hash varchar(64) not null unique,
  contact_id uuid references contact,
  member_id uuid references team_member,
  leads_to varchar(400) not null,
  created_at timestamp with time zone not null,
  expires_at timestamp with time zone not null,
  used_at timestamp with time zone,
  revoked_at timestamp with time zone,
  lasting boolean not null
);
create index way_in_contact on way_in (contact_id);

create table mail (
  id uuid primary key,
  recipient_name varchar(480) not null,
  recipient varchar(254) not null,
  subject varchar(400) not null,
  html text not null,
  plain text not null,
  contact_id uuid references contact,
  created_at timestamp with time zone not null,
  sent_at timestamp with time zone,
  attempts integer not null,
  failure varchar(1000)
);
