-- By which opening of a link a guest came who placed a mark, so that they can be told what became of it.
alter table markup add guest_opening uuid references link_opening;
