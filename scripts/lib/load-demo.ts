import sharp from "sharp";
import { v7 } from "uuid";
import { seededRandom } from "../../core/practice";
import { mustHold, type Result } from "../../core/quantity";
import type { Pool } from "../../data/postgres";
import type { Person } from "../../data/queries/people";
import { photographs } from "../../demo/photographs";
import { scenario } from "../../demo/scenario";
import { instruments, lead, machines, workshop } from "../../demo/works";
import { addMachine } from "../../operations/add-machine";
import { attachFile } from "../../operations/attach-file";
import type { Context } from "../../operations/context";
import { correctEntry } from "../../operations/correct-entry";
import { logUsage } from "../../operations/log-usage";
import { openJob } from "../../operations/open-job";
import { openPoint } from "../../operations/open-point";
import { recordEntry } from "../../operations/record-entry";
import { reviseStage } from "../../operations/revise-stage";
import { setUpWorkshop } from "../../operations/set-up-workshop";
import { signJob } from "../../operations/sign-job";

const operations: Record<string, (context: Context, input: unknown) => Promise<Result<unknown>>> = {
  "open-job": openJob,
  "record-entry": recordEntry,
  "sign-job": signJob,
  "correct-entry": correctEntry,
  "revise-stage": reviseStage,
  "open-point": openPoint,
  "log-usage": logUsage,
};
const idKeys = [
  "id",
  "entryId",
  "jobId",
  "stageId",
  "machineId",
  "instrumentId",
  "namesEntry",
  "seenEntry",
  "names",
  "revisionId",
];

/** The carton works put into an empty database through the app's own operations, dated relative to `now`. */
export async function loadDemo(pool: Pool, now: Date): Promise<void> {
  const ids = demoIds();
  const began = new Date(now.getTime() - 740 * 86_400_000);
  const person = await setUpWorkshop(
    pool,
    began,
    { ...workshop, id: ids("workshop", began) },
    { ...lead, id: ids("lead", began) },
    instruments.map((instrument) => ({ ...instrument, id: ids(instrument.key, began) })),
  );
  for (const { key, usage: _usage, stages, ...machine } of machines) {
    const input = {
      ...machine,
      id: ids(key, began),
      entryId: ids(`${key}-entered`, began),
      stages: stages.map(({ key: stageKey, hidden: _hidden, ...stage }) => ({
        ...stage,
        id: ids(stageKey, began),
        entryId: ids(`${stageKey}-entered`, began),
        geometryId: ids(`${stageKey}-geometry`, began),
        adjusterId: ids(`${stageKey}-adjuster`, began),
        limitsId: ids(`${stageKey}-limits`, began),
      })),
    };
    mustHold(await addMachine({ pool, person, now: began }, input));
  }
  const pictures = photographs.map((picture) => ({
    ...picture,
    at: new Date(now.getTime() - picture.daysAgo * 86_400_000),
  }));
  const keepUntil = async (at: Date) => {
    while (pictures[0] && pictures[0].at <= at)
      await keepPicture(pool, person, pictures.shift() as (typeof pictures)[0], ids);
  };
  pictures.sort((a, b) => a.at.getTime() - b.at.getTime());
  for (const { at, operation, input } of scenario(now)) {
    await keepUntil(at);
    const real = withIds({ ...input, madeAt: at.toISOString() }, (name) => ids(name, at));
    const result = await operations[operation]?.({ pool, person, now: at }, real);
    if (!result?.ok)
      throw new Error(`${operation} of the demo was refused: ${JSON.stringify(result)} ${JSON.stringify(input)}`);
  }
  await keepUntil(now);
}

async function keepPicture(
  pool: Pool,
  person: Person,
  { key, machine, stage, name, caption, at, svg }: (typeof photographs)[number] & { at: Date },
  ids: (name: string, at: Date) => string,
): Promise<void> {
  const input = {
    id: ids(key, at),
    machineId: ids(machine, at),
    stageId: ids(stage, at),
    name,
    caption,
    madeAt: at.toISOString(),
  };
  mustHold(await attachFile({ pool, person, now: at }, input, await sharp(Buffer.from(svg)).jpeg().toBuffer()));
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
