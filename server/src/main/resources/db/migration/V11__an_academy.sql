-- The first coach owns the installation: one account holds true, all others null.
alter table account add column owner boolean;
alter table account add constraint account_owned_once unique (owner);
update account set owner = true
where id = (select id from account where role = 'coach' order by created_at limit 1);
-- A coach who left keeps a name beside what was decided, and cannot sign in.
alter table account add column left_at timestamp with time zone;

-- Only hashes of tokens and codes are kept, as for invitations.
create table coach_invitation (
    token_hash varchar(64) primary key,
    name varchar(100) not null,
    invited_by uuid not null references account on delete cascade,
    expires_at timestamp with time zone not null
);
create table password_link (
    token_hash varchar(64) primary key,
    account_id uuid not null references account on delete cascade,
    expires_at timestamp with time zone not null
);
create table recovery_code (
    account_id uuid not null references account on delete cascade,
    code_hash varchar(64) not null,
    made_at timestamp with time zone not null,
    used_at timestamp with time zone,
    primary key (account_id, code_hash)
);
-- Browsers that signed in before: guesses made elsewhere do not slow them down.
create table known_browser (
    token_hash varchar(64) primary key,
    account_id uuid not null references account on delete cascade,
    seen_on date not null
);
create index browser_of_account on known_browser (account_id);

-- Another coach who may see and teach a student, up to and including a day.
create table stand_in (
    student_id uuid not null references student on delete cascade,
    coach_id uuid not null references account on delete cascade,
    until_day date not null,
    since timestamp with time zone not null,
    primary key (student_id, coach_id)
);
create index stand_in_of_coach on stand_in (coach_id);

-- A student offered to another coach, who has not answered yet.
create table handover (
    student_id uuid primary key references student on delete cascade,
    to_coach uuid not null references account on delete cascade,
    offered_by uuid not null references account on delete cascade,
    words varchar(500) not null,
    offered_at timestamp with time zone not null
);
create index handover_to_coach on handover (to_coach);

-- What other coaches did with a student, a line per coach, day and kind.
create table student_access (
    student_id uuid not null references student on delete cascade,
    coach_id uuid not null references account on delete cascade,
    happened_on date not null,
    what varchar(20) not null,
    place varchar(20) not null,
    times int not null,
    first_at timestamp with time zone not null,
    last_at timestamp with time zone not null,
    primary key (student_id, coach_id, happened_on, what, place)
);

alter table own_drill add column shared boolean default false not null;
alter table plan_template add column shared boolean default false not null;

-- How often a thing was changed: a later save of an earlier state is told.
alter table student add column version int default 0 not null;
alter table lesson add column version int default 0 not null;
alter table lesson add column plan_version int default 0 not null;
alter table account add column approach_version int default 0 not null;

-- Counts up while the installation lives; the data folder remembers how far, so that an older file is noticed.
create table installation (
    id uuid primary key,
    beat bigint not null
);
insert into installation values (random_uuid(), 0);
