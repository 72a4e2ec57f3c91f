-- The store keeps, in a check on a list of constants, the connection that made it, and fails for good once that one is
-- closed. A case keeps nothing. (docs/decisions/0013)
alter table account drop constraint account_role;
alter table account add constraint account_role
    check (case role when 'coach' then true when 'student' then true else false end);
alter table proposal_answer drop constraint proposal_answered;
alter table proposal_answer add constraint proposal_answered
    check (case answer when 'taken' then true when 'changed' then true when 'refused' then true else false end);
