-- When a chain that hangs is stretched to its limit by its looks so far: beside the trend of what it is judged by.
alter table stage_standing
  add column wears_out_at timestamptz(3),
  add column wear jsonb;
create index stage_standing_by_wear on stage_standing (wears_out_at) where wears_out_at is not null;
