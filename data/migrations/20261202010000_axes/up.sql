-- Axes: judged at both ends by the way from end switch to buffer, of a swinging one in degrees.
alter table stage drop constraint stage_kind_check;
alter table stage add constraint stage_kind_check check (kind in (
  'gear-pair', 'worm', 'bevel', 'planetary', 'toothed-belt', 'v-belt', 'chain', 'coupling', 'gap', 'axis'));

alter table stage_limits drop constraint stage_limits_quantity_check;
alter table stage_limits add constraint stage_limits_quantity_check check (quantity in (
  'circumferential-backlash', 'normal-backlash', 'angular-backlash', 'tension', 'span-frequency', 'span-force',
  'span-deflection', 'sag', 'elongation', 'shaft-offset', 'gap', 'switch-to-buffer', 'switch-to-buffer-angle'));

alter table reading drop constraint reading_quantity_check;
alter table reading add constraint reading_quantity_check check (quantity in (
  'circumferential-backlash', 'normal-backlash', 'tip-clearance', 'angular-backlash', 'tension', 'span-frequency', 'span-force',
  'span-deflection', 'sag', 'hand-movement', 'elongation', 'rim-swing', 'shaft-offset', 'gap', 'end-float', 'runout', 'offset',
  'angle', 'hub-gap', 'switch-to-buffer', 'switch-to-buffer-angle'));
