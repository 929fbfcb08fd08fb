-- What a machine does that it should not, and what was ruled out or found behind it.
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'shift', 'sweep', 'trial', 'option', 'move', 'clamp', 'loose-thing', 'proof', 'note',
  'signature', 'countersignature', 'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan',
  'part-off', 'part-on', 'part-screws', 'turned', 'seat', 'part-work', 'greased', 'looked', 'shaft', 'measured', 'symptom', 'suspect'));
create index entry_symptom on entry (machine_id, seq desc) where kind in ('symptom', 'suspect');
