-- What a plan was made from beside the lesson: dates, a week of its own, the coach's edits (JSON).
alter table plan add column terms varchar(100000);

-- How often a plan was handed over: calendars update an entry that comes again with a higher number.
alter table plan add column revision smallint default 1 not null;
