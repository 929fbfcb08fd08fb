-- What a machine's grease points and look list are, in revisions; what was greased and looked at; and when the next of it is due.
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'shift', 'sweep', 'trial', 'option', 'move', 'clamp', 'loose-thing', 'proof', 'note',
  'signature', 'countersignature', 'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan',
  'part-off', 'part-on', 'part-screws', 'turned', 'seat', 'part-work', 'greased', 'looked'));

create table upkeep_revision (
  id uuid primary key,
  machine_id uuid not null references machine (id),
  revision integer not null check (revision >= 1),
  list jsonb not null,
  made_by uuid not null references person (id),
  made_at timestamptz not null,
  unique (machine_id, revision)
);

create table upkeep_due (
  machine_id uuid primary key references machine (id),
  -- null: of nothing on the list it is known when it is due.
  due_on date,
  -- What is due first, as the list calls it, and whether it is greased or looked at.
  what text not null,
  kind text not null check (kind in ('grease', 'look'))
);

create index entry_upkeep on entry (machine_id, seq desc) where kind in ('greased', 'looked');
