import { v5 } from "uuid";
import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import type { Stage, StageId } from "../core/records";
import { machineFields } from "../core/records/machine";
import { mirroredShaft } from "../core/shafts";
import { checkElement, type KeptDriveLine, mirroredAngle, type StageElement, withoutGone } from "../core/stages";
import { type Database, transaction } from "../data/postgres";
import { driveLineOf, insertDriveLine } from "../data/queries/drive-lines";
import { guidesOfMachine, insertGuide } from "../data/queries/guides";
import { insertMachine, lockHead, machineById } from "../data/queries/machines";
import { insertProofPlan, proofPlans } from "../data/queries/proof-plans";
import { insertShaft, shaftsOfMachine } from "../data/queries/shafts";
import {
  insertAdjuster,
  insertGeometry,
  insertLimits,
  insertSideLimits,
  insertStage,
  stagesOfMachines,
} from "../data/queries/stages";
import { nameIsFree } from "./add-machine";
import { appendEntry } from "./append-entry";
import { type Context, checkRole } from "./context";
import { copiedParts } from "./copy-guide";
import { tiedAnew } from "./copy-shaft";
import { firstHash } from "./entry-hash";
import { checkInput, id } from "./input";
import { mirroredAdjuster, mirroredGeometry } from "./mirror-stage";
import { refreshStanding } from "./refresh-standing";

const copyInput = machineFields
  .omit({ model: true, usageUnit: true, units: true, air: true, heaviestKg: true })
  .extend({ id, entryId: id, sourceId: id, mirrored: z.boolean() });

/**
 * A twin of a machine: the same stages, adjusters and limits under a new name with an empty logbook. As a mirror image, hands
 * and the words for positive directions are swapped. Ids of its parts follow from its own, so that a second submission
 * makes nothing new. Only leads may.
 */
export async function copyMachine(
  { pool, person, now }: Context,
  input: unknown,
): Promise<Result<{ machineId: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(copyInput, input);
  if (!checked.ok) return checked;
  const { sourceId, mirrored, entryId, ...fields } = checked.value;
  return transaction(pool, async (db): Promise<Result<{ machineId: string }>> => {
    const source = await machineById(db, person.workshopId, sourceId);
    if (!source) return refuse("no-such-machine", ["sourceId"]);
    if (await machineById(db, person.workshopId, fields.id)) return accept({ machineId: fields.id });
    const free = await nameIsFree(db, person.workshopId, fields.id, fields);
    if (!free.ok) return free;
    await insertMachine(db, {
      ...fields,
      model: source.model,
      usageUnit: source.usageUnit,
      units: source.units,
      air: source.air,
      heaviestKg: source.heaviestKg,
      workshopId: person.workshopId,
      twinOf: source.id,
      headHash: firstHash(fields.id),
      at: now,
    });
    const head = await lockHead(db, fields.id);
    const by = {
      machineId: fields.id,
      madeBy: person.id,

      madeAt: now.toISOString(),
      recordedAt: now,
    };
    const kind = mirrored ? "Mirror image" : "Twin";
    await appendEntry(db, head, {
      ...by,
      id: entryId,
      kind: "change",
      body: { what: "machine", text: `${kind} of ${source.name}, ${source.tag}`, warnings: [] },
    });
    const stages = await stagesOfMachines(db, [source.id]);
    for (const stage of stages) {
      const own = (part: string) => v5(`${stage.id} ${part}`, fields.id);
      const revision = { stageId: own("stage"), madeBy: person.id, from: now };
      const ids = { geometryId: own("geometry"), adjusterId: own("adjuster"), limitsId: own("limits") };
      const geometry = mirrored ? mirroredGeometry(stage.geometry) : stage.geometry;
      const copied = mirrored ? mirroredAdjuster(stage.adjuster) : stage.adjuster;
      const adjuster = {
        ...copied,
        alsoMoves: copied.alsoMoves.map((other) => ({
          ...other,
          stageId: v5(`${other.stageId} stage`, fields.id) as StageId,
        })),
      };
      await insertStage(db, {
        id: revision.stageId,
        machineId: fields.id,
        position: stage.position,
        name: stage.name,
        kind: stage.kind,
        at: now,
      });
      await insertGeometry(db, revision, { ...geometry, id: ids.geometryId, revision: 1 });
      await insertAdjuster(db, revision, { ...adjuster, id: ids.adjusterId, revision: 1 });
      if (stage.limits) await insertLimits(db, revision, { ...stage.limits, id: ids.limitsId, revision: 1 });
      for (const side of stage.sideLimits)
        await insertSideLimits(db, revision, { ...side, id: own(`side ${side.quantity}`) });
      const plan = stage.plans?.find(({ stageId }) => stageId === stage.id);
      if (plan)
        await insertProofPlan(db, {
          ...plan,
          ...{ id: own("proof plan"), machineId: fields.id, stageId: revision.stageId, revision: 1 },
          ...{ madeBy: person.id, at: now },
        });
      const unwise = checkElement(geometry.element);
      await appendEntry(db, head, {
        ...by,
        ...ids,
        limitsId: stage.limits && ids.limitsId,
        id: own("entry"),
        stageId: revision.stageId,
        kind: "change",
        body: { what: "stage", text: stage.name, warnings: unwise.ok ? unwise.value : [] },
      });
      await refreshStanding(db, revision.stageId);
    }
    await copyDriveLine(db, source.id, stages, mirrored, {
      machineId: fields.id,
      madeBy: person.id,

      from: now,
    });
    const [plan] = await proofPlans(db, source.id, null);
    if (plan) {
      const { madeByName: _name, madeAt: _at, ...rest } = plan;
      const own = { id: v5(`${plan.id} proof plan`, fields.id), machineId: fields.id, revision: 1 };
      await insertProofPlan(db, { ...rest, ...own, madeBy: person.id, at: now });
    }
    await copyGuides(db, source.id, stages, mirrored, { machineId: fields.id, madeBy: person.id, at: now });
    await copyShafts(db, source.id, mirrored, { machineId: fields.id, madeBy: person.id, at: now });
    return accept({ machineId: fields.id });
  });
}

