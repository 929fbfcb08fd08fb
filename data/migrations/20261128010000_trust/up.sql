-- What was sent under an entry's id, so that the same id with other content is told from the same thing sent again.
alter table entry add column submitted bytea;

-- What one person entered is given out when they ask for it.
create index entry_of_person on entry (made_by, machine_id, seq);

-- Seals: what stood in the database at a moment, signed with a key that is not in it, each naming the one before.
create table seal (
  number bigint primary key check (number > 0),
  at timestamptz(3) not null,
  -- The text that is hashed and signed, as it was signed: machines' heads and digests of rows.
  body text not null,
  hash bytea not null,
  signature bytea not null,
  -- SHA-256 of the public key, DER.
  key_id bytea not null
);
create trigger seal_append_only before update or delete on seal for each row execute function refuse_change();
create trigger seal_no_truncate before truncate on seal for each statement execute function refuse_change();

-- The heads of the last seal, so that the next one lists only those that have moved since.
create table sealed_head (
  machine_id uuid primary key references machine,
  seq bigint not null,
  hash bytea not null
);

-- Rows that the next seal covers: noted with the row itself, taken away with the seal.
create table to_seal (
  kind text not null,
  id text not null,
  primary key (kind, id)
);
create function note_for_seal() returns trigger language plpgsql as $$
declare
  row jsonb := to_jsonb(new);
begin
  insert into to_seal (kind, id)
  values (tg_argv[0], case tg_argv[0]
    when 'attachment' then row->>'entry_id'
    when 'job-stage' then (row->>'job_id') || ' ' || (row->>'stage_id')
    else row->>'id' end)
  on conflict do nothing;
  return new;
end $$;
create trigger geometry_to_seal after insert on stage_geometry for each row execute function note_for_seal('geometry');
create trigger adjuster_to_seal after insert on stage_adjuster for each row execute function note_for_seal('adjuster');
create trigger limits_to_seal after insert on stage_limits for each row execute function note_for_seal('limits');
create trigger side_limits_to_seal after insert on side_limits for each row execute function note_for_seal('side-limits');
create trigger drive_line_to_seal after insert on drive_line for each row execute function note_for_seal('drive-line');
create trigger attachment_to_seal after insert on attachment for each row execute function note_for_seal('attachment');
create trigger certificate_to_seal after insert on certificate for each row execute function note_for_seal('certificate');
create trigger movement_to_seal after insert on store_movement for each row execute function note_for_seal('movement');
create trigger job_to_seal after insert on job for each row execute function note_for_seal('job');
create trigger job_stage_to_seal after insert on job_stage for each row execute function note_for_seal('job-stage');
create trigger job_signed_to_seal after update of signed_entry on job for each row
  when (new.signed_entry is not null) execute function note_for_seal('job-signed');
create trigger point_to_seal after insert on open_point for each row execute function note_for_seal('point');
create trigger point_closed_to_seal after update of closed_entry on open_point for each row
  when (new.closed_entry is not null) execute function note_for_seal('point-closed');

insert into to_seal select 'geometry', id::text from stage_geometry;
insert into to_seal select 'adjuster', id::text from stage_adjuster;
insert into to_seal select 'limits', id::text from stage_limits;
insert into to_seal select 'side-limits', id::text from side_limits;
insert into to_seal select 'drive-line', id::text from drive_line;
insert into to_seal select 'attachment', entry_id::text from attachment;
insert into to_seal select 'certificate', id::text from certificate;
insert into to_seal select 'movement', id::text from store_movement;
insert into to_seal select 'job', id::text from job;
insert into to_seal select 'job-stage', job_id || ' ' || stage_id from job_stage;
insert into to_seal select 'job-signed', id::text from job where signed_entry is not null;
insert into to_seal select 'point', id::text from open_point;
insert into to_seal select 'point-closed', id::text from open_point where closed_entry is not null;

-- A drive line, a job's stages and a certificate are written once, like entries.
create trigger job_stage_append_only before update or delete on job_stage for each row execute function refuse_change();
create trigger geometry_no_truncate before truncate on stage_geometry for each statement execute function refuse_change();
create trigger adjuster_no_truncate before truncate on stage_adjuster for each statement execute function refuse_change();
create trigger limits_no_truncate before truncate on stage_limits for each statement execute function refuse_change();
create trigger side_limits_no_truncate before truncate on side_limits for each statement execute function refuse_change();
create trigger drive_line_no_truncate before truncate on drive_line for each statement execute function refuse_change();
create trigger certificate_no_truncate before truncate on certificate for each statement execute function refuse_change();
create trigger job_no_delete before delete on job for each row execute function refuse_change();
create trigger point_no_delete before delete on open_point for each row execute function refuse_change();
create trigger machine_no_delete before delete on machine for each row execute function refuse_change();
create trigger stage_no_delete before delete on stage for each row execute function refuse_change();

-- A head that is set back to another entry of the same number fits no entry; the next number has to come with it.
create or replace function chain_goes_forward() returns trigger language plpgsql as $$
begin
  if new.entry_count < old.entry_count or (new.entry_count = old.entry_count and new.head_hash <> old.head_hash) then
    raise exception 'the logbook of a machine only grows' using errcode = 'HA001';
  end if;
  return new;
end $$;

-- A closed point stays closed; what was said of it does not change.
create function point_closes_once() returns trigger language plpgsql as $$
begin
  if old.closed_entry is not null
     or (to_jsonb(new) - 'closed_entry') is distinct from (to_jsonb(old) - 'closed_entry') then
    raise exception 'an open point is only ever closed' using errcode = 'HA001';
  end if;
  return new;
end $$;
create trigger point_changes_once before update on open_point for each row execute function point_closes_once();
create or replace function signed_once() returns trigger language plpgsql as $$
begin
  if old.signed_entry is not null
     or (to_jsonb(new) - 'signed_entry') is distinct from (to_jsonb(old) - 'signed_entry') then
    raise exception 'a signed job does not change' using errcode = 'HA003';
  end if;
  return new;
end $$;

-- When a signature asks for a PIN or password: always, on tablets that several share, or never.
alter table workshop add column sign_asks text not null default 'shared' check (sign_asks in ('always', 'shared', 'never'));

-- How somebody signed in; when the session ends whatever happens. Sessions of before had neither, and may stand in an old log.
delete from session;
alter table session
  add column how text not null check (how in ('password', 'pin')),
  add column device_id bytea;

-- A browser that has signed somebody in before, by the hash of what its cookie holds.
create table device (
  id bytea primary key,
  -- Used by several: signatures ask who it is.
  shared boolean not null default false,
  seen_at timestamptz(3) not null
);
create table device_person (
  device_id bytea not null references device on delete cascade,
  person_id uuid not null references person on delete cascade,
  seen_at timestamptz(3) not null,
  primary key (device_id, person_id)
);

-- Wrong PINs in all since the last right one or the password.
alter table person
  add column pin_wrong int not null default 0,
  -- What entries that do not hold a name themselves are signed with, whatever becomes of the account.
  add column signed_as text,
  -- The name was struck from the accounts; what they signed keeps it.
  add column struck_at timestamptz(3);

update person set signed_as = name;

drop table failed_attempt;
-- Of the rate limiter: its own form.
create table attempt (
  key text primary key,
  points integer not null default 0,
  expire bigint
);
create index attempt_expire on attempt (expire);

-- What a lead or a command did to an account: reset, struck, exported.
create table account_event (
  id uuid primary key,
  person_id uuid not null references person,
  what text not null,
  made_by uuid references person,
  at timestamptz(3) not null
);
create trigger account_event_append_only before update or delete on account_event for each row execute function refuse_change();
