-- Three more reasons to want the coach stand between the others.
update attention set urgency = urgency + 2 where kind = 'gate-waits';
update attention set urgency = urgency + 3 where kind in ('plan-over', 'note', 'film');
