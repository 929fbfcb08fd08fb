import { type Database, none, one, sql } from "../postgres";

/** Moves an adjuster on by an amount, negative where a move is found not to count. */
export const moveAdjuster = (db: Database, adjusterId: string, amount: number) =>
  none(
    db,
    sql`insert into adjuster_position (adjuster_id, moved) values (${adjusterId}, ${amount})
        on conflict (adjuster_id) do update set moved = adjuster_position.moved + excluded.moved`,
  );

/** How far an adjuster was moved since it was entered, but for the moves of a job. */
export const movedBeforeJob = (db: Database, adjusterId: string, jobId: string | null) =>
  one(
    db,
    sql`select coalesce((select moved from adjuster_position where adjuster_id = ${adjusterId}), 0)
          - coalesce((select sum((e.body->>'amount')::double precision) from entry e
              where e.job_id = ${jobId} and e.kind = 'move' and e.adjuster_id = ${adjusterId}
                and not exists (select 1 from entry k
                  where k.names_entry = e.id and k.kind = 'correction' and (k.body->>'voids')::boolean)), 0) as moved`,
    (row) => row.moved as number,
  );
