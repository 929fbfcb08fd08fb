-- Shafts of machines in revisions, how they were found and fitted, and what else was measured with a tool of the calculation.
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'shift', 'sweep', 'trial', 'option', 'move', 'clamp', 'loose-thing', 'proof', 'note',
  'signature', 'countersignature', 'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan',
  'part-off', 'part-on', 'part-screws', 'turned', 'seat', 'part-work', 'greased', 'looked', 'shaft', 'measured'));

create table shaft_revision (
  id uuid primary key,
  shaft_id uuid not null,
  machine_id uuid not null references machine (id),
  revision integer not null check (revision >= 1),
  shaft jsonb not null,
  made_by uuid not null references person (id),
  made_at timestamptz not null,
  unique (shaft_id, revision)
);
create index shaft_of_machine on shaft_revision (machine_id, shaft_id, revision desc);
create trigger shaft_append_only before update or delete on shaft_revision for each row execute function refuse_change();
create trigger shaft_no_truncate before truncate on shaft_revision for each statement execute function refuse_change();
create trigger shaft_to_seal after insert on shaft_revision for each row execute function note_for_seal('shaft');

-- As what a shaft was last fitted, and found before, is looked for whenever a job is opened.
create index entry_shaft on entry (machine_id, (body -> 'shaft' ->> 'shaftId'), seq desc) where kind = 'shaft';
-- Ways to build an assembly stand on no stage.
create index entry_option_of_machine on entry (machine_id, seq) where kind = 'option' and stage_id is null;
