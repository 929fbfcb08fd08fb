-- Entries of the third format hold their author's name, what was acknowledged word for word, how a run ended and what a signature saw.
alter table entry drop constraint entry_format_check;
alter table entry add constraint entry_format_check check (format in (1, 2, 3));
alter table entry add column made_by_name text;
alter table entry add constraint entry_names_its_author check (format < 3 or made_by_name is not null);

-- By which judgement a standing was worked out; those of an earlier one are worked out anew at the next start.
alter table stage_standing add column judgement smallint not null default 1;

-- Slack moved up and down by hand is a way of its own beside a hanging sag.
alter table reading drop constraint reading_quantity_check;
alter table reading add constraint reading_quantity_check check (quantity in (
  'circumferential-backlash', 'normal-backlash', 'tip-clearance', 'angular-backlash', 'tension', 'span-frequency', 'span-force',
  'span-deflection', 'sag', 'hand-movement', 'elongation', 'gap', 'end-float', 'runout', 'offset', 'angle'));

-- How far each adjuster was moved since it was entered: an eccentric has turned on, and of its travel so much is used.
create table adjuster_position (
  adjuster_id uuid primary key references stage_adjuster,
  moved double precision not null
);
insert into adjuster_position (adjuster_id, moved)
select e.adjuster_id, sum((e.body->>'amount')::double precision)
from entry e
where e.kind = 'move' and e.adjuster_id is not null
  and not exists (
    select 1 from entry k where k.names_entry = e.id and k.kind = 'correction' and (k.body->>'voids')::boolean)
group by e.adjuster_id;
