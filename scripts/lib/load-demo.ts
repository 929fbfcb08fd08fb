import sharp from "sharp";
import { v7 } from "uuid";
import { seededRandom, usualInstruments } from "../../core/practice";
import { mustHold, type Result } from "../../core/quantity";
import type { InstrumentId, Person, PersonId, WorkshopId } from "../../core/records";
import type { RecurringPart } from "../../core/stages";
import { suspectKey } from "../../core/symptoms";
import type { Pool } from "../../data/postgres";
import { people } from "../../demo/people";
import { photographs } from "../../demo/photographs";
import { scenario } from "../../demo/scenario";
import { storeItems } from "../../demo/stores";
import { calibrations, lead, machines, workshop } from "../../demo/works";
import { addMachine } from "../../operations/add-machine";
import { assign } from "../../operations/assign";
import { attachFile } from "../../operations/attach-file";
import type { Context } from "../../operations/context";
import { correctEntry } from "../../operations/correct-entry";
import { exchangeGear } from "../../operations/exchange-gear";
import { keepComputation } from "../../operations/keep-computation";
import { keepGuide } from "../../operations/keep-guide";
import { keepOption } from "../../operations/keep-option";
import { keepProofPlan } from "../../operations/keep-proof-plan";
import { keepShaft } from "../../operations/keep-shaft";
import { keepUpkeep } from "../../operations/keep-upkeep";
import { logSymptom } from "../../operations/log-symptom";
import { logTrial } from "../../operations/log-trial";
import { logUpkeep } from "../../operations/log-upkeep";
import { logUsage } from "../../operations/log-usage";
import { openJob } from "../../operations/open-job";
import { openPoint } from "../../operations/open-point";
import { changePin } from "../../operations/own-account";
import { addPerson } from "../../operations/people";
import { planVisit } from "../../operations/plan-visit";
import { recordEntry } from "../../operations/record-entry";
import { reviseStage } from "../../operations/revise-stage";
import { saveDriveLine } from "../../operations/save-drive-line";
import { setUpWorkshop } from "../../operations/set-up-workshop";
import { signJob } from "../../operations/sign-job";
import { keepItem } from "../../operations/stores";

const operations: Record<string, (context: Context, input: unknown) => Promise<Result<unknown>>> = {
  "open-job": openJob,
  "record-entry": recordEntry,
  "sign-job": signJob,
  "correct-entry": correctEntry,
  "revise-stage": reviseStage,
  "exchange-gear": exchangeGear,
  "open-point": openPoint,
  "keep-computation": keepComputation,
  "log-trial": logTrial,
  "keep-option": keepOption,
  "log-usage": logUsage,
  "plan-visit": planVisit,
  assign,
  "keep-guide": keepGuide,
  "keep-shaft": keepShaft,
  "keep-proof-plan": keepProofPlan,
  // A suspect is known by its stage and part.
  "log-symptom": (context, input) => {
    const {
      stageId,
      gear = null,
      part = null,
      ...said
    } = input as { stageId: string; gear?: string; part?: RecurringPart };
    return logSymptom(context, { ...said, stageId, gear, part, key: suspectKey(stageId, gear, part) });
  },
  "keep-upkeep": (context, input) => {
    const { list, ...said } = input as { list: string };
    return keepUpkeep(context, { ...said, list: JSON.parse(list) });
  },
  "log-upkeep": (context, input) => {
    const { lines, ...said } = input as { lines: string };
    return logUpkeep(context, { ...said, ...JSON.parse(lines) });
  },
  "attach-photograph": async (context, input) => {
    const { svg, ...said } = input as { svg: string };
    return attachFile(context, said, await sharp(Buffer.from(svg)).jpeg().toBuffer());
  },
};
const idKeys = [
  "id",
  "entryId",
  "jobId",
  "stageId",
  "machineId",
  "personId",
  "instrumentId",
  "namesEntry",
  "saw",
  "names",
  "revisionId",
  "guideId",
  "shaftId",
  "itemId",
  "planned",
];

