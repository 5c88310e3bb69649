-- Tables and columns bear the names that the trade has for what is in them.
alter table way_in rename to sign_in_link;
alter table sighting rename to item_view;
alter table free_day rename to holiday;
alter table brought_table rename to imported_table;
alter table contact rename column says to occupation;
alter table seat_wish rename column says to occupation;
