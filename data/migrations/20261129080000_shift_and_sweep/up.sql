-- How a sliding gear stands against its stops and goes in; how the current follows an actuator's force; parts made and tried.
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'shift', 'sweep', 'trial', 'move', 'clamp', 'loose-thing', 'proof', 'note',
  'signature', 'countersignature', 'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan'));
