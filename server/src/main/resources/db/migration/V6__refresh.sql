-- fields to be reckoned anew, taken by any number of servers; apart from letters, which must not wait behind thousands of them
create table refresh_tasks (
  task_name text not null,
  task_instance text not null,
  task_data bytea,
  execution_time timestamptz not null,
  picked boolean not null,
  picked_by text,
  last_success timestamptz,
  last_failure timestamptz,
  consecutive_failures int,
  last_heartbeat timestamptz,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance)
);
create index on refresh_tasks (execution_time);
create index on refresh_tasks (last_heartbeat);

-- the place whose forecast a summary rests on, the day it is for, and which server reckoned it
alter table field_summary
  add column place text,
  add column as_of date,
  add column reckoned_by text;
