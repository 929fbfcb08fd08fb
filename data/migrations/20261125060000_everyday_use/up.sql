-- Machines of one's own: where they stand, what their meters show, retired ones, twins.
alter table machine
  add column site text not null default '',
  add column hall text not null default '',
  add column serial text not null default '',
  add column retired_at timestamptz(3),
  add column twin_of uuid references machine,
  -- What the present meter shows, and the total over all meters the machine has had.
  add column meter_reading double precision,
  add column usage_total double precision;
create unique index machine_name on machine (workshop_id, lower(name)) where retired_at is null;
create index machine_place on machine (workshop_id, site, hall);

alter table stage add column retired_at timestamptz(3);
create unique index stage_name on stage (machine_id, lower(name)) where retired_at is null;

alter table stage_geometry
  add column arc_from_deg double precision,
  add column arc_to_deg double precision,
  add column turned_by text not null default 'either' check (turned_by in ('either', 'input', 'output', 'power')),
  -- Materials, bores, keyways, and the gear's own pitch where it is not the pinion's.
  add column parts jsonb not null default '{}',
  add check ((arc_from_deg is null) = (arc_to_deg is null)),
  add check (arc_from_deg < arc_to_deg);

alter table stage_adjuster
  add column hand text check (hand in ('right', 'left')),
  add column has_scale boolean not null default true,
  add column seen_from text not null default '';

-- A set of feelers has its leaves.
alter table instrument add column leaves_mm double precision[] not null default '{}';

alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'feel', 'move', 'clamp', 'loose-thing', 'proof', 'note', 'signature',
  'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan'));
-- The running tape of a machine is searched by words.
create index entry_of_machine on entry (machine_id, seq desc) include (kind, stage_id);

alter table reading drop constraint reading_quantity_check;
alter table reading add constraint reading_quantity_check check (quantity in (
  'circumferential-backlash', 'normal-backlash', 'tip-clearance'));
alter table reading alter column indicator_radius_mm drop not null, alter column indicator_angle_deg drop not null;

-- What came with an entry; the entry's hash covers the content's.
create table attachment (
  entry_id uuid primary key references entry,
  sha256 bytea not null,
  media_type text not null,
  content bytea not null,
  preview bytea
);
create trigger attachment_append_only before update or delete on attachment for each row execute function refuse_change();
create trigger attachment_no_truncate before truncate on attachment for each statement execute function refuse_change();

-- What must not be forgotten: opened by an entry, closed by another.
create table open_point (
  id uuid primary key,
  machine_id uuid not null references machine,
  stage_id uuid references stage,
  code text not null,
  text text not null,
  opened_entry uuid not null references entry,
  opened_by uuid not null references person,
  opened_at timestamptz(3) not null,
  closed_entry uuid references entry
);
create index open_point_open on open_point (machine_id, opened_at) where closed_entry is null;
create index open_point_of_stage on open_point (stage_id) where closed_entry is null;

-- How each stage stands now, kept with every entry that changes it, so that the floor need not read the logbooks.
create table stage_standing (
  stage_id uuid primary key references stage,
  machine_id uuid not null references machine,
  state text not null check (state in ('inside', 'near', 'outside', 'unknown')),
  -- 0 outside, 1 near the edge, 2 not known, 3 inside
  severity smallint not null,
  standing jsonb not null,
  drifts_out_at timestamptz(3),
  next_date date,
  -- Of the planned visit, where somebody wrote one.
  plan text not null default ''
);
create index stage_standing_of_machine on stage_standing (machine_id);
create index stage_standing_due on stage_standing (next_date) where next_date is not null;

create index job_done on job (opened_at desc, id desc) where signed_entry is not null;
