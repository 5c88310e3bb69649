-- Proposals, contracts and invoices: seen by named recipients only, never by aperture.
create table paper (
  id uuid primary key,
  project_id uuid not null references project,
  kind varchar(16) not null check (position('|' || kind || '|' in '|PROPOSAL|CONTRACT|DATES|INVOICE|OTHER|') > 0),
  name varchar(480) not null,
  reference varchar(160) not null,
  amount decimal(14, 2),
  dated_on date not null,
  due_on date,
  sha256 varchar(64) not null,
  file_name varchar(480) not null,
  media_type varchar(120) not null,
  size_bytes bigint not null,
  made_by varchar(480) not null,
  created_at timestamp with time zone not null,
  sent_at timestamp with time zone,
  paid_on date,
  withdrawn_at timestamp with time zone,
  withdraw_reason varchar(2000),
  revision integer not null
);
create index paper_of_project on paper (project_id);
create index paper_content on paper (sha256);

create table paper_recipient (
  paper_id uuid not null references paper,
  contact_id uuid not null references contact,
  position integer not null,
  seen_at timestamp with time zone,
  named_at timestamp with time zone,
  typed_name varchar(480),
  primary key (paper_id, contact_id)
);
create index paper_recipient_contact on paper_recipient (contact_id);

-- The plan that a paper of dates was drawn up from; it is agreed on once everybody put their name to the paper.
create table dates_asked (
  paper_id uuid primary key references paper,
  finish_on date not null,
  plan text not null
);
