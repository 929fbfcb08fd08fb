import { v7 } from "uuid";
import { seededRandom } from "../../core/practice";
import { mustHold } from "../../core/quantity";
import type { Pool } from "../../data/postgres";
import { scenario } from "../../demo/scenario";
import { instruments, lead, machines, workshop } from "../../demo/works";
import { addMachine } from "../../operations/add-machine";
import { correctEntry } from "../../operations/correct-entry";
import { openJob } from "../../operations/open-job";
import { recordEntry } from "../../operations/record-entry";
import { setUpWorkshop } from "../../operations/set-up-workshop";
import { signJob } from "../../operations/sign-job";

const operations = {
  "open-job": openJob,
  "record-entry": recordEntry,
  "sign-job": signJob,
  "correct-entry": correctEntry,
};
const idKeys = ["id", "entryId", "jobId", "stageId", "machineId", "instrumentId", "namesEntry", "seenEntry"];

/** The carton works put into an empty database through the app's own operations, dated relative to `now`. */
export async function loadDemo(pool: Pool, now: Date): Promise<void> {
  const ids = demoIds();
  const began = new Date(now.getTime() - 240 * 86_400_000);
  const person = await setUpWorkshop(
    pool,
    began,
    { ...workshop, id: ids("workshop", began) },
    { ...lead, id: ids("lead", began) },
    instruments.map((instrument) => ({ ...instrument, id: ids(instrument.key, began) })),
  );
  for (const machine of machines) {
    const stages = machine.stages.map(({ key, teeth, moduleMm, faceWidthMm, centreDistanceMm, ...stage }) => ({
      ...stage,
      id: ids(key, began),
      geometryId: ids(`${key}-geometry`, began),
      adjusterId: ids(`${key}-adjuster`, began),
      limitsId: ids(`${key}-limits`, began),
      pair: { teeth, moduleMm, faceWidthMm, centreDistanceMm },
    }));
    mustHold(await addMachine({ pool, person, now: began }, { ...machine, id: ids(machine.key, began), stages }));
  }
  for (const { at, operation, input } of scenario(now)) {
    const real = withIds({ ...input, madeAt: at.toISOString() }, (name) => ids(name, at));
    mustHold<unknown>(await operations[operation]({ pool, person, now: at }, real));
  }
}

/** The same name gives the same id within one load; ids carry the time at which the thing was made. */
function demoIds(): (name: string, at: Date) => string {
  const known = new Map<string, string>();
  const random = seededRandom(7);
  return (name, at) => {
    const bytes = Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256));
    const made = known.get(name) ?? v7({ msecs: at.getTime(), random: bytes });
    known.set(name, made);
    return made;
  };
}

function withIds(value: unknown, real: (name: string) => string, key = ""): unknown {
  if (Array.isArray(value)) return value.map((item) => withIds(item, real, key === "stageIds" ? "id" : ""));
  if (value && typeof value === "object") {
    return Object.fromEntries(Object.entries(value).map(([name, inner]) => [name, withIds(inner, real, name)]));
  }
  return typeof value === "string" && idKeys.includes(key) ? real(value) : value;
}
