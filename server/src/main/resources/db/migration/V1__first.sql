create table account (
    id uuid primary key,
    email varchar(200) not null,
    password_hash varchar(100) not null,
    role varchar(10) not null,
    name varchar(100) not null,
    created_at timestamp with time zone not null,
    constraint account_email unique (email),
    constraint account_role check (role in ('coach', 'student'))
);

-- A coach's answers to the questions on which schools differ; a question without a row has its default.
create table coach_answer (
    coach_id uuid not null references account on delete cascade,
    question varchar(30) not null,
    answer varchar(30) not null,
    primary key (coach_id, question)
);

create table student (
    id uuid primary key,
    coach_id uuid not null references account,
    account_id uuid references account,
    name varchar(100) not null,
    handedness varchar(10) not null,
    playing_level varchar(20) not null,
    age_band varchar(20) not null,
    shoes varchar(20) not null,
    units varchar(10) not null,
    complaint varchar(500) not null,
    flags varchar(20) array not null,
    kit varchar(30) array not null,
    created_at timestamp with time zone not null,
    constraint student_account unique (account_id)
);
create index student_of_coach on student (coach_id, name);

create table student_day (
    student_id uuid not null references student on delete cascade,
    weekday smallint not null,
    minutes smallint not null,
    place varchar(10) not null,
    primary key (student_id, weekday)
);

-- Only the hash of the token is kept: whoever reads the database cannot use an invitation.
create table invitation (
    token_hash varchar(64) primary key,
    student_id uuid not null references student on delete cascade,
    expires_at timestamp with time zone not null
);

create table lesson (
    id uuid primary key,
    student_id uuid not null references student on delete cascade,
    held_on date not null,
    note varchar(2000) not null,
    focus varchar(30) array not null,
    focus_reason varchar(500) not null,
    catalogue_version varchar(20) not null,
    -- The diagnosis as it stood when the focus was chosen (JSON).
    diagnosed varchar(100000),
    created_at timestamp with time zone not null
);
create index lesson_of_student on lesson (student_id, held_on);

create table lesson_answer (
    lesson_id uuid not null references lesson on delete cascade,
    question varchar(30) not null,
    answer varchar(30) not null,
    primary key (lesson_id, question)
);

create table lesson_sign (
    lesson_id uuid not null references lesson on delete cascade,
    sign varchar(40) not null,
    seen boolean not null,
    primary key (lesson_id, sign)
);

create table lesson_reading (
    lesson_id uuid not null references lesson on delete cascade,
    stage varchar(10) not null,
    ordinal smallint not null,
    measure varchar(30) not null,
    at_checkpoint varchar(20),
    reading double precision not null,
    source varchar(10) not null,
    swings smallint not null,
    primary key (lesson_id, stage, ordinal)
);

create table lesson_shot (
    lesson_id uuid not null references lesson on delete cascade,
    stage varchar(10) not null,
    kind varchar(10) not null,
    result varchar(20) not null,
    hits smallint not null,
    primary key (lesson_id, stage, kind, result)
);

create table plan (
    id uuid primary key,
    student_id uuid not null references student on delete cascade,
    lesson_id uuid not null references lesson on delete cascade,
    from_day date not null,
    next_lesson date not null,
    -- The plan as the planner made it (JSON); a plan is replaced, never changed.
    document varchar(1000000) not null,
    assigned_at timestamp with time zone,
    created_at timestamp with time zone not null
);
create index plan_of_student on plan (student_id, assigned_at);
create index plan_of_lesson on plan (lesson_id);

create table practice_session (
    id uuid primary key,
    student_id uuid not null references student on delete cascade,
    plan_id uuid not null references plan on delete cascade,
    practice_day date not null,
    feel smallint,
    pain_where varchar(20),
    pain_score smallint,
    pain_drill varchar(40),
    note varchar(1000) not null,
    finished boolean not null,
    updated_at timestamp with time zone not null
);
create index practice_of_student on practice_session (student_id, practice_day);
create index practice_of_plan on practice_session (plan_id, practice_day);

create table practice_block (
    session_id uuid not null references practice_session on delete cascade,
    block smallint not null,
    fault varchar(30) not null,
    drill varchar(40) not null,
    rung varchar(20) not null,
    kind varchar(10) not null,
    marks varchar(400) not null,
    primary key (session_id, block)
);

create table practice_shot (
    session_id uuid not null references practice_session on delete cascade,
    kind varchar(10) not null,
    result varchar(20) not null,
    hits smallint not null,
    primary key (session_id, kind, result)
);

-- A drill that hurt: out of the student's practice until the coach lifts it.
create table drill_stop (
    student_id uuid not null references student on delete cascade,
    drill varchar(40) not null,
    session_id uuid not null references practice_session on delete cascade,
    since timestamp with time zone not null,
    lifted_at timestamp with time zone,
    primary key (student_id, drill, session_id)
);
