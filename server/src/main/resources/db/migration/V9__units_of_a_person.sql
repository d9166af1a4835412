-- What concerns no single farm is read in the units of the person: the seed store, weather records, calibrations.
alter table adviser add column units text not null default 'metric' check (units in ('metric', 'us'));
update adviser a set units = 'us'
  where exists (select from farm f where f.workspace_id = a.workspace_id)
    and not exists (select from farm f where f.workspace_id = a.workspace_id and f.document::jsonb ->> 'units' <> 'us');
