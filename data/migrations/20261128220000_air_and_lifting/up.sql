-- What makes a machine safe to work on: whether there is compressed air on it, and the heaviest part that is lifted for the work; null: not known.
alter table machine add column air text not null default 'unknown' check (air in ('yes', 'no', 'unknown'));
alter table machine add column heaviest_kg double precision check (heaviest_kg > 0);
-- Above it two people lift (25 kg, the reference mass of ISO 11228-1).
alter table workshop add column lift_limit_kg double precision not null default 25 check (lift_limit_kg > 0);
