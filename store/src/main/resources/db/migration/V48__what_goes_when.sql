-- A draft goes out on a day or with a phase: by itself, or when somebody presses.
alter table request add leaves_on date;
alter table request add leaves_with_id uuid references phase on delete set null;
alter table request add leaves_days_before integer;
alter table request add leaves_alone boolean default false not null;
alter table request add constraint request_leaves_once check (leaves_on is null or leaves_with_id is null);
-- What a kind of work needs of the client: folders that stand ready, and requests with when they go out.
alter table house_template add folders text default '' not null;
alter table house_template add requests text default '' not null;
