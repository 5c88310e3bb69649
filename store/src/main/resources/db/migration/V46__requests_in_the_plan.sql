-- A request and a paper stand in the plan as an activity of the client's. A request may be due before another activity begins.
alter table task add request_id uuid references request on delete set null;
create index task_of_request on task (request_id);
alter table task add paper_id uuid references paper on delete set null;
create index task_of_paper on task (paper_id);
alter table task add constraint task_follows_one check (
  (case when deliverable_id is null then 0 else 1 end)
  + (case when request_id is null then 0 else 1 end)
  + (case when paper_id is null then 0 else 1 end) <= 1);
alter table request add due_before_id uuid references item;
alter table request add due_before_days integer;
-- What was accepted goes into a folder, beside a task, or becomes a draft of a deliverable.
alter table request rename column folder_id to goes_to_id;
alter table request add own_activity_id uuid references item;
alter table request drop constraint request_has_one_term;
alter table request add constraint request_has_one_term check (
  (case when allowance_days is null then 0 else 1 end)
  + (case when due_on is null then 0 else 1 end)
  + (case when due_before_id is null then 0 else 1 end) = 1
  and (due_before_id is null) = (due_before_days is null));
