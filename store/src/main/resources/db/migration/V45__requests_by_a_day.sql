-- A request is due so many working days after it was sent, or by a day.
alter table request alter column allowance_days drop not null;
alter table request add due_on date;
alter table request add constraint request_has_one_term check ((allowance_days is null) <> (due_on is null));
