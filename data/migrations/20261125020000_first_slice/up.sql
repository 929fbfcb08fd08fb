create table workshop (
  id uuid primary key,
  name text not null,
  time_zone text not null,
  created_at timestamptz(3) not null
);

create table person (
  id uuid primary key,
  workshop_id uuid not null references workshop,
  name text not null,
  sign_in text not null,
  password_hash text not null,
  role text not null check (role in ('technician', 'lead', 'reader')),
  created_at timestamptz(3) not null
);
create unique index person_sign_in on person (lower(sign_in));

create table session (
  id text primary key,
  person_id uuid references person on delete cascade,
  data jsonb not null,
  expires_at timestamptz(3) not null
);
create index session_expiry on session (expires_at);

create table machine (
  id uuid primary key,
  workshop_id uuid not null references workshop,
  name text not null,
  tag text not null,
  place text not null,
  model text not null default '',
  usage_unit text not null check (usage_unit in ('hours', 'cycles', 'starts')),
  created_at timestamptz(3) not null,
  -- Head of the chain of entries; the row is locked while an entry is numbered.
  entry_count bigint not null default 0,
  head_hash bytea not null,
  unique (workshop_id, tag)
);

create table stage (
  id uuid primary key,
  machine_id uuid not null references machine,
  position int not null,
  name text not null,
  kind text not null check (kind in ('gear-pair')),
  created_at timestamptz(3) not null,
  unique (machine_id, position)
);
create index stage_of_machine on stage (machine_id);

-- Geometry, adjuster and limits have revisions; an entry names those it was judged by.
create table stage_geometry (
  id uuid primary key,
  stage_id uuid not null references stage,
  revision int not null,
  pair jsonb not null,
  clamps jsonb not null,
  made_by uuid not null references person,
  effective_from timestamptz(3) not null,
  unique (stage_id, revision)
);

create table stage_adjuster (
  id uuid primary key,
  stage_id uuid not null references stage,
  revision int not null,
  name text not null,
  adjuster jsonb not null,
  step double precision not null check (step > 0),
  positive_word text not null,
  negative_word text not null,
  made_by uuid not null references person,
  effective_from timestamptz(3) not null,
  unique (stage_id, revision)
);

create table stage_limits (
  id uuid primary key,
  stage_id uuid not null references stage,
  revision int not null,
  quantity text not null check (quantity in ('circumferential-backlash')),
  lo_mm double precision not null,
  aim_mm double precision,
  hi_mm double precision not null,
  source_kind text not null check (source_kind in ('maker', 'drawing', 'standard', 'house rule', 'recommended')),
  source text not null,
  made_by uuid not null references person,
  effective_from timestamptz(3) not null,
  check (lo_mm <= hi_mm),
  unique (stage_id, revision)
);

create table instrument (
  id uuid primary key,
  workshop_id uuid not null references workshop,
  name text not null,
  kind text not null,
  resolution_mm double precision not null check (resolution_mm > 0),
  expanded_uncertainty_mm double precision not null check (expanded_uncertainty_mm >= 0),
  coverage double precision not null check (coverage > 0)
);

create table job (
  id uuid primary key,
  machine_id uuid not null references machine,
  reason text not null,
  opened_by uuid not null references person,
  opened_at timestamptz(3) not null,
  signed_entry uuid
);
create index job_open on job (machine_id) where signed_entry is null;
create index job_of_machine on job (machine_id, opened_at desc);

create table job_stage (
  job_id uuid not null references job,
  stage_id uuid not null references stage,
  position int not null,
  primary key (job_id, stage_id)
);

