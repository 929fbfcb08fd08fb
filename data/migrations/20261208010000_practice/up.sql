-- Whoever practises does so as somebody of their own, in a workshop of their own: nothing of it is ever among what is real.
alter table person add column practises_for uuid unique references person;
alter table workshop add column practice_of uuid unique references person;

-- A practice machine with what is hidden in it: drawn from its seed, by the edition of the lessons.
create table practice_lesson (
  id uuid primary key,
  person_id uuid not null references person,
  lesson text not null,
  edition int not null,
  seed int not null,
  machine_id uuid not null unique references machine,
  began_at timestamptz(3) not null,
  ended_at timestamptz(3),
  outcome jsonb
);
create index practice_lesson_of_person on practice_lesson (person_id, began_at desc);

-- What was done to it beside the logbook, in order; `after_entry`: the last entry of the machine's logbook then.
create table practice_act (
  lesson_id uuid not null references practice_lesson,
  seq int not null,
  id uuid not null unique,
  after_entry bigint not null,
  act jsonb not null,
  answer jsonb not null,
  at timestamptz(3) not null,
  primary key (lesson_id, seq)
);
