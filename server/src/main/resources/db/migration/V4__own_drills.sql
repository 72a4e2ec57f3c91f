-- A coach's own drills, each as in the drill file (JSON).
create table own_drill (
    coach_id uuid not null references account on delete cascade,
    id varchar(60) not null,
    document varchar(20000) not null,
    updated_at timestamp with time zone not null,
    primary key (coach_id, id)
);
