-- A swing heard from a plate or read from a file: its loads packed (PackedTrace, Base64); what was told of its moments
-- from elsewhere or by the coach; and what was read (JSON).
create table swing (
    id uuid primary key,
    lesson_id uuid not null references lesson on delete cascade,
    stage varchar(10) not null,
    number int not null,
    -- heard, kept or thrown
    state varchar(10) not null,
    heard_at timestamp with time zone not null,
    device varchar(80) not null,
    rate double precision not null,
    seconds double precision not null,
    loads varchar(1000000) not null,
    told varchar(2000) not null,
    moments varchar(2000) not null,
    readings varchar(20000) not null,
    warnings varchar(4000) not null,
    -- Trail share at even steps, %, for a small picture.
    spark varchar(400) not null
);
create index swing_of_lesson on swing (lesson_id, number);

-- What the kept swings of a lesson say together, worked out whenever one changes.
create table lesson_measured (
    lesson_id uuid not null references lesson on delete cascade,
    stage varchar(10) not null,
    ordinal smallint not null,
    measure varchar(30) not null,
    checkpoint varchar(20),
    mean_value double precision not null,
    swings smallint not null,
    uncertainty double precision not null,
    spread double precision,
    primary key (lesson_id, stage, ordinal)
);

-- Whether the spread of a lesson's own swings counts in place of what is assumed; how often its kept swings changed.
alter table lesson add column own_spread boolean default false not null;
alter table lesson add column swings_version int default 0 not null;

-- By which a plate's bridge is known. Only the hash is kept.
create table plate_token (
    coach_id uuid primary key references account on delete cascade,
    token_hash varchar(64) not null unique,
    made_at timestamp with time zone not null
);
