import { type Database, many, none, sql } from "../postgres";

/** Moves an adjuster on by an amount, negative where a move is found not to count. */
export const moveAdjuster = (db: Database, adjusterId: string, amount: number) =>
  none(
    db,
    sql`insert into adjuster_position (adjuster_id, moved) values (${adjusterId}, ${amount})
        on conflict (adjuster_id) do update set moved = adjuster_position.moved + excluded.moved`,
  );

/** How far adjusters were moved since they were entered, but for the moves of a job; by adjuster. */
export const movedBeforeJob = async (
  db: Database,
  adjusterIds: readonly string[],
  jobId: string | null,
): Promise<Map<string, number>> =>
  new Map(
    await many(
      db,
      sql`select a.id, coalesce(p.moved, 0) - coalesce(j.moved, 0) as moved
          from unnest(${adjusterIds}::uuid[]) as a (id) left join adjuster_position p on p.adjuster_id = a.id
          left join (
            select e.adjuster_id, sum((e.body->>'amount')::double precision) as moved from entry e
            where e.job_id = ${jobId} and e.kind = 'move' and not e.body ? 'gear'
              and not exists (select 1 from entry k
                where k.names_entry = e.id and k.kind = 'correction' and (k.body->>'voids')::boolean)
            group by e.adjuster_id) j on j.adjuster_id = a.id`,
      (row) => [row.id as string, row.moved as number],
    ),
  );
