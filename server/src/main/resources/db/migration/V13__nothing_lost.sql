-- The last saves of a lesson's entry by their own names: a page that had no answer learns whether its save got through.
alter table lesson add column saves varchar(24) array default array[] not null;

-- Since when the plan asks for less; null while it asks for what was planned.
alter table plan add column eased_on date;
-- When it was last printed, and which drills stand on that paper.
alter table plan add column printed_on date;
alter table plan add column printed_drills varchar(60) array default array[] not null;
-- Days that stood in a plan handed over and no longer do.
alter table plan add column given_up varchar(10) array default array[] not null;

-- Where somebody is, as the browser last said; null before the first visit. A day is the day there.
alter table account add column zone varchar(60);
