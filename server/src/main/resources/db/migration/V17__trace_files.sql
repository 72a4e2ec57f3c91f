-- Swings read from a file, taken in and out as a whole.
create table trace_file (
    id uuid primary key,
    lesson_id uuid not null references lesson on delete cascade,
    stage varchar(10) not null,
    name varchar(120) not null,
    taken_at timestamp with time zone not null
);
create index trace_file_of_lesson on trace_file (lesson_id);
alter table swing add column file_id uuid references trace_file on delete cascade;
create index swing_of_file on swing (file_id);

-- What the columns of a file mean, by its heading line (JSON): asked once per coach.
create table trace_shape (
    coach_id uuid not null references account on delete cascade,
    heading varchar(2000) not null,
    columns varchar(4000) not null,
    primary key (coach_id, heading)
);
