-- Planned by the meter as well as by the day: `next_usage_on` is when the meter is expected to get there.
alter table stage_standing
  add column next_usage double precision,
  add column next_usage_on date;
create index stage_standing_by_usage on stage_standing (next_usage_on) where next_usage_on is not null;

alter table open_point add column due_on date;

-- To whom work is given now, an open job or the next visit to a stage; the entry that gave it says the rest.
create table assignment (
  entry_id uuid primary key references entry,
  machine_id uuid not null references machine,
  stage_id uuid references stage,
  job_id uuid references job,
  person_id uuid not null references person,
  note text not null,
  given_by_name text not null,
  given_at timestamptz(3) not null,
  check ((stage_id is null) <> (job_id is null)),
  unique (stage_id),
  unique (job_id)
);
create index assignment_of_person on assignment (person_id);

-- By which a calendar program fetches the plan without signing in: one a person, kept as its hash alone.
create table calendar_key (
  person_id uuid primary key references person on delete cascade,
  key_hash bytea not null unique,
  mine boolean not null,
  made_at timestamptz(3) not null,
  used_at timestamptz(3)
);

alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_check check (kind in (
  'job-opened', 'isolated', 'live', 'round', 'side', 'feel', 'shift', 'sweep', 'trial', 'option', 'move', 'clamp', 'loose-thing', 'proof', 'note',
  'signature', 'countersignature', 'correction', 'open-point', 'point-closed', 'usage', 'change', 'attachment', 'computation', 'plan',
  'part-off', 'part-on', 'part-screws', 'turned', 'seat', 'part-work', 'greased', 'looked', 'shaft', 'measured', 'symptom', 'suspect',
  'assigned'));

-- The logbooks of a workshop are searched together: by words, newest first.
create index entry_words on entry using gin (jsonb_to_tsvector('simple', body, '["string"]'));
create index entry_in_time on entry (made_at desc, id desc);
