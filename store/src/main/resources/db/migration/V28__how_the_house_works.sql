-- What the house usually reckons with; a project may have its own over it.
create table house_usual (
  only_one boolean primary key check (only_one),
  currency varchar(3) not null,
  tax_percent numeric(5, 2) not null,
  payment_days integer not null,
  rule varchar(16) not null,
  rule_least integer,
  review_days integer not null,
  rounds_included integer not null,
  extra_fee numeric(12, 2) not null,
  revision integer not null
);
insert into house_usual values (true, 'GBP', 20.00, 30, 'ALL', null, 3, 2, 0.00, 1);
alter table project add payment_days integer;

-- What the states of projects are called here; one that is missing goes by its own name.
create table standing_name (standing varchar(32) primary key, name varchar(160) not null);

-- The steps on the way from a first word to a first project.
create table prospect_step (position integer primary key, name varchar(160) not null);
alter table client add step varchar(160) default '' not null;
alter table client add next_move varchar(1600) default '' not null;
alter table client add next_on date;

-- What kinds of work usually have, kept by the house.
create table house_template (
  id uuid primary key,
  name varchar(480) not null,
  finish varchar(480) not null,
  outline varchar(64000) not null,
  steps varchar(16000) not null,
  checklist varchar(32000) not null,
  revision integer not null
);
insert into house_template values ('0b0d2f6e-5f1c-4c39-9d3e-6f2b8a0c1e71', 'A place or an exhibition', 'Opening', 'Discover, 6 days
- Walk the place, 1
- client: Send plans and photographs, 3
- Write down what is wanted, 2
Concept, 9 days
- Draw directions, 7
- client: Choose a direction, 2
Design, 12 days
- Design the parts, 7
- client: Look at the design, 3
- Change what came back, 2
Artwork, 12 days
- Draw the artwork, 9
- client: Sign the artwork off, 3
Fabrication, 15 days
- client: Make the parts, 12
- Look over what was made, 3
Opening, 3 days
- Fit and check, 3', 'UNDER_WAY: drawing, making
IN_CHECK: looked over here, on the spot', 'Measures checked on the spot
Words read by somebody who did not write them
Read from two metres away
The fabricator has what they need', 1);
insert into house_template values ('4c7e9a15-2d84-4b6f-8a57-1e3d5c9b7f02', 'Something printed', 'Delivery', 'Brief, 3 days
- Write the brief, 1
- client: Send words and pictures, 2
Concept, 6 days
- Draw directions, 4
- client: Choose a direction, 2
Design, 9 days
- Lay out the pages, 5
- client: Look at the pages, 2
- Change what came back, 2
Artwork, 6 days
- Make it ready for print, 4
- client: Sign it off, 2
Print, 9 days
- Print and bind, 9', 'IN_CHECK: with the proofreader, at the printers', 'Words read by somebody who did not write them
Bleed and folds as the printers ask
Colours and pictures fit for print
Names, prices and dates compared with the client’s', 1);
insert into house_template values ('9f3b6d40-71a2-4e8d-b5c6-2a4f8e0d3b93', 'A website or a film', 'Launch', 'Brief, 3 days
- Write the brief, 1
- client: Send words and pictures, 2
Structure, 6 days
- Draw the structure, 4
- client: Agree on the structure, 2
Design, 9 days
- Design the screens, 6
- client: Look at the design, 3
Making, 15 days
- Make it, 12
- client: Try it, 3
Launch, 3 days
- Put it out, 3', 'UNDER_WAY: drawing, building
IN_CHECK: tried out here', 'Words read by somebody who did not write them
Looked at on a phone
Works with a keyboard alone
Rights to pictures and music are there', 1);
