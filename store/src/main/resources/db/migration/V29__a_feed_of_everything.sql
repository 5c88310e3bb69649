-- An address for all that has a day, over all projects.
alter table feed add everything boolean default false not null;
