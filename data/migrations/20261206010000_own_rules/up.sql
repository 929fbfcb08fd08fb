-- What a workshop has learnt of its own about what is behind a noise, beside the rules that come with the app.
create table cause_rule (
  id uuid primary key,
  workshop_id uuid not null references workshop,
  rule jsonb not null,
  made_by uuid not null references person,
  made_at timestamptz(3) not null,
  taken_back_at timestamptz(3)
);
create index cause_rule_of_workshop on cause_rule (workshop_id) where taken_back_at is null;
