import { v7 } from "uuid";
import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Stage } from "../core/records";
import { geometryFields, limitsFields, sideLimitsFields } from "../core/records/stage";
import { measuredUnit, sideQuantities, type Unwise } from "../core/stages";
import { type Database, transaction } from "../data/postgres";
import { openJobs } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import {
  insertAdjuster,
  insertGeometry,
  insertLimits,
  insertSideLimits,
  machineOfStage,
  renameStage,
  retireStage,
  stageById,
  stagesOfMachines,
} from "../data/queries/stages";
import { dropStanding } from "../data/queries/standings";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole } from "./context";
import { checkInput, id, text, words } from "./input";
import { refreshStanding } from "./refresh-standing";
import { adjusterInput, adjusterRow, checkGeometry, geometryRow, limitsFit, limitsRow } from "./stage-input";

const envelope = { entryId: id, stageId: id, text: text(400).trim().default("") };
const revision = { ...envelope, revisionId: id, seenRevision: z.number().int().gte(1) };

/** All there are from now on; left out: they stay as they are. */
const sides = z.array(sideLimitsFields).max(sideQuantities.length).optional();

const reviseInput = z.discriminatedUnion("what", [
  z.object({ what: z.literal("geometry"), ...revision, geometry: geometryFields }),
  z.object({ what: z.literal("adjuster"), ...revision, adjuster: adjusterInput }),
  z.object({
    what: z.literal("limits"),
    ...revision,
    /** 0: it had none yet. */
    seenRevision: z.number().int().gte(0),
    limits: limitsFields,
    sideLimits: sides,
  }),
  z.object({ what: z.literal("stage"), ...envelope, name: words(80) }),
  z.object({ what: z.literal("retired"), ...envelope }),
]);
type Revise = z.output<typeof reviseInput>;

/**
 * A new revision of a stage's geometry, adjuster or limits, its new name, or its end. Entries keep the revisions they were judged
 * by. Refused where somebody else revised it meanwhile (`revised-meanwhile`). A job that is open goes on by the new one, and
 * says so. Only leads may.
 */
export async function reviseStage({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(reviseInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  let warnings: Unwise[] = [];
  if (value.what === "geometry") {
    const found = checkGeometry(value.geometry, ["geometry", "element"]);
    if (!found.ok) return found;
    warnings = found.value;
  }
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machineId = await machineOfStage(db, person.workshopId, value.stageId);
    if (!machineId) return refuse("no-such-stage", ["stageId"]);
    const head = await lockHead(db, machineId);
    const known = await alreadyThere(db, value.entryId, submission);
    if (known) return known;
    const stage = await stageById(db, value.stageId);
    if (!stage || stage.retiredAt) return refuse("no-such-stage", ["stageId"]);
    const done = await revise(db, stage, value, { madeBy: person.id, from: now });
    if (!done.ok) return done;
    const after = await stageById(db, stage.id);
    const entry = await appendEntry(db, head, {
      id: value.entryId,
      machineId,
      stageId: stage.id,
      kind: "change",
      body: {
        what: value.what,
        text: [done.value, value.text].filter(Boolean).join(". "),
        warnings,
      },
      madeBy: person.id,
      submission,
      madeAt: now.toISOString(),
      recordedAt: now,
      geometryId: after?.geometry.id ?? null,
      adjusterId: after?.adjuster.id ?? null,
      limitsId: after?.limits?.id ?? null,
    });
    if (value.what === "retired") await dropStanding(db, stage.id);
    else await refreshStanding(db, stage.id);
    return accept(entry);
  });
}

/** Saves the revision; returns what the logbook says of it. */
async function revise(
  db: Database,
  stage: Stage,
  value: Revise,
  by: { madeBy: string; from: Date },
): Promise<Result<string>> {
  const at = { stageId: stage.id, ...by };
  switch (value.what) {
    case "geometry": {
      if (stage.geometry.revision !== value.seenRevision) return refuse("revised-meanwhile", ["geometry"]);
      if (value.geometry.element.kind !== stage.kind) return refuse("another-kind", ["geometry", "element", "kind"]);
      const next = stage.geometry.revision + 1;
      await insertGeometry(db, at, geometryRow(value.revisionId, next, value.geometry));
      return accept(`Geometry, revision ${next}`);
    }
    case "adjuster": {
      if (stage.adjuster.revision !== value.seenRevision) return refuse("revised-meanwhile", ["adjuster"]);
      const next = stage.adjuster.revision + 1;
      await insertAdjuster(db, at, adjusterRow(value.revisionId, next, value.adjuster));
      return accept(`Adjuster ${value.adjuster.name}, revision ${next}`);
    }
    case "limits": {
      const before = stage.limits?.revision ?? 0;
      if (before !== value.seenRevision) return refuse("revised-meanwhile", ["limits"]);
      const next = before + 1;
      const fit = limitsFit(stage.geometry.element, value.limits, value.sideLimits ?? []);
      if (!fit.ok) return fit;
      await insertLimits(db, at, limitsRow(value.revisionId, next, value.limits));
      if (value.sideLimits) await reviseSides(db, stage, value.sideLimits, at);
      const { lo, hi, source, quantity } = value.limits;
      const { unit } = quantity === "elongation" ? { unit: "%" } : measuredUnit[quantity];
      return accept(`Limits ${lo} to ${hi} ${unit}, ${source}, revision ${next}`);
    }
    case "stage": {
      const others = await stagesOfMachines(db, [stage.machineId]);
      if (others.some((other) => other.id !== stage.id && other.name.toLowerCase() === value.name.toLowerCase()))
        return refuse("stage-name-taken", ["name"]);
      await renameStage(db, stage.id, value.name);
      return accept(`${stage.name} is now ${value.name}`);
    }
    case "retired": {
      const job = (await openJobs(db, [stage.machineId])).find((open) => open.stageIds.includes(stage.id));
      if (job) return refuse("job-open", [], { by: job.openedByName });
      await retireStage(db, stage.id, by.from);
      return accept(`${stage.name} taken out`);
    }
  }
}

/** A revision of each that differs; one that is no longer there is taken away. */
async function reviseSides(
  db: Database,
  stage: Stage,
  sides: readonly z.output<typeof sideLimitsFields>[],
  at: { stageId: string; madeBy: string; from: Date },
): Promise<void> {
  for (const side of sides) {
    const before = stage.sideLimits.find(({ quantity }) => quantity === side.quantity);
    if (before && before.lo === side.lo && before.hi === side.hi && before.source === side.source) continue;
    await insertSideLimits(db, at, side);
  }
  for (const { quantity, sourceKind } of stage.sideLimits) {
    if (sides.some((side) => side.quantity === quantity)) continue;
    await insertSideLimits(db, at, { id: v7(), quantity, lo: null, hi: null, sourceKind, source: "taken away" });
  }
}
