-- What a coach did with what was proposed at a lesson. The proposal itself is kept as it stood then.
create table proposal_answer (
    lesson_id uuid primary key references lesson on delete cascade,
    proposed varchar(20) not null,
    because varchar(4000) not null,
    answer varchar(10) not null,
    -- What is done: the proposal, or what the coach put in its place; null where nothing of it.
    kind varchar(20),
    reason varchar(500) not null,
    answered_at timestamp with time zone not null,
    constraint proposal_answered check (answer in ('taken', 'changed', 'refused'))
);

-- Balls read from a file, taken in and out as a whole.
create table shot_file (
    id uuid primary key,
    lesson_id uuid not null references lesson on delete cascade,
    stage varchar(10) not null,
    name varchar(120) not null,
    taken_at timestamp with time zone not null
);
create index shot_file_of_lesson on shot_file (lesson_id);

-- Metres and metres a second; offline is plus to the side of the trail hand.
create table shot (
    file_id uuid not null references shot_file on delete cascade,
    ordinal int not null,
    club varchar(40) not null,
    carry double precision,
    offline double precision,
    ball_speed double precision,
    club_speed double precision,
    primary key (file_id, ordinal)
);

-- What the columns of a file mean, by its heading line (JSON): asked once per coach.
create table shot_shape (
    coach_id uuid not null references account on delete cascade,
    heading varchar(2000) not null,
    columns varchar(4000) not null,
    primary key (coach_id, heading)
);

-- That a record was erased; of whom is not kept.
create table erasure (
    id uuid primary key,
    coach_id uuid not null references account on delete cascade,
    erased_on date not null
);
