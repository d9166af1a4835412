-- a field that has plans has exactly one of its own: at most one by an index since version 3, at least one by this
create function plan_keeps_a_current() returns trigger language plpgsql as $$
begin
  if exists (select from plan where workspace_id = old.workspace_id and field_ref = old.field_ref)
    and not exists (select from plan where workspace_id = old.workspace_id and field_ref = old.field_ref and is_current)
  then
    raise exception 'a field that has plans has one of its own' using errcode = 'check_violation';
  end if;
  return null;
end $$;

-- those that an earlier version left without one get their oldest back
update plan p set is_current = true
  where not exists (select from plan q where q.workspace_id = p.workspace_id and q.field_ref = p.field_ref and q.is_current)
    and not exists (select from plan q where q.workspace_id = p.workspace_id and q.field_ref = p.field_ref and q.id < p.id);

create constraint trigger plan_keeps_a_current after update or delete on plan
  deferrable initially deferred for each row execute function plan_keeps_a_current();

-- seed held by a plan goes back to the store with the plan
delete from seed_reservation r
  where not exists (select from plan p where p.workspace_id = r.workspace_id and p.ref = r.plan_ref);
alter table seed_reservation add constraint seed_reservation_of_a_plan
  foreign key (workspace_id, plan_ref) references plan (workspace_id, ref) on delete cascade;
