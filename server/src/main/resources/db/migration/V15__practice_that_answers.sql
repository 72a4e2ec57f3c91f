-- What a student told of a block: per set how fast it felt, what the session did otherwise (at:kind), what each ball did
-- (flight/strike), all comma-separated; the club; and why the block was done where the plan does not have it.
alter table practice_block add column speeds varchar(400) default '' not null;
alter table practice_block add column turns varchar(400) default '' not null;
alter table practice_block add column balls varchar(12000) default '' not null;
alter table practice_block add column club varchar(12);
alter table practice_block add column aside varchar(12);

-- What a student says of the card after a round on the course.
create table round_played (
    id uuid primary key,
    student_id uuid not null references student on delete cascade,
    played_on date not null,
    thought smallint not null,
    held smallint not null,
    cost varchar(12) not null,
    edition int not null,
    updated_at timestamp with time zone not null
);
create index round_of_student on round_played (student_id, played_on);

-- Load under the trail foot as a student felt it, %.
create table self_check (
    id uuid primary key,
    student_id uuid not null references student on delete cascade,
    checked_on date not null,
    at_address smallint not null,
    at_top smallint not null,
    at_impact smallint not null,
    edition int not null,
    updated_at timestamp with time zone not null
);
create index self_check_of_student on self_check (student_id, checked_on);

-- Two more reasons to want the coach stand between the others.
update attention set urgency = urgency + 2 where kind in ('absent', 'gate-waits', 'plan-over', 'note');

-- What was tried in a lesson between its first and its last balls (JSON, by name).
alter table lesson add column tries varchar(200000) default '{}' not null;

-- In which units a coach reads and types.
alter table account add column units varchar(10) default 'metric' not null;
