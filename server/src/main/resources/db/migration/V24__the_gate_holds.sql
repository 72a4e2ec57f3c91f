-- What a plan promised when it was handed over, as it was then; null for plans from before, which are what they promised.
alter table plan_document add column promised clob;

-- Every practice may be a reason, and several at once.
alter table plan_relaid alter column reason varchar(2000) not null;
