import { v7 } from "uuid";
import { mustHold } from "../../core/quantity";
import type { OpenPool } from "../../data/postgres";
import { personById } from "../../data/queries/people";
import { openJob } from "../../operations/open-job";
import { recordEntry } from "../../operations/record-entry";

const each = 60;
const between = 600;

/** What a note does while it holds its machine's lock: in a job that has only begun, and in one of six hundred entries. */
export async function measureLock(pool: OpenPool): Promise<void> {
  const watch = { statements: 0, ms: 0, since: null as number | null };
  const { rows } = await pool.query(
    `select m.id as machine_id, s.id as stage_id, p.id as person_id from stage s join machine m on m.id = s.machine_id
     join person p on p.workshop_id = m.workshop_id and p.role = 'lead'
     where not exists (select 1 from job j where j.machine_id = m.id and j.signed_entry is null) limit 1`,
  );
  const { machine_id: machineId, stage_id: stageId, person_id: personId } = rows[0];
  const person = await personById(pool, personId);
  if (!person) throw new Error("the demo has no lead");
  const jobId = v7();
  const context = () => ({ pool: watched(pool, watch), person, now: new Date() });
  const madeAt = () => new Date().toISOString();
  const opening = { id: jobId, entryId: v7(), machineId, stageIds: [stageId], reason: "Lock", madeAt: madeAt() };
  mustHold(await openJob(context(), opening));
  const notes = async (count: number) => {
    Object.assign(watch, { statements: 0, ms: 0 });
    const began = performance.now();
    for (let i = 0; i < count; i++)
      mustHold(
        await recordEntry(context(), { id: v7(), jobId, stageId, madeAt: madeAt(), kind: "note", text: `Note ${i}` }),
      );
    return {
      statements: watch.statements / count,
      ms: watch.ms / count,
      share: watch.ms / (performance.now() - began),
    };
  };
  await notes(each);
  const early = await notes(each);
  await notes(between);
  const late = await notes(each);
  console.log(
    `lock, a note in a job just begun: ${early.statements} statements while its machine is locked, ${Math.round(100 * early.share)} % of the whole save; in one of ${between} entries ${late.statements} statements, ${(late.ms / early.ms).toFixed(2)} times as long`,
  );
}

/** The pool, watched from the moment a transaction has a machine's lock to its end. */
function watched(pool: OpenPool, watch: { statements: number; ms: number; since: number | null }): OpenPool {
  return new Proxy(pool, {
    get(target, name) {
      if (name !== "connect") return own(target, name);
      return async () => {
        const client = await target.connect();
        return new Proxy(client, {
          get(_, key) {
            if (key !== "query") return own(client, key);
            return async (text: string, values?: unknown[]) => {
              if (watch.since !== null) watch.statements++;
              const result = await client.query(text, values);
              if (/from machine .*for update/.test(text)) watch.since = performance.now();
              if (text === "commit" && watch.since !== null) {
                watch.ms += performance.now() - watch.since;
                watch.since = null;
              }
              return result;
            };
          },
        });
      };
    },
  });
}

const own = (target: object, name: string | symbol): unknown => {
  const value = Reflect.get(target, name);
  return typeof value === "function" ? value.bind(target) : value;
};
