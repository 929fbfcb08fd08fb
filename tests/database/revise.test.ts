import { v7 } from "uuid";
import { beforeAll, describe, expect, test } from "vitest";
import type { EntryOf } from "~/core/logbook";
import { mustHold, type Result } from "~/core/quantity";
import { stageById, stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { addStage } from "~/operations/add-stage";
import { reviseStage } from "~/operations/revise-stage";
import type { WorkshopId } from "../../core/records";
import { freshWorks, stageInput } from "./fixture";

const works = freshWorks();
const refusal = (result: Result<unknown>) =>
  result.ok ? "taken" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();
const template = stageInput(v7());
let names = 0;

async function fresh(): Promise<string> {
  const id = v7();
  mustHold(
    await addStage(works.as(), {
      ...stageInput(id, `Stage ${names++}`),
      id,
      machineId: works.machineId,
      entryId: v7(),
      geometryId: v7(),
      adjusterId: v7(),
      limitsId: v7(),
    }),
  );
  return id;
}
const revise = (stageId: string, more: Record<string, unknown>, by = works.as()) =>
  reviseStage(by, { entryId: v7(), revisionId: v7(), seenRevision: 1, stageId, ...more });
const limits = (more: object = {}) => ({ what: "limits", limits: { ...template.limits, ...more } });
const adjuster = { what: "adjuster", adjuster: { ...template.adjuster, name: "Slide, renewed" } };
const geometry = (element: object) => ({ what: "geometry", geometry: { ...template.geometry, element } });
const wider = { kind: "gear-pair", pair: { teeth: [20, 40], moduleMm: 2, centreDistanceMm: 60.3 } };
const text = (result: Result<unknown>) => (mustHold(result) as EntryOf<"change">).body.text;

describe("what a revision says, and what it leaves", () => {
  let id = "";
  beforeAll(async () => {
    id = await fresh();
  });

  test("each part has revisions of its own; the logbook says which, with the reason that was typed", async () => {
    expect(text(await revise(id, { ...geometry(wider), text: "New housing" }))).toBe(
      "Geometry, revision 2. New housing",
    );
    expect(text(await revise(id, adjuster))).toBe("Adjuster Slide, renewed, revision 2");
    expect(text(await revise(id, limits({ lo: 0.12 })))).toBe("Limits 0.12 to 0.24 mm, T, revision 2");
    const stage = await stageById(works.pool, id);
    expect([stage?.geometry.revision, stage?.adjuster.revision, stage?.limits?.revision]).toEqual([2, 2, 2]);
    expect(stage?.geometry.element).toMatchObject({ pair: { centreDistanceMm: 60.3 } });
  });

  test("one that was revised meanwhile is not written over, whichever part it is", async () => {
    expect(refusal(await revise(id, geometry(wider)))).toBe("revised-meanwhile geometry");
    expect(refusal(await revise(id, adjuster))).toBe("revised-meanwhile adjuster");
    expect(refusal(await revise(id, limits()))).toBe("revised-meanwhile limits");
  });

  test("sent twice it is one revision", async () => {
    const again = { ...limits({ hi: 0.26 }), entryId: v7(), revisionId: v7(), seenRevision: 2 };
    const [first, second] = [mustHold(await revise(id, again)), mustHold(await revise(id, again))];
    expect(second.id).toBe(first.id);
    expect((await stageById(works.pool, id))?.limits?.revision).toBe(3);
  });
});

test("a gear pair does not become a belt, and limits are of what the stage is read for", async () => {
  const id = await fresh();
  const gap = geometry({ kind: "gap", what: "end-float", diameterMm: 30, places: 1 });
  expect(refusal(await revise(id, gap))).toBe("another-kind geometry.element.kind");
  const impossible = geometry({ kind: "gear-pair", pair: { teeth: [20, 40], moduleMm: 2, centreDistanceMm: 40 } });
  expect(refusal(await revise(id, impossible))).toMatch(/^\S+ geometry\.element/);
  expect(refusal(await revise(id, limits({ quantity: "tension" })))).toBe("not-of-this-kind limits.quantity");
  const sag = { id: v7(), quantity: "elongation", lo: null, hi: 2, sourceKind: "standard", source: "S" };
  expect(refusal(await revise(id, { ...limits(), sideLimits: [sag] }))).toBe("not-of-this-kind sideLimits.0.quantity");
  expect(await stageById(works.pool, id)).toMatchObject({ geometry: { revision: 1 }, limits: { revision: 1 } });
});

describe("limits of what is read beside it", () => {
  const side = (quantity: string, hi: number | null) => ({
    id: v7(),
    quantity,
    lo: null,
    hi,
    sourceKind: "house rule",
    source: "H",
  });
  const sides = async (id: string) =>
    (await stageById(works.pool, id))?.sideLimits.map(({ quantity, hi, revision }) => [quantity, hi, revision]);

  test("revised where they differ, taken away where they are left out, and begun again", async () => {
    const id = await fresh();
    const keep = async (seenRevision: number, list?: object[]) =>
      mustHold(await revise(id, { ...limits(), seenRevision, ...(list ? { sideLimits: list } : {}) }));
    await keep(1, [side("runout", 0.05), side("offset", 0.4)]);
    await keep(2, [side("runout", 0.04), side("offset", 0.4)]);
    expect(await sides(id)).toEqual([
      ["offset", 0.4, 1],
      ["runout", 0.04, 2],
    ]);
    // A sheet of limits says nothing of them.
    await keep(3);
    expect(await sides(id)).toHaveLength(2);
    await keep(4, [side("offset", 0.4)]);
    expect(await sides(id)).toEqual([["offset", 0.4, 1]]);
    await keep(5, [side("offset", 0.4), side("runout", 0.06)]);
    expect(await sides(id)).toEqual([
      ["offset", 0.4, 1],
      ["runout", 0.06, 4],
    ]);
  });

  test("one without an end, or upside down, is refused at its field", async () => {
    const id = await fresh();
    const upside = { ...side("runout", 0.1), lo: 0.2 };
    expect(refusal(await revise(id, { ...limits(), sideLimits: [side("runout", null)] }))).toBe(
      "missing sideLimits.0.hi",
    );
    expect(refusal(await revise(id, { ...limits(), sideLimits: [upside] }))).toBe("window-upside-down sideLimits.0.lo");
    await expect(
      works.pool.query("insert into side_limits values ($1, $2, 'runout', 9, 2, 1, 'drawing', '', $3, now())", [
        v7(),
        id,
        works.lead.id,
      ]),
    ).rejects.toThrow("side_limits_check1");
  });
});

test("a name belongs to one stage of a machine; renamed, the logbook says both", async () => {
  const [one, other] = [await fresh(), await fresh()];
  const name = (await stageById(works.pool, other))?.name ?? "";
  expect(refusal(await revise(one, { what: "stage", name: name.toUpperCase() }))).toBe("stage-name-taken name");
  const before = (await stageById(works.pool, one))?.name;
  expect(text(await revise(one, { what: "stage", name: "Feed gears" }))).toBe(`${before} is now Feed gears`);
});

test("a stage with a job open is not taken out; taken out it has no standing and takes no revision", async () => {
  const id = await fresh();
  const job = await works.openJob([id]);
  mustHold(await works.entry(job, { ...works.round(), stageId: id }));
  expect(refusal(await revise(id, { what: "retired" }))).toBe("job-open");
  const free = await fresh();
  mustHold(await revise(free, { what: "retired", text: "Scrapped" }));
  expect(await standingsOfStages(works.pool, [free])).toEqual([]);
  expect(refusal(await revise(free, limits()))).toBe("no-such-stage stageId");
  const there = (await stagesOfMachines(works.pool, [works.machineId])).map((stage) => stage.id);
  expect(there).toContain(id);
  expect(there).not.toContain(free);
});

test("only leads revise, and only what is in their workshop", async () => {
  const id = await fresh();
  for (const role of ["technician", "reader"] as const)
    expect(refusal(await revise(id, limits(), works.as(await works.addPerson(role))))).toBe("role");
  const elsewhere = works.as({ ...works.lead, workshopId: v7() as WorkshopId });
  expect(refusal(await revise(id, limits(), elsewhere))).toBe("no-such-stage stageId");
});
