-- What a project is for, in words of its own, and how it stands, as its manager says it; clients with an open view of the status read what is shown.
create table project_words (
  project_id uuid not null references project,
  part varchar(16) not null check (position('|' || part || '|' in '|PURPOSE|INCLUDED|EXCLUDED|MEASURE|') > 0),
  words varchar(16000) not null,
  shown boolean not null,
  revision integer not null,
  primary key (project_id, part)
);
create table project_said (
  id uuid primary key,
  project_id uuid not null references project,
  said varchar(8000) not null,
  said_by varchar(480) not null,
  said_at timestamp with time zone not null,
  shown boolean not null
);
create index project_said_of on project_said (project_id, said_at);
