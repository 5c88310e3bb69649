-- A project may be closed to the rest of the team; makers from outside see only those they are named for.
alter table project add closed boolean default false not null;
alter table team_member add role_held varchar(16) default 'MAKER' not null check (position('|' || role_held || '|' in '|OWNER|MANAGER|MAKER|OUTSIDE|') > 0);
update team_member set role_held = role;
alter table team_member drop column role;
alter table team_member alter column role_held rename to role;
