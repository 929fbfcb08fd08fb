import { v7 } from "uuid";
import type { Pool } from "../../data/postgres";
import { cpuTicks, type Visitor } from "./visitor";

const entries = 500;

/**
 * A tablet that was away comes back with 500 entries on one job: sent in order, each once; then the same again, as after a lost
 * answer, which must add nothing.
 */
export async function measureReplay({ get, post }: Visitor, pid: number, pool: Pool): Promise<void> {
  const { rows } = await pool.query(
    `select m.id as machine_id, s.id as stage_id from stage s join machine m on m.id = s.machine_id
     where not exists (select 1 from job j where j.machine_id = m.id and j.signed_entry is null) limit 1`,
  );
  const { rows: instruments } = await pool.query("select id from instrument where kind = 'lever indicator'");
  const { machine_id: machineId, stage_id: stageId } = rows[0];
  const jobId = v7();
  const madeAt = () => new Date().toISOString();
  await post("/jobs/open", {
    id: jobId,
    entryId: v7(),
    machineId,
    stageIds: [stageId],
    reason: "Replay",
    madeAt: madeAt(),
  });
  const work = Array.from({ length: entries }, (_, i) => ({
    id: v7(),
    jobId,
    stageId,
    madeAt: madeAt(),
    ...(i % 10 === 0 ? round(instruments[0].id) : { kind: "note", text: `Entry ${i}` }),
  }));
  const send = async (part: readonly object[]): Promise<number> => {
    const before = cpuTicks(pid);
    for (const item of part) await post(`/jobs/${jobId}/entries`, { ...item, sentAt: madeAt() });
    return ((cpuTicks(pid) - before) * 10) / part.length;
  };
  for (let i = 0; i < 20; i++) await get("/status");
  const before = cpuTicks(pid);
  for (let i = 0; i < 100; i++) await get("/status");
  const bare = ((cpuTicks(pid) - before) * 10) / 100;
  const first = await send(work.slice(0, 100));
  await send(work.slice(100, 400));
  const last = await send(work.slice(400));
  const again = await send(work);
  const { rows: kept } = await pool.query(
    "select count(*)::int as count, bool_and(e.seq = x.place) as in_order from (select seq - min(seq) over () + 1 as seq, id from entry where job_id = $1 and kind <> 'job-opened') e join unnest($2::uuid[]) with ordinality as x(id, place) on x.id = e.id",
    [jobId, work.map((item) => item.id)],
  );
  console.log(
    `replay of ${entries} offline entries, sent twice: ${kept[0].count} kept, ${kept[0].in_order ? "in order" : "OUT OF ORDER"}; CPU time of the server ${(first / bare).toFixed(1)} times a bare page for each of the first hundred, ${(last / bare).toFixed(1)} for each of the last, ${(again / bare).toFixed(1)} for one that is there already`,
  );
}

const round = (instrumentId: string) => ({
  kind: "round",
  phase: "as-found",
  method: { instrumentId, indicatorRadiusMm: null, indicatorAngleDeg: 0, temperatureC: null, sense: "clockwise" },
  readings: Array.from({ length: 12 }, (_, i) => ({
    tooth: i + 1,
    turn: 1,
    typed: "0.15",
    struck: false,
    repeats: null,
  })),
});
