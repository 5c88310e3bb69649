-- Somebody said no to a paper, and why; whoever puts their name to it later takes that back.
alter table paper_recipient add declined_at timestamp with time zone;
alter table paper_recipient add declined_why varchar(4000);