create table entry (
  id uuid primary key,
  machine_id uuid not null references machine,
  seq bigint not null,
  job_id uuid references job,
  stage_id uuid references stage,
  kind text not null check (kind in (
    'job-opened', 'isolated', 'live', 'round', 'move', 'clamp', 'proof', 'note', 'signature', 'correction')),
  body jsonb not null,
  -- The entry that this one corrects or continues.
  names_entry uuid references entry,
  made_by uuid not null references person,
  made_at timestamptz(3) not null,
  recorded_at timestamptz(3) not null,
  usage double precision,
  geometry_id uuid references stage_geometry,
  adjuster_id uuid references stage_adjuster,
  limits_id uuid references stage_limits,
  previous_hash bytea not null,
  hash bytea not null,
  made_in xid8 not null default pg_current_xact_id(),
  unique (machine_id, seq)
);
create index entry_of_job on entry (job_id, seq);
create index entry_of_stage on entry (stage_id, kind, seq desc);
create index entry_naming on entry (names_entry) where names_entry is not null;

create table reading (
  entry_id uuid not null references entry,
  ordinal int not null,
  tooth int not null,
  turn int not null,
  angle_deg double precision not null,
  sense text not null check (sense in ('clockwise', 'counter-clockwise')),
  quantity text not null check (quantity in ('circumferential-backlash')),
  typed text not null,
  unit text not null,
  value_mm double precision not null,
  struck boolean not null,
  repeats int,
  indicator_radius_mm double precision not null,
  indicator_angle_deg double precision not null,
  instrument_id uuid not null references instrument,
  resolution_mm double precision not null,
  expanded_uncertainty_mm double precision not null,
  temperature_c double precision,
  live boolean not null,
  primary key (entry_id, ordinal)
);

-- What is being typed, kept for whoever types it until it becomes an entry.
create table draft (
  id uuid primary key,
  job_id uuid not null references job,
  stage_id uuid not null references stage,
  person_id uuid not null references person,
  body jsonb not null,
  saved_at timestamptz(3) not null
);
create index draft_of_job on draft (job_id, person_id, saved_at desc);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception '% is append-only: % refused', tg_table_name, tg_op using errcode = 'HA001';
end $$;

create trigger entry_append_only before update or delete on entry for each row execute function refuse_change();
create trigger entry_no_truncate before truncate on entry for each statement execute function refuse_change();
create trigger reading_append_only before update or delete on reading for each row execute function refuse_change();
create trigger reading_no_truncate before truncate on reading for each statement execute function refuse_change();
create trigger geometry_append_only before update or delete on stage_geometry for each row execute function refuse_change();
create trigger adjuster_append_only before update or delete on stage_adjuster for each row execute function refuse_change();
create trigger limits_append_only before update or delete on stage_limits for each row execute function refuse_change();

create function reading_joins_its_own_entry() returns trigger language plpgsql as $$
begin
  if not exists (select 1 from entry where id = new.entry_id and made_in = pg_current_xact_id()) then
    raise exception 'a reading belongs to the entry made with it' using errcode = 'HA002';
  end if;
  return new;
end $$;
create trigger reading_with_its_entry before insert on reading for each row execute function reading_joins_its_own_entry();

create function signed_job_is_closed() returns trigger language plpgsql as $$
begin
  if new.job_id is not null and new.kind <> 'correction'
     and exists (select 1 from job where id = new.job_id and signed_entry is not null) then
    raise exception 'the job is signed' using errcode = 'HA003';
  end if;
  return new;
end $$;
create trigger entry_into_open_job before insert on entry for each row execute function signed_job_is_closed();

create function signed_once() returns trigger language plpgsql as $$
begin
  if old.signed_entry is not null then
    raise exception 'a signed job does not change' using errcode = 'HA003';
  end if;
  return new;
end $$;
create trigger job_signed_once before update on job for each row execute function signed_once();

create function chain_goes_forward() returns trigger language plpgsql as $$
begin
  if new.entry_count < old.entry_count then
    raise exception 'the logbook of a machine only grows' using errcode = 'HA001';
  end if;
  return new;
end $$;
create trigger machine_chain before update of entry_count, head_hash on machine for each row execute function chain_goes_forward();
