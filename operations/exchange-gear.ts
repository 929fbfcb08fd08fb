import * as z from "zod";
import { type GearPair, gearPair, type PairGeometry, toothCircles } from "../core/gears";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Stage, StoreItem } from "../core/records";
import { asGearPair, gearNames } from "../core/stages";
import { type Database, transaction } from "../data/postgres";
import { jobById } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import { insertGeometry, stageById } from "../data/queries/stages";
import { lockItems } from "../data/queries/store";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, text } from "./input";
import { onMachine } from "./on-machine";
import { refreshStanding } from "./refresh-standing";
import { checkGeometry, geometryRow } from "./stage-input";
import { reserve, takeReserved } from "./stores";
import type { Takings } from "./takings";

const said = z.object({ key: z.string().min(1).max(40), text: z.string().min(1).max(400) });

const exchangeInput = z.object({
  entryId: id,
  revisionId: id,
  jobId: id,
  stageId: id,
  seenRevision: z.number().int().gte(1),
  /** Store items that go in, driver and driven; null: that one stays. */
  items: z.tuple([id.nullable(), id.nullable()]),
  /** Where the gears that came out are put, in the same order; null: nowhere that is kept here. */
  drawers: z.tuple([id.nullable(), id.nullable()]),
  /** At which it will stand. */
  centreDistanceMm: z.number().gt(0).lte(1e6),
  acknowledged: z.array(said).max(12),
  notAcknowledged: z.array(said).max(12),
  text: text(400).trim().default(""),
});
type Exchange = z.output<typeof exchangeInput>;

/**
 * A gear of a stage exchanged within a job: the one that went in is taken out of the stores, the one that came out is put where it was said, and
 * the stage has a new geometry. What was read before stays that of the old gear; it has to be read again. Whoever works may do it;
 * refused where somebody else revised the stage meanwhile.
 */
export async function exchangeGear({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(exchangeInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  if (value.items.every((item) => item === null)) return refuse("nothing-changed", ["items"]);
  const submission = submissionOf(person.id, value);
  const job = await jobById(pool, person.workshopId, value.jobId);
  if (!job?.stageIds.some((stage) => stage === value.stageId)) return refuse("no-such-job", ["jobId"]);
  return onMachine(job.machineId, () =>
    transaction(pool, async (db): Promise<Result<Entry>> => {
      const head = await lockHead(db, job.machineId);
      const known = await alreadyThere(db, value.entryId, submission);
      if (known) return known;
      const open = await jobById(db, person.workshopId, job.id);
      if (!open || open.signedEntry) return refuse("job-signed", ["jobId"]);
      const stage = await stageById(db, value.stageId);
      if (!stage || stage.retiredAt) return refuse("no-such-stage", ["stageId"]);
      if (stage.geometry.revision !== value.seenRevision) return refuse("revised-meanwhile", ["geometry"]);
      // Taken first: what comes out is not there yet to be put in.
      const taken = await reserve(db, person.workshopId, changesOf(value.items, -1));
      if (!taken.ok) return taken;
      const returned = changesOf(
        value.drawers.map((drawer, i) => (value.items[i] ? drawer : null)),
        1,
      );
      const kept = await reserve(db, person.workshopId, returned);
      if (!kept.ok) return kept;
      const stock = netOf([...changesOf(value.items, -1), ...returned]);
      const made = await withGears(db, person.workshopId, stage, value);
      if (!made.ok) return made;
      const { geometry, exchange } = made.value;
      const warnings = checkGeometry(geometry, ["geometry", "element"]);
      if (!warnings.ok) return warnings;
      const row = geometryRow(value.revisionId, stage.geometry.revision + 1, geometry);
      await insertGeometry(db, { stageId: stage.id, madeBy: person.id, from: now }, row);
      const entry = await appendEntry(db, head, {
        id: value.entryId,
        machineId: job.machineId,
        jobId: job.id,
        stageId: stage.id,
        kind: "change",
        body: { what: "geometry", text: value.text, warnings: warnings.value, exchange },
        madeBy: person.id,
        submission,
        madeAt: now.toISOString(),
        recordedAt: now,
        geometryId: row.id,
        adjusterId: stage.adjuster.id,
        limitsId: stage.limits?.id ?? null,
      });
      await takeReserved(db, stock, { entryId: entry.id, why: stage.name, madeBy: person.id, at: now });
      await refreshStanding(db, stage.id);
      return accept(entry);
    }),
  );
}

const changesOf = (items: readonly (string | null)[], change: 1 | -1): Takings =>
  netOf(items.flatMap((itemId) => (itemId ? [{ itemId, change }] : [])));

/** An item once, with all that leaves it and goes back: a movement is named by its item and its entry. */
function netOf(changes: Takings): Takings {
  const net = new Map<string, number>();
  for (const { itemId, change } of changes) net.set(itemId, (net.get(itemId) ?? 0) + change);
  return [...net].map(([itemId, change]) => ({ itemId, change }));
}

/** The stage with the gears in it that were taken; refused where one does not belong to its system. */
async function withGears(db: Database, workshopId: string, stage: Stage, { items, ...value }: Exchange) {
  const element = asGearPair(stage.geometry.element);
  if (!element || gearNames(stage.geometry.element)) return refuse("not-of-this-kind", ["stageId"]);
  const wanted = items.filter((item) => item !== null);
  const stored = await lockItems(db, workshopId, wanted);
  const gears = items.map((item) => stored.find((one) => one.id === item && one.kind === "gear") ?? null);
  const missing = gears.findIndex((gear, i) => items[i] !== null && gear === null);
  if (missing >= 0) return refuse("no-such-item", ["items", missing]);
  const { pair } = element;
  const odd = gears.findIndex((gear) => gear !== null && !isOfSystem(gear, pair));
  if (odd >= 0) return refuse("another-system", ["items", odd]);
  const next = pairWith(pair, gears, value.centreDistanceMm);
  const [before, after] = [gearPair(pair), gearPair(next)];
  if (!before.ok) return before;
  if (!after.ok) return refuse(after.refusal.code, ["centreDistanceMm"], after.refusal.facts);
  const { id: _, revision: __, ...geometry } = stage.geometry;
  return accept({
    geometry: { ...geometry, element: { ...element, pair: next } },
    exchange: {
      was: [...pair.teeth] as [number, number],
      now: [...next.teeth] as [number, number],
      names: gears.map((gear) => gear?.name ?? null) as [string | null, string | null],
      ...changeOf(before.value, after.value),
      acknowledged: value.acknowledged,
      notAcknowledged: value.notAcknowledged,
    },
  });
}

const figure = ({ figures }: StoreItem, key: string, usual: number): number => Number(figures[key] ?? usual) || usual;

const alike = (a: number, b: number): boolean => Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a), Math.abs(b));

