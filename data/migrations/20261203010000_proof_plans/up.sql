-- What proves a stage, or with no stage its machine: runs with their limits, in revisions that are only added to.
create table proof_plan_revision (
  id uuid primary key,
  machine_id uuid not null references machine (id),
  stage_id uuid references stage (id),
  revision integer not null check (revision >= 1),
  plan jsonb not null,
  made_by uuid not null references person (id),
  made_at timestamptz not null,
  unique nulls not distinct (machine_id, stage_id, revision)
);
create trigger proof_plan_append_only before update or delete on proof_plan_revision for each row execute function refuse_change();
create trigger proof_plan_no_truncate before truncate on proof_plan_revision for each statement execute function refuse_change();
create trigger proof_plan_to_seal after insert on proof_plan_revision for each row execute function note_for_seal('proof-plan');
