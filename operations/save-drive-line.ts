import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Refusal, type Result, refuse } from "../core/quantity";
import type { Stage } from "../core/records";
import { driveGraph, ratiosOf } from "../core/stages";
import { driveLine } from "../core/trains";
import { transaction } from "../data/postgres";
import { driveLineOf, insertDriveLine } from "../data/queries/drive-lines";
import { lockHead, machineById } from "../data/queries/machines";
import { stagesOfMachines } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole } from "./context";
import { checkInput, id, text, words } from "./input";

const known = z.number().gt(0).lte(1e7).nullable().default(null);
const angle = z.number().gte(-360).lte(360);

export const driveLineInput = z.object({
  sources: z
    .array(z.object({ id: z.string().regex(/^source-\d{1,2}$/), name: words(60), rpm: known, torqueNm: known }))
    .min(1)
    .max(6),
  links: z
    .array(
      z.object({
        stageId: id,
        from: z.string().max(60),
        onto: id.nullable().default(null),
        gear: z.number().int().gte(0).lte(12).default(0),
        angleDeg: angle.default(0),
      }),
    )
    .max(60),
  outputs: z
    .array(z.object({ at: z.string().max(60), name: words(60), wheelDiameterMm: known, scale: known }))
    .max(20)
    .default([]),
  beside: z
    .array(
      z.object({ id: z.string().regex(/^beside-\d{1,2}$/), name: words(60), perMinute: z.number().gt(0).lte(1e6) }),
    )
    .max(12)
    .refine((all) => new Set(all.map(({ id }) => id)).size === all.length)
    .optional(),
});

const saveInput = z.object({
  entryId: id,
  revisionId: id,
  machineId: id,
  seenRevision: z.number().int().gte(0),
  graph: driveLineInput,
  text: text(400).trim().default(""),
});

/**
 * What drives what on a machine, as a new revision. Refused where it has no sense: a loop, a shaft driven twice at different speeds,
 * a stage named twice or one that drives nothing. Only leads may.
 */
export async function saveDriveLine({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(saveInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machine.id);
    const there = await alreadyThere(db, value.entryId, submission);
    if (there) return there;
    const before = await driveLineOf(db, machine.id);
    if ((before?.revision ?? 0) !== value.seenRevision) return refuse("revised-meanwhile", ["graph"]);
    const fits = checkDriveLine(value.graph, await stagesOfMachines(db, [machine.id]));
    if (!fits.ok) return fits;
    const revision = value.seenRevision + 1;
    const { graph } = value;
    await insertDriveLine(db, {
      id: value.revisionId,
      revision,
      graph,
      machineId: machine.id,
      madeBy: person.id,
      from: now,
    });
    const entry = await appendEntry(db, head, {
      id: value.entryId,
      machineId: machine.id,
      kind: "change",
      body: {
        what: "drive-line",
        text: [`${graph.links.length} stages, revision ${revision}`, value.text].filter(Boolean).join(". "),
        warnings: [],
      },
      madeBy: person.id,
      submission,
      madeAt: now.toISOString(),
      recordedAt: now,
    });
    return accept(entry);
  });
}

/** Whether a drive line makes sense with the stages that there are; refusals name the stage. */
export function checkDriveLine(graph: z.output<typeof driveLineInput>, stages: readonly Stage[]): Result<null> {
  const nameOf = (stageId: string) => stages.find((stage) => stage.id === stageId)?.name ?? "";
  const seen = new Set<string>();
  for (const [i, { stageId }] of graph.links.entries()) {
    const stage = stages.find(({ id: known }) => known === stageId);
    if (!stage) return refuse("no-such-stage", ["graph", "links", i, "stageId"]);
    if (seen.has(stageId)) return refuse("stage-twice", ["graph", "links", i, "stageId"], { name: stage.name });
    seen.add(stageId);
    if (ratiosOf(stage.geometry.element).length === 0)
      return refuse("drives-nothing", ["graph", "links", i, "stageId"], { name: stage.name });
  }
  const inLine = stages.map(({ id: known, geometry }) => ({
    id: known,
    element: geometry.element,
    loosest: () => null,
  }));
  const solved = driveLine(driveGraph(graph, inLine));
  if (!solved.ok) {
    const { refusal } = solved;
    const path = ["graph", ...refusal.path];
    if (refusal.code !== "train-loops" && refusal.code !== "driven-twice")
      return { ok: false, refusal: { ...refusal, path } };
    return {
      ok: false,
      refusal: { ...refusal, path, facts: { ...refusal.facts, name: nameOf(refusal.facts.stage) } } as Refusal,
    };
  }
  return accept(null);
}
