-- What the club met in a block, and the half-step it was done under; null for what was done before there were any.
alter table practice_block add column form varchar(10);
alter table practice_block add column half_step varchar(60);

-- What a student's places have underfoot where it is not the usual: place=ground.
alter table student add column grounds varchar(30) array default array[] not null;

-- Ten scored balls at the start of a lesson: a check like any other, scored by the coach.
create table lesson_check (
    lesson_id uuid not null references lesson on delete cascade,
    fault varchar(30) not null,
    rung varchar(20) not null,
    drill varchar(60) not null,
    good smallint not null,
    primary key (lesson_id, fault)
);
