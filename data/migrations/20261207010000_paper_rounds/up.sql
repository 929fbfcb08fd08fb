-- Rounds that were kept on paper before, brought in afterwards: they tell of the trend, and of nothing else.
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'shift', 'sweep', 'trial', 'option', 'move', 'clamp', 'loose-thing', 'proof', 'note',
  'signature', 'countersignature', 'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan',
  'part-off', 'part-on', 'part-screws', 'turned', 'seat', 'part-work', 'greased', 'looked', 'shaft', 'measured', 'symptom', 'suspect',
  'assigned', 'paper-round'));