const isOfSystem = (gear: StoreItem, pair: PairGeometry): boolean =>
  alike(figure(gear, "moduleMm", 0), pair.moduleMm) &&
  alike(figure(gear, "pressureAngleDeg", 20), pair.pressureAngleDeg) &&
  alike(Math.abs(figure(gear, "helixAngleDeg", 0)), Math.abs(pair.helixAngleDeg));

function pairWith(pair: PairGeometry, gears: readonly (StoreItem | null)[], centreDistanceMm: number): PairGeometry {
  const of = <T>(own: readonly [T, T], taken: (gear: StoreItem) => T): [T, T] => [
    gears[0] ? taken(gears[0]) : own[0],
    gears[1] ? taken(gears[1]) : own[1],
  ];
  const teeth = of(pair.teeth, (gear) => figure(gear, "teeth", 0));
  const profileShift = of(pair.profileShift, (gear) => figure(gear, "profileShift", 0));
  const thinningMm = of(pair.thinningMm, () => 0);
  const tip = (member: 0 | 1): number =>
    toothCircles({
      ...pair,
      teeth: teeth[member],
      profileShift: profileShift[member],
      thinningMm: thinningMm[member],
      ring: pair.internal && member === 1,
      tipDiameterMm: gears[member] ? undefined : pair.tipDiameterMm?.[member],
    }).tipDiameterMm;
  return {
    ...pair,
    teeth,
    profileShift,
    thinningMm,
    ...(pair.tipDiameterMm ? { tipDiameterMm: [tip(0), tip(1)] as const } : {}),
    centreDistanceMm,
  };
}

/** What lies behind it turns so much faster, with so much more torque; and how far the centres part. */
const changeOf = (before: GearPair, after: GearPair) => ({
  moveMm: after.centreDistanceMm - before.centreDistanceMm,
  speedPercent: 100 * (before.ratio / after.ratio - 1),
  torquePercent: 100 * (after.ratio / before.ratio - 1),
});
