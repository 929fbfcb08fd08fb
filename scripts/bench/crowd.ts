import { v7 } from "uuid";
import type { Pool } from "../../data/postgres";
import type { Visitor } from "./visitor";

const technicians = 50;
const notesEach = 8;

/** Fifty technicians who save at once, each on a machine of their own and all on one: errors, and how long a save takes beside one that is alone. */
export async function measureCrowd({ post }: Visitor, pool: Pool): Promise<void> {
  const { rows } = await pool.query(
    `select m.id as machine_id, min(s.id::text) as stage_id from stage s join machine m on m.id = s.machine_id
     where s.retired_at is null and m.retired_at is null group by m.id order by m.id`,
  );
  const jobs = await Promise.all(
    Array.from({ length: technicians }, async (_, i) => {
      const { machine_id: machineId, stage_id: stageId } = rows[i % rows.length];
      const id = v7();
      const madeAt = new Date().toISOString();
      await post("/jobs/open", { id, entryId: v7(), machineId, stageIds: [stageId], reason: `Crowd ${i}`, madeAt });
      return { id, stageId };
    }),
  );
  const [one] = jobs;
  if (!one) return;
  const save = async ({ id, stageId }: { id: string; stageId: string }): Promise<number> => {
    const began = performance.now();
    const madeAt = new Date().toISOString();
    await post(`/jobs/${id}/entries`, { id: v7(), stageId, kind: "note", text: "Crowd", madeAt });
    return performance.now() - began;
  };
  const alone: number[] = [];
  for (let i = 0; i < 60; i++) alone.push(await save(one));
  const together = async (where: (i: number) => NonNullable<typeof one>) => {
    let errors = 0;
    const began = performance.now();
    const times = await Promise.all(
      Array.from({ length: technicians }, async (_, i) => {
        const own: number[] = [];
        for (let n = 0; n < notesEach; n++)
          await save(where(i)).then(
            (ms) => own.push(ms),
            () => errors++,
          );
        return own;
      }),
    );
    const aSecond = (technicians * notesEach - errors) / ((performance.now() - began) / 1000);
    return { errors, p95: p95(times.flat()), aSecond };
  };
  for (const [name, where] of [
    [`${Math.min(rows.length, technicians)} machines`, (i: number) => jobs[i] ?? one],
    ["one machine", () => one],
  ] as const) {
    const { errors, p95: waited, aSecond } = await together(where);
    console.log(
      `crowd: ${technicians} technicians on ${name}: ${errors} errors of ${technicians * notesEach}; 95 of 100 saves take at most ${(waited / p95(alone)).toFixed(1)} times as long as one alone (${((aSecond * p95(alone)) / 1000).toFixed(1)} saves in the time of one)`,
    );
  }
}

const p95 = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0;
