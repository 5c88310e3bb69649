-- Mail waits in a queue of its own, so that a mail server that never answers holds up nothing else.
create table mail_tasks (
  task_name varchar(100) not null,
  task_instance varchar(100) not null,
  task_data bytea,
  execution_time timestamp with time zone,
  picked boolean not null,
  picked_by varchar(50),
  last_success timestamp with time zone,
  last_failure timestamp with time zone,
  consecutive_failures int,
  last_heartbeat timestamp with time zone,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance)
);
create index mail_tasks_time on mail_tasks (execution_time);
create index mail_tasks_heartbeat on mail_tasks (last_heartbeat);

insert into mail_tasks select * from scheduled_tasks where task_name = 'send-mail';
delete from scheduled_tasks where task_name = 'send-mail';

-- Work that was tried as often as it is worth, and is given up until somebody tries it again.
create table given_up (
  job varchar(100) not null,
  about varchar(100) not null,
  why varchar(1000) not null,
  given_up_at timestamp with time zone not null,
  primary key (job, about)
);

-- How many bytes came in, from whom and for which project, so that nobody fills the house.
create table upload (
  id uuid primary key,
  actor varchar(80) not null,
  project_id uuid not null references project,
  size_bytes bigint not null,
  uploaded_at timestamp with time zone not null
);
create index upload_of_actor on upload (actor, uploaded_at);
create index upload_of_project on upload (project_id);
