-- What a plan was made from beside the lesson: dates, a week of its own, the coach's edits (JSON).
alter table plan add column terms varchar(100000);
