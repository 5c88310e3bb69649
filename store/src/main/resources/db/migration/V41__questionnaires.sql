-- A part of a request may be a questionnaire.
alter table request_part add column form varchar(8) default 'TEXT' not null
    check (position('|' || form || '|' in '|FILES|TEXT|CHOICE|ADDRESS|ACCESS|DAY|LINK|ANSWERS|') > 0);
update request_part set form = takes;
alter table request_part drop column takes;
alter table request_part alter column form rename to takes;

-- What a part of a request asks in questions.
create table questionnaire (
  part_id uuid primary key references request_part,
  content text not null,
  revision integer not null,
  changed_at timestamp with time zone,
  change_words varchar(480) not null
);

-- Pictures that can be chosen in it, by the names under which it speaks of them.
create table question_picture (
  part_id uuid not null references request_part,
  name varchar(480) not null,
  sha256 varchar(64) not null,
  primary key (part_id, name)
);

-- What each person answered last; of a question that is gone, too.
create table answer (
  part_id uuid not null references request_part,
  question_id uuid not null,
  contact_id uuid not null references contact,
  said text not null,
  given_at timestamp with time zone not null,
  primary key (part_id, question_id, contact_id)
);

-- Whose answer counts where people differ.
create table answer_choice (
  part_id uuid not null references request_part,
  question_id uuid not null,
  contact_id uuid not null references contact,
  chosen_by varchar(480) not null,
  chosen_at timestamp with time zone not null,
  primary key (part_id, question_id)
);
