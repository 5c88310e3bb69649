-- Per kind, the most that any pane may let through, and what panes let through that follow the starting point. A kind without a row has no ceiling and starts closed.
create table agency_aperture (
  kind varchar(16) primary key,
  ceiling varchar(16) not null check (position('|' || ceiling || '|' in '|CLOSED|PICKED|FILTERED|OPEN|') > 0),
  starting_point varchar(16) not null check (position('|' || starting_point || '|' in '|CLOSED|PICKED|FILTERED|OPEN|') > 0),
  set_by varchar(480) not null,
  set_at timestamp with time zone not null
);

-- Whether a pane follows the starting point, as published and as pending; else its own apertures count.
alter table pane add column follows boolean default false not null;
alter table pane add column follows_pending boolean default false not null;
