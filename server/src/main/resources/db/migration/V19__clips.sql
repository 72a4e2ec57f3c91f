-- A swing filmed in a lesson: the body's points packed (PackedTrack, Base64), what they are measured by, what was told of
-- its moments, and what was read (JSON). The film itself is not kept.
create table clip (
    id uuid primary key,
    lesson_id uuid not null references lesson on delete cascade,
    stage varchar(10) not null,
    number int not null,
    -- kept or thrown
    state varchar(10) not null,
    taken_at timestamp with time zone not null,
    name varchar(120) not null,
    -- Of the picture in which the points lie, pixels.
    width int not null,
    height int not null,
    points varchar(2000000) not null,
    -- Marks on a thing of known length, pixels and cm (JSON); else the golfer's height then, cm.
    marks varchar(200),
    golfer_height double precision,
    told varchar(2000) not null,
    ruler varchar(200) not null,
    moments varchar(2000) not null,
    readings varchar(20000) not null,
    warnings varchar(4000) not null
);
create index clip_of_lesson on clip (lesson_id, number);

-- Its picture at a moment (JPEG, Base64), kept only where the student agreed.
create table clip_still (
    clip_id uuid not null references clip on delete cascade,
    checkpoint varchar(20) not null,
    picture varchar(400000) not null,
    primary key (clip_id, checkpoint)
);

-- What kept swings say together may come from a plate or from clips.
alter table lesson_measured add column source varchar(10) default 'plate' not null;
alter table lesson_measured drop primary key;
alter table lesson_measured add primary key (lesson_id, source, stage, ordinal);

-- Height in cm, and who agreed when that pictures of the student are kept.
alter table student add column height double precision;
alter table student add column pictures_agreed_on date;
alter table student add column pictures_agreed_by varchar(100);
