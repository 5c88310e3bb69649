-- The day for which was done last what follows from a new day.
alter table agency add day_turned date;
