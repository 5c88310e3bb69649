-- Two entries for one person: the one that is used no more says which one is.
alter table contact add same_as uuid references contact;
