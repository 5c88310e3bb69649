-- Who of the team works on a project, and what clients read of them there.
create table project_person (
  project_id uuid not null references project,
  member_id uuid not null references team_member,
  does varchar(480) not null,
  shown boolean not null,
  primary key (project_id, member_id)
);
create index project_person_of on project_person (member_id);
alter table team_member add phone varchar(160) default '' not null;
alter table team_member add reached varchar(480) default '' not null;

-- Pictures of people, logos and covers, drawn anew from what was brought.
create table house_picture (
  subject_id uuid not null,
  role varchar(16) not null check (position('|' || role || '|' in '|FACE|LOGO|COVER|') > 0),
  sha256 varchar(64) not null,
  media_type varchar(64) not null,
  primary key (subject_id, role)
);

-- A colour of the agency's own on clients' pages.
alter table agency add accent varchar(7) default '' not null;

-- Whether clients read how many hours went into a project.
alter table project add hours_shown boolean default false not null;
