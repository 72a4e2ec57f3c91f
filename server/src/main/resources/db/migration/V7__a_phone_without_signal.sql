-- What was noticed after each set of a block, comma-separated.
alter table practice_block add column noticed varchar(2000) default '' not null;

-- How often the phone had changed the session: an earlier state that arrives late is not taken.
alter table practice_session add column edition int default 0 not null;
-- Practised by the plan as it was before it was laid again.
alter table practice_session add column earlier_plan boolean default false not null;
-- Reps done, so that a history can be summed up without reading every block.
alter table practice_session add column reps int default 0 not null;
update practice_session s
set reps = coalesce((select sum(length(b.marks)) from practice_block b where b.session_id = s.id), 0);

-- The days of a plan that a student has, with the reps planned: what was done of it without reading the plan.
create table plan_day (
    plan_id uuid not null references plan on delete cascade,
    planned_for date not null,
    reps int not null,
    primary key (plan_id, planned_for)
);

-- The documents apart from the plans, which are often looked at without them.
create table plan_document (
    plan_id uuid primary key references plan on delete cascade,
    document varchar(1000000) not null,
    terms varchar(100000)
);
insert into plan_document select id, document, terms from plan;
alter table plan drop column document;
alter table plan drop column terms;

-- The plan handed over last.
alter table student add column running_plan uuid references plan on delete set null;
update student s
set running_plan = (
    select p.id from plan p where p.student_id = s.id and p.assigned_at is not null order by p.assigned_at desc limit 1);

-- Which adult knows that a junior practises.
alter table student add column adult varchar(100);

-- When a student wants to be reminded on practice days; no row: never.
create table reminder (
    student_id uuid primary key references student on delete cascade,
    at_hour smallint not null,
    reminded_on date
);

-- The stand-in for e-mail: what would have been sent.
create table mail (
    id uuid primary key,
    coach_id uuid not null references account on delete cascade,
    address varchar(200) not null,
    subject varchar(200) not null,
    body varchar(4000) not null,
    written_at timestamp with time zone not null
);
create index mail_of_coach on mail (coach_id, written_at);
