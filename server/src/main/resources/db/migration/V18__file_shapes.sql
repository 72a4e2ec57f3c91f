-- What the columns of a file mean, for every kind of file in one place.
create table file_shape (
    coach_id uuid not null references account on delete cascade,
    kind varchar(10) not null,
    heading varchar(2000) not null,
    columns varchar(4000) not null,
    primary key (coach_id, kind, heading)
);
insert into file_shape select coach_id, 'shots', heading, columns from shot_shape;
insert into file_shape select coach_id, 'loads', heading, columns from trace_shape;
drop table shot_shape;
drop table trace_shape;
