-- By when a task is to be done: until an hour of its day, or so many working days before something else of the plan begins; then its day is kept as it follows.
alter table task add due_hour time;
alter table task add due_before_id uuid references item;
alter table task add due_before_days integer check (due_before_days between 0 and 2500);
