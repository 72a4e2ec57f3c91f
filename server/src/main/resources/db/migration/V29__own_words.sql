-- How far balls came, keyed in at the first and the last of a lesson (JSON by moment); what was tried has its own.
alter table lesson add column keyed varchar(20000) default '{}' not null;

-- A file of balls belongs to any stage of a lesson. What was keyed in is written again with each save of the lesson, so
-- that whoever reads measured balls reads these too.
alter table shot_file alter column stage set data type varchar(24);
alter table shot_file add column keyed boolean default false not null;

-- What a coach says of a drill, and shows in a short film of their own.
create table drill_word (
    coach_id uuid not null references account on delete cascade,
    drill varchar(60) not null,
    words varchar(600) not null,
    primary key (coach_id, drill)
);
create table drill_film (
    coach_id uuid not null references account on delete cascade,
    drill varchar(60) not null,
    agreed_by varchar(120) not null,
    agreed_on date not null,
    bytes int not null,
    film varbinary(1572864) not null,
    primary key (coach_id, drill)
);

-- What a student calls a drill's cue.
create table student_cue (
    student_id uuid not null references student on delete cascade,
    drill varchar(60) not null,
    words varchar(120) not null,
    primary key (student_id, drill)
);
