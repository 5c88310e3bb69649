-- What changed between two files, known by their content: the same pair is compared once.
create table comparison (
  id uuid primary key,
  before_sha256 varchar(64) not null,
  after_sha256 varchar(64) not null,
  state varchar(16) not null check (position('|' || state || '|' in '|WAITING|DONE|FAILED|') > 0),
  pages_compared integer not null,
  pages integer not null,
  result text,
  failure varchar(1000),
  unique (before_sha256, after_sha256)
);

create index comparison_state on comparison (state);

-- The settlement of a clash between two marks.
create table ruling (
  first_markup uuid not null references markup,
  second_markup uuid not null references markup,
  holds uuid not null references markup,
  reason varchar(2000) not null,
  ruled_by varchar(480) not null,
  ruled_at timestamp with time zone not null,
  primary key (first_markup, second_markup)
);
create index ruling_second on ruling (second_markup);
create index ruling_holds on ruling (holds);

-- Since when a clash waits for a ruling, and with whom.
create table clash_turn (
  id uuid primary key,
  round_id uuid not null references round,
  first_markup uuid not null references markup,
  second_markup uuid not null references markup,
  with_client boolean not null,
  opened_at timestamp with time zone not null,
  settled_at timestamp with time zone
);
create index clash_turn_round on clash_turn (round_id);
create index clash_turn_first on clash_turn (first_markup);
create index clash_turn_second on clash_turn (second_markup);
