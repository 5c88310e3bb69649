create table recurring_tasks (
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
create index recurring_tasks_time on recurring_tasks (execution_time);
create index recurring_tasks_heartbeat on recurring_tasks (last_heartbeat);
