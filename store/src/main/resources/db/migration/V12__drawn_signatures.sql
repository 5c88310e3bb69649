-- A signature that was drawn beside a typed name.
alter table sign_off add column drawn text;
alter table paper_recipient add column drawn text;
