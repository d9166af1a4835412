-- a practice has one day for everybody who looks at its fields, whatever clock their browser goes by
alter table workspace add column zone text not null default 'UTC';

-- what the list of fields searches and sorts by stands in columns of its own, so that no document is read for it
alter table farm add column name text generated always as (document::jsonb ->> 'name') stored;
alter table field add column name text generated always as (document::jsonb ->> 'name') stored;
alter table field add column weather_ref text generated always as (document::jsonb ->> 'weather') stored;

-- a summary in its parts: the row, the picture and the seed are asked for apart; a fault says why there is none
delete from field_summary;
alter table field_summary
  drop column document,
  add column list_row text,
  add column section text,
  add column seed text,
  add column next_on date,
  add column stops integer not null default 0,
  add column words text not null default '',
  add column fault text;
