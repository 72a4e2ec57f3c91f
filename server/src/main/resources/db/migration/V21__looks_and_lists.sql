-- How the golfer looks for a student; null for whatever goes with the name.
alter table student add column look varchar(12);

-- Until when something wants the coach; null for until something else happens.
alter table attention add column holds_until date;
update attention set holds_until = (
    select plan.next_lesson from student join plan on plan.id = student.running_plan where student.id = attention.student_id
) where kind = 'absent';
-- Without a plan nobody is missed.
update attention set holds_until = holds_from where kind = 'absent' and holds_until is null;

-- A session's full check sets: fault/drill/rung/form/good/of/feel, comma-separated; so that years of them are read quickly.
-- One whose movement was sought on the rung below was lost, whatever was said at the end.
alter table practice_session add column checks varchar(8000) default '' not null;
update practice_session set checks = coalesce((
    select listagg(b.fault || '/' || b.drill || '/' || b.rung || '/'
            || coalesce(b.form, case when b.rung in ('prepare', 'feel', 'rehearse') then 'none' else 'range' end) || '/'
            || (length(b.marks) - length(replace(b.marks, '+', ''))) || '/' || length(b.marks) || '/'
            || case when exists (
                    select 1 from practice_block l
                    where l.session_id = b.session_id and l.fault = b.fault and l.aside = 'below')
                then '1' else coalesce(cast(practice_session.feel as varchar), '') end, ',') within group (order by b.block)
    from practice_block b
    where b.session_id = practice_session.id and b.kind = 'check' and b.aside is null and length(b.marks) >= 10
), '');
