-- People: a short PIN for a shared tablet, what they prefer, those who have left.
alter table person
  add column pin_hash text,
  add column preferences jsonb not null default '{}',
  add column left_at timestamptz(3);
create index person_of_workshop on person (workshop_id, name);

-- Sessions can be told apart by whom they belong to.
alter table session
  add column began_at timestamptz(3) not null default now(),
  add column seen_at timestamptz(3) not null default now(),
  add column device text not null default '';
create index session_of_person on session (person_id);

-- Failed attempts to sign in, by what was tried and from where; older ones are cleared away.
create table failed_attempt (
  id bigint generated always as identity primary key,
  key text not null,
  at timestamptz(3) not null
);
create index failed_attempt_by_key on failed_attempt (key, at);

-- Instruments with their calibration. A reading keeps the figures of its day by itself.
alter table instrument
  add column serial text not null default '',
  add column unit text not null default '',
  add column calibrated_on date,
  add column due_on date,
  add column retired_at timestamptz(3),
  add column revision int not null default 1;
alter table instrument drop constraint instrument_dimension_check;
alter table instrument add constraint instrument_dimension_check check (dimension in (
  'length', 'angle', 'force', 'frequency', 'current', 'temperature'));
create index instrument_of_workshop on instrument (workshop_id);

create table certificate (
  id uuid primary key,
  instrument_id uuid not null references instrument,
  name text not null,
  sha256 bytea not null,
  content bytea not null,
  made_by uuid not null references person,
  made_at timestamptz(3) not null
);
create index certificate_of_instrument on certificate (instrument_id, made_at desc);
create trigger certificate_append_only before update or delete on certificate for each row execute function refuse_change();

-- What lies in the drawers. The count is what all takings and returns add up to, and is never below nothing.
create table store_item (
  id uuid primary key,
  workshop_id uuid not null references workshop,
  kind text not null check (kind in (
    'shim', 'spacer', 'feeler', 'gear', 'pulley', 'belt', 'chain', 'bearing', 'screw', 'compound')),
  name text not null,
  -- Thickness, width, length or bore, mm: what the kind is chosen by.
  nominal_mm double precision check (nominal_mm > 0),
  measured_mm double precision check (measured_mm > 0),
  -- Teeth, module, pitch and the like.
  figures jsonb not null default '{}',
  count int not null check (count >= 0),
  place text not null default '',
  price double precision check (price >= 0),
  gone boolean not null default false,
  created_at timestamptz(3) not null
);
create unique index store_item_name on store_item (workshop_id, kind, lower(name));
create index store_item_of_workshop on store_item (workshop_id, kind, nominal_mm, id);

create table store_movement (
  id uuid primary key,
  item_id uuid not null references store_item,
  change int not null check (change <> 0),
  count_after int not null check (count_after >= 0),
  why text not null,
  -- The entry of a logbook that it was used by.
  entry_id uuid references entry,
  made_by uuid not null references person,
  made_at timestamptz(3) not null
);
create index store_movement_of_item on store_movement (item_id, made_at desc, id desc);
create index store_movement_of_entry on store_movement (entry_id) where entry_id is not null;
create trigger store_movement_append_only before update or delete on store_movement for each row execute function refuse_change();
create trigger store_movement_no_truncate before truncate on store_movement for each statement execute function refuse_change();

-- Gear pairs set beside each other, each with why it is kept.
create table swap_option (
  id uuid primary key,
  stage_id uuid not null references stage,
  option jsonb not null,
  reason text not null,
  made_by uuid not null references person,
  made_at timestamptz(3) not null
);
create index swap_option_of_stage on swap_option (stage_id, made_at);

-- A lead's name beside a signature: on a job that is closed.
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'move', 'clamp', 'loose-thing', 'proof', 'note', 'signature',
  'countersignature', 'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan'));
create or replace function signed_job_is_closed() returns trigger language plpgsql as $$
begin
  if new.job_id is not null and new.kind not in ('correction', 'countersignature')
     and exists (select 1 from job where id = new.job_id and signed_entry is not null) then
    raise exception 'the job is signed' using errcode = 'HA003';
  end if;
  return new;
end $$;
create unique index countersigned_once on entry (job_id) where kind = 'countersignature';
