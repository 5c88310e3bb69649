-- A link by which one of the team chooses a new password, once. Only the digest of its key is kept.
create table password_key (
  key_hash varchar(64) primary key,
  member_id uuid not null references team_member,
  created_at timestamp with time zone not null,
  expires_at timestamp with time zone not null,
  used_at timestamp with time zone
);
create index password_key_of on password_key (member_id);

-- From where an account was signed in to before, as a digest of both: there, nobody else's wrong tries count.
create table known_place (
  place_hash varchar(64) primary key,
  member_id uuid not null references team_member,
  last_at timestamp with time zone not null
);
create index known_place_of on known_place (member_id);

-- How long the team stays signed in: hours without a page, and days whatever happens.
alter table agency add column idle_hours integer default 12 not null;
alter table agency add column session_days integer default 7 not null;
