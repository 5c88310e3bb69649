-- The second step of signing in: a secret shared with an app of the member's, sealed with a key that is not in the database.
create table second_factor (
  member_id uuid primary key references team_member,
  sealed_secret varchar(400) not null,
  begun_at timestamp with time zone not null,
  confirmed_at timestamp with time zone,
  last_step bigint not null
);

-- Each opens once, in place of a code.
create table recovery_code (
  code_sha256 varchar(64) primary key,
  member_id uuid not null references team_member,
  used_at timestamp with time zone
);
create index recovery_code_of on recovery_code (member_id);

alter table agency add column second_factor_asked boolean default false not null;
