-- Every step here may be taken twice: an earlier form of the last one failed halfway on more than one session.

-- How the golfer looks for a student; null for whatever goes with the name.
alter table student add column if not exists look varchar(12);

-- Until when something wants the coach; null for until something else happens.
alter table attention add column if not exists holds_until date;
update attention set holds_until = (
    select plan.next_lesson from student join plan on plan.id = student.running_plan where student.id = attention.student_id
) where kind = 'absent';
-- Without a plan nobody is missed.
update attention set holds_until = holds_from where kind = 'absent' and holds_until is null;

-- A session's full check sets: fault/drill/rung/form/good/of/feel, comma-separated; so that years of them are read quickly.
-- One whose movement was sought on the rung below was lost, whatever was said at the end.
alter table practice_session add column if not exists checks varchar(8000) default '' not null;
merge into practice_session s using (
    select b.session_id, listagg(b.fault || '/' || b.drill || '/' || b.rung || '/'
            || coalesce(b.form, case when b.rung in ('prepare', 'feel', 'rehearse') then 'none' else 'range' end) || '/'
            || (length(b.marks) - length(replace(b.marks, '+', ''))) || '/' || length(b.marks) || '/'
            || case when exists (
                    select 1 from practice_block l
                    where l.session_id = b.session_id and l.fault = b.fault and l.aside = 'below')
                then '1' else coalesce(cast(p.feel as varchar), '') end, ',') within group (order by b.block) as checks
    from practice_block b join practice_session p on p.id = b.session_id
    where b.kind = 'check' and b.aside is null and length(b.marks) >= 10
    group by b.session_id
) c on s.id = c.session_id
when matched then update set s.checks = c.checks;
