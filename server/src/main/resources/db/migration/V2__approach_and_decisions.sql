-- Where a student is taught otherwise than the coach's approach.
create table student_answer (
    student_id uuid not null references student on delete cascade,
    question varchar(30) not null,
    answer varchar(30) not null,
    primary key (student_id, question)
);

-- A coach's own standard errors of measurement; a quantity and source without a row has the assumed one.
create table coach_repeatability (
    coach_id uuid not null references account on delete cascade,
    quantity varchar(20) not null,
    source varchar(10) not null,
    sem double precision not null,
    primary key (coach_id, quantity, source)
);

-- What was decided in a lesson and the diagnosis (JSON) it was decided on. Never changed: a later one is added.
create table lesson_decision (
    lesson_id uuid not null references lesson on delete cascade,
    ordinal smallint not null,
    decided_at timestamp with time zone not null,
    focus varchar(30) array not null,
    reason varchar(500) not null,
    catalogue_version varchar(20) not null,
    diagnosed varchar(100000) not null,
    primary key (lesson_id, ordinal)
);

insert into lesson_decision (lesson_id, ordinal, decided_at, focus, reason, catalogue_version, diagnosed)
select id, 1, created_at, focus, focus_reason, catalogue_version, diagnosed
from lesson
where diagnosed is not null;

alter table lesson drop column diagnosed;
alter table lesson drop column catalogue_version;
