-- Guides of assemblies in revisions, and what is taken off, put on, turned by hand and measured against its seat.
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'shift', 'sweep', 'trial', 'option', 'move', 'clamp', 'loose-thing', 'proof', 'note',
  'signature', 'countersignature', 'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan',
  'part-off', 'part-on', 'part-screws', 'turned', 'seat'));

create table guide_revision (
  id uuid primary key,
  guide_id uuid not null,
  machine_id uuid not null references machine (id),
  stage_id uuid references stage (id),
  name text not null,
  revision integer not null check (revision >= 1),
  parts jsonb not null,
  made_by uuid not null references person (id),
  made_at timestamptz not null,
  unique (guide_id, revision)
);
create index guide_of_machine on guide_revision (machine_id, guide_id, revision desc);

create index open_point_to_order on open_point (opened_at, id) where closed_entry is null and code = 'order';

-- What earlier jobs left off is looked for whenever a job is opened.
create index entry_part_off on entry (machine_id, seq) where kind = 'part-off';
