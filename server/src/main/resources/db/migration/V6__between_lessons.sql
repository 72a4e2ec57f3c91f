-- What passes a rung for one student, where the coach asks for something else than the standard gate.
create table student_gate (
    student_id uuid not null references student on delete cascade,
    fault varchar(30) not null,
    rung varchar(20) not null,
    good smallint not null,
    coach_signs boolean not null,
    signed_at timestamp with time zone,
    primary key (student_id, fault, rung)
);

-- A note with what was said about it; the first words are the session's own note.
alter table practice_session add column note_read_at timestamp with time zone;
create table session_answer (
    id uuid primary key,
    session_id uuid not null references practice_session on delete cascade,
    by_coach boolean not null,
    said varchar(1000) not null,
    said_at timestamp with time zone not null
);
create index answer_of_session on session_answer (session_id, said_at);

-- What wants the coach, worked out anew whenever something of the student's is written. Holds from a day on, which may
-- lie ahead.
create table attention (
    student_id uuid not null references student on delete cascade,
    kind varchar(12) not null,
    subject_key varchar(160) not null,
    urgency smallint not null,
    holds_from date not null,
    drill varchar(40),
    fault varchar(30),
    rung varchar(20),
    session_id uuid,
    reason varchar(1200) not null,
    seen_at timestamp with time zone,
    primary key (student_id, kind, subject_key)
);

-- A running plan that was laid again because of what the student did: why, and what changed (JSON list of sentences).
create table plan_relaid (
    plan_id uuid not null references plan on delete cascade,
    revision smallint not null,
    relaid_at timestamp with time zone not null,
    reason varchar(300) not null,
    changes varchar(100000) not null,
    primary key (plan_id, revision)
);

create index plan_by_next_lesson on plan (next_lesson);