/** The carton works put into an empty database through the app's own operations, dated relative to `now`. */
export async function loadDemo(pool: Pool, now: Date): Promise<void> {
  const ids = demoIds();
  const began = new Date(now.getTime() - 740 * 86_400_000);
  const person = await setUpWorkshop(
    pool,
    began,
    { ...workshop, id: ids<WorkshopId>("workshop", began) },
    { ...lead, id: ids<PersonId>("lead", began) },
    usualInstruments.map(({ key, ...instrument }) => ({
      ...instrument,
      ...calibrationOf(key, now),
      id: ids<InstrumentId>(key, began),
    })),
  );
  const begins = { pool, person, now: began };
  for (const { key, pin, ...other } of people) {
    const added = { ...other, id: ids<PersonId>(key, began), password: lead.password };
    mustHold(await addPerson(begins, added));
    const own = { ...person, id: added.id, name: other.name, role: other.role };
    if (pin) mustHold(await changePin({ ...begins, person: own }, { present: lead.password, pin }));
  }
  for (const item of storeItems) {
    const given = { ...item, id: ids(item.name, began), movementId: ids(`${item.name}-entered`, began) };
    mustHold(await keepItem(begins, given));
  }
  for (const { key, usage: _usage, stages, driveLine, ...machine } of machines) {
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
        adjuster: {
          ...stage.adjuster,
          alsoMoves: (stage.adjuster.alsoMoves ?? []).map((also) => ({ ...also, stageId: ids(also.stageId, began) })),
        },
        sideLimits: (stage.sideLimits ?? []).map((side) => ({
          ...side,
          id: ids(`${stageKey}-${side.quantity}`, began),
        })),
      })),
    };
    mustHold(await addMachine({ pool, person, now: began }, input));
    const shaft = (name: string) => (name.startsWith("source-") ? name : ids(name, began));
    const graph = {
      ...driveLine,
      links: driveLine.links.map((link) => ({ ...link, stageId: shaft(link.stageId), from: shaft(link.from) })),
      outputs: driveLine.outputs.map((output) => ({ ...output, at: shaft(output.at) })),
    };
    const line = {
      entryId: ids(`${key}-line-entered`, began),
      revisionId: ids(`${key}-line`, began),
      machineId: input.id,
    };
    mustHold(await saveDriveLine({ pool, person, now: began }, { ...line, seenRevision: 0, graph }));
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

function calibrationOf(key: string, now: Date) {
  const found = calibrations[key];
  const day = (days: number) => new Date(now.getTime() + days * 86_400_000).toISOString().slice(0, 10);
  return found ? { calibratedOn: day(-found.daysAgo), dueOn: day(found.dueInDays) } : {};
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
function demoIds(): <Id extends string>(name: string, at: Date) => Id {
  const known = new Map<string, string>();
  const random = seededRandom(7);
  return <Id extends string>(name: string, at: Date) => {
    const bytes = Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256));
    const made = known.get(name) ?? v7({ msecs: at.getTime(), random: bytes });
    known.set(name, made);
    return made as Id;
  };
}

function withIds(value: unknown, real: (name: string) => string, key = ""): unknown {
  // Parts of a guide and of a shaft have ids of their own.
  if (key === "parts" && Array.isArray(value))
    return value.map(({ id, ...part }) => ({ ...(withIds(part, real) as object), id }));
  if (Array.isArray(value))
    return value.map((item) =>
      withIds(item, real, ["stageIds", "saw", "items", "drawers", "photographs"].includes(key) ? "id" : ""),
    );
  if (value && typeof value === "object") {
    return Object.fromEntries(Object.entries(value).map(([name, inner]) => [name, withIds(inner, real, name)]));
  }
  return typeof value === "string" && idKeys.includes(key) ? real(value) : value;
}
