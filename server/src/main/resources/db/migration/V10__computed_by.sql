-- the server that computed a summary, by the word used everywhere else
alter table field_summary rename column reckoned_by to computed_by;
