-- The drills that a coach uses first on a rung of a fault, in the coach's order.
create table first_choice (
    coach_id uuid not null references account on delete cascade,
    fault varchar(40) not null,
    rung varchar(20) not null,
    ordinal integer not null,
    drill varchar(60) not null,
    primary key (coach_id, fault, rung, ordinal)
);
