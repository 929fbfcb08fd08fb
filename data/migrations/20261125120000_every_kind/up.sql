-- Stages of every kind: worm, bevel, planetary, belts, chain, gap beside the gear pair.
alter table stage drop constraint stage_kind_check;
alter table stage add constraint stage_kind_check check (kind in (
  'gear-pair', 'worm', 'bevel', 'planetary', 'toothed-belt', 'v-belt', 'chain', 'gap'));

-- The whole machine element. Of revisions from before it holds the bare gear pair, and `parts` what is known of the two gears beside it.
alter table stage_geometry rename column pair to element;

-- A planetary set has nothing to adjust. How the technician knows the adjuster, and which other stages it moves as well.
alter table stage_adjuster
  alter column adjuster drop not null,
  add column means text not null default '',
  add column also_moves jsonb not null default '[]';

-- Limits as they were given: of the quantity, and with what was held still while it was read.
alter table stage_limits rename column lo_mm to lo;
alter table stage_limits rename column aim_mm to aim;
alter table stage_limits rename column hi_mm to hi;
alter table stage_limits
  add column held double precision,
  drop constraint stage_limits_quantity_check,
  add constraint stage_limits_quantity_check check (quantity in (
    'circumferential-backlash', 'normal-backlash', 'angular-backlash', 'tension', 'span-frequency', 'span-force',
    'span-deflection', 'sag', 'elongation', 'gap'));

-- What is read beside the quantity that a stage is judged by.
create table side_limits (
  id uuid primary key,
  stage_id uuid not null references stage,
  quantity text not null check (quantity in ('end-float', 'elongation', 'runout', 'offset', 'angle')),
  revision int not null,
  lo double precision,
  hi double precision,
  source_kind text not null check (source_kind in ('maker', 'drawing', 'standard', 'house rule', 'recommended')),
  source text not null,
  made_by uuid not null references person,
  effective_from timestamptz(3) not null,
  check (lo is not null or hi is not null),
  check (lo <= hi),
  unique (stage_id, quantity, revision)
);
create trigger side_limits_append_only before update or delete on side_limits for each row execute function refuse_change();

-- Readings and instruments in whatever unit the quantity has.
alter table reading rename column value_mm to value;
alter table reading rename column resolution_mm to resolution;
alter table reading rename column expanded_uncertainty_mm to expanded_uncertainty;
alter table reading
  add column held double precision,
  drop constraint reading_quantity_check,
  add constraint reading_quantity_check check (quantity in (
    'circumferential-backlash', 'normal-backlash', 'tip-clearance', 'angular-backlash', 'tension', 'span-frequency',
    'span-force', 'span-deflection', 'sag', 'elongation', 'gap', 'end-float', 'runout', 'offset', 'angle'));
alter table instrument rename column resolution_mm to resolution;
alter table instrument rename column expanded_uncertainty_mm to expanded_uncertainty;
alter table instrument add column dimension text not null default 'length' check (dimension in (
  'length', 'angle', 'force', 'frequency'));

-- Entries from before say mm in the names of their figures, and are hashed so.
alter table entry add column format smallint not null default 1 check (format in (1, 2));
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'move', 'clamp', 'loose-thing', 'proof', 'note', 'signature',
  'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan'));

-- What drives what: shafts, the stages between them, what is driven in and taken out.
create table drive_line (
  id uuid primary key,
  machine_id uuid not null references machine,
  revision int not null,
  graph jsonb not null,
  made_by uuid not null references person,
  effective_from timestamptz(3) not null,
  unique (machine_id, revision)
);
create trigger drive_line_append_only before update or delete on drive_line for each row execute function refuse_change();
