-- What a further document is called by its kind, and where it is kept if that is elsewhere.
alter table paper add column called varchar(120) default '' not null;
alter table paper add column link varchar(2000);
