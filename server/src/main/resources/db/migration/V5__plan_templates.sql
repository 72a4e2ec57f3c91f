-- A plan kept as a starting point: its length and the coach's choices per rung (JSON), to be fitted to other students.
create table plan_template (
    id uuid primary key,
    coach_id uuid not null references account on delete cascade,
    name varchar(80) not null,
    days smallint not null,
    edits varchar(20000) not null,
    created_at timestamp with time zone not null
);
create index template_of_coach on plan_template (coach_id, name);