/** The newest revision of each shaft, for the hand of the copy, with the ties between them. */
async function copyShafts(
  db: Database,
  sourceId: string,
  mirrored: boolean,
  own: { machineId: string; madeBy: string; at: Date },
): Promise<void> {
  const shafts = await shaftsOfMachine(db, sourceId);
  const newId = (shaftId: string) => v5(`${shaftId} shaft`, own.machineId);
  for (const source of shafts) {
    const shaft = mirrored ? mirroredShaft(source) : source;
    const { name, leftFace, rightFace, lengthMm, diameterMm, leftFaceAtMm, endFloat, parts } = shaft;
    await insertShaft(db, {
      ...{ name, leftFace, rightFace, lengthMm, diameterMm, leftFaceAtMm, endFloat },
      ...own,
      id: v5(`${source.shaftId} shaft revision`, own.machineId),
      shaftId: newId(source.shaftId),
      revision: 1,
      parts: tiedAnew(parts, (shaftId) => {
        const met = shafts.find((other) => other.shaftId === shaftId);
        return met && { shaftId: newId(shaftId), parts: met.parts };
      }),
    });
  }
}

/** The newest revision of each guide, for the hand of the copy; photographs stay with the machine that they show. */
async function copyGuides(
  db: Database,
  sourceId: string,
  stages: readonly Stage[],
  mirrored: boolean,
  own: { machineId: string; madeBy: string; at: Date },
): Promise<void> {
  for (const guide of await guidesOfMachine(db, sourceId)) {
    const ofStage = stages.some(({ id }) => id === guide.stageId);
    await insertGuide(db, {
      ...own,
      id: v5(`${guide.guideId} revision`, own.machineId),
      guideId: v5(`${guide.guideId} guide`, own.machineId),
      stageId: ofStage ? v5(`${guide.stageId} stage`, own.machineId) : null,
      name: guide.name,
      revision: 1,
      parts: copiedParts(guide.parts, mirrored),
    });
  }
}

/** What drives what on the source, with the copy's own stages; stages that were retired since are left out. */
async function copyDriveLine(
  db: Database,
  sourceId: string,
  stages: readonly Stage[],
  mirrored: boolean,
  own: { machineId: string; madeBy: string; from: Date },
): Promise<void> {
  const line = await driveLineOf(db, sourceId);
  if (!line) return;
  const elements = new Map<string, StageElement>(stages.map((stage) => [stage.id, stage.geometry.element]));
  const copied = (id: string): string => (elements.has(id) ? v5(`${id} stage`, own.machineId) : id);
  const { links, outputs, ...driven } = withoutGone(line.graph, new Set(elements.keys()));
  const graph = {
    ...driven,
    links: links.map((link): KeptDriveLine["links"][number] => {
      const element = elements.get(link.stageId);
      return {
        ...link,
        stageId: copied(link.stageId),
        from: copied(link.from),
        onto: link.onto && copied(link.onto),
        angleDeg: mirrored && element ? mirroredAngle(element, link.angleDeg) : link.angleDeg,
      };
    }),
    outputs: outputs.map((output) => ({ ...output, at: copied(output.at) })),
  };
  await insertDriveLine(db, { ...own, id: v5("drive line", own.machineId), revision: 1, graph });
}
