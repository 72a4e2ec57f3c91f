-- The version of the program that used this database last, so that a failed upgrade can name the one to go back to.
alter table installation add column program varchar(60);

-- A drill's id may have sixty letters everywhere, and a block as many speeds as it may have sets.
alter table practice_session alter column pain_drill varchar(60);
alter table practice_block alter column drill varchar(60) not null;
alter table drill_stop alter column drill varchar(60) not null;
alter table attention alter column drill varchar(60);
alter table practice_block alter column speeds varchar(1600) default '' not null;
