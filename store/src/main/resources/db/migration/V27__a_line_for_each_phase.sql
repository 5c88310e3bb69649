-- What is done in a phase, in a line that clients read beside it.
alter table phase add words varchar(1600) default '' not null;
