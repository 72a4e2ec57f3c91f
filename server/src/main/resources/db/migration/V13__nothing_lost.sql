-- The last saves of a lesson's entry by their own names: a page that had no answer learns whether its save got through.
alter table lesson add column saves varchar(24) array default array[] not null;
