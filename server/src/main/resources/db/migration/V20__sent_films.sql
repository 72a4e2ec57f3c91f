-- A clip is of a lesson, or of a day of practice: then the student sent it, and there is no lesson.
alter table clip add column student_id uuid;
update clip set student_id = (select lesson.student_id from lesson where lesson.id = clip.lesson_id);
alter table clip alter column student_id set not null;
alter table clip add foreign key (student_id) references student on delete cascade;
alter table clip alter column lesson_id drop not null;
alter table clip add column practised_on date;
-- When the coach looked at what was sent.
alter table clip add column seen_at timestamp with time zone;
create index clip_of_student on clip (student_id, practised_on);
