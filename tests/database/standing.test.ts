import fc from "fast-check";
import { v7 } from "uuid";
import { expect, test } from "vitest";
import { standingOf } from "~/core/logbook";
import { mustHold } from "~/core/quantity";
import { logbookFrom } from "~/data/queries/entries";
import { floorPage, wholeFloor } from "~/data/queries/floor";
import { stageById, stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { addMachine } from "~/operations/add-machine";
import { addStage } from "~/operations/add-stage";
import { correctEntry } from "~/operations/correct-entry";
import { openPoint } from "~/operations/open-point";
import { fillStandings } from "~/operations/refresh-standing";
import { reviseStage } from "~/operations/revise-stage";
import { freshWorks, stageInput } from "./fixture";

const works = freshWorks();
const neverMind = () => {
  throw new Error("the stage is gone");
};
const at = () => new Date().toISOString();

test("how a stage is kept to stand is what its whole logbook says, whatever was done to it", async () => {
  const value = fc.integer({ min: 5, max: 35 }).map((hundredths) => (hundredths / 100).toFixed(2));
  const act = fc.oneof(
    {
      weight: 4,
      arbitrary: fc.record({
        do: fc.constant("round" as const),
        values: fc.array(value, { minLength: 1, maxLength: 5 }),
      }),
    },
    {
      weight: 2,
      arbitrary: fc.record({
        do: fc.constant("move" as const),
        amount: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
      }),
    },
    fc.record({ do: fc.constant("feel" as const), feel: fc.constantFrom("knocks", "small click", "binds") }),
    fc.record({ do: fc.constant("clamp" as const), state: fc.constantFrom("eased", "firm") }),
    { weight: 2, arbitrary: fc.record({ do: fc.constant("void" as const), back: fc.nat(4) }) },
    fc.record({ do: fc.constant("limits" as const), lo: fc.integer({ min: 5, max: 20 }) }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 4, maxLength: 9 }), async (acts) => {
      const stageId = v7();
      mustHold(await addStage(works.as(), { ...stageInput(stageId, `Stage ${stageId}`), machineId: works.machineId }));
      const job = await works.openJob([stageId]);
      const done: string[] = [];
      for (const item of acts) {
        const entry = (work: object) => works.entry(job, { stageId, ...work });
        if (item.do === "round") done.push(mustHold(await entry(works.round(item.values))).id);
        if (item.do === "move")
          done.push(
            mustHold(
              await entry({ kind: "move", amount: item.amount, did: "so", advised: null, reasons: [], note: "" }),
            ).id,
          );
        if (item.do === "feel")
          done.push(
            mustHold(
              await entry({ kind: "feel", phase: "set", method: "by hand", places: [{ tooth: 1, feel: item.feel }] }),
            ).id,
          );
        if (item.do === "clamp")
          done.push(mustHold(await entry({ kind: "clamp", clamp: 1, pass: 1, state: item.state })).id);
        const namesEntry = done[done.length - 1 - (item.do === "void" ? item.back : 0)];
        if (item.do === "void" && namesEntry)
          await correctEntry(works.as(), {
            kind: "correction",
            id: v7(),
            namesEntry,
            madeAt: at(),
            text: "x",
            voids: true,
          });
        if (item.do === "limits") {
          const stage = await stageById(works.pool, stageId);
          const limits = {
            quantity: "circumferential-backlash",
            lo: item.lo / 100,
            aim: null,
            hi: 0.25,
            sourceKind: "drawing",
            source: "T",
          };
          const seenRevision = stage?.limits?.revision;
          mustHold(
            await reviseStage(works.as(), {
              what: "limits",
              stageId,
              entryId: v7(),
              revisionId: v7(),
              seenRevision,
              limits,
            }),
          );
        }
        const stage = await stageById(works.pool, stageId);
        const all = await logbookFrom(works.pool, works.machineId, 0, 100_000);
        const whole = standingOf(
          all.filter((one) => one.stageId === stageId),
          stage
            ? { limits: stage.limits, element: stage.geometry.element, arcDeg: stage.geometry.arcDeg }
            : neverMind(),
        );
        const [kept] = await standingsOfStages(works.pool, [stageId]);
        expect(kept).toMatchObject(JSON.parse(JSON.stringify(whole)));
      }
    }),
    { seed: 21, numRuns: 12 },
  );
});

test("a database of an earlier release has its standings filled in, and the floor puts machines where their worst stage says", async () => {
  const { workshopId } = works.lead;
  const machine = async (name: string, values: readonly string[] | null, point = false) => {
    const stageId = v7();
    const input = { id: v7(), entryId: v7(), name, tag: name, usageUnit: "hours", stages: [stageInput(stageId)] };
    mustHold(await addMachine(works.as(), input));
    if (values)
      mustHold(await works.entry(await works.openJob([stageId], input.id), { stageId, ...works.round(values) }));
    if (point)
      mustHold(await openPoint(works.as(), { id: v7(), machineId: input.id, stageId: null, text: "x", madeAt: at() }));
  };
  await machine("E nothing", ["0.15", "0.16", "0.17"]);
  await machine("D open point", ["0.15", "0.16", "0.17"], true);
  await machine("C never read", null);
  await machine("B near", ["0.10", "0.15", "0.16"]);
  await machine("A outside", ["0.35", "0.36", "0.34"]);
  const days = { today: "2000-01-01", dueUntil: "2000-01-01", soon: new Date(), now: new Date(0) };
  const names = async () =>
    (await floorPage(works.pool, workshopId, days, wholeFloor, null, null, 100))
      .map((item) => item.name)
      .filter((name) => /^[A-E] /.test(name));
  const order = ["A outside", "B near", "C never read", "D open point", "E nothing"];
  expect(await names()).toEqual(order);
  await works.pool.query("delete from stage_standing");
  const stages = await works.pool.query("select id from stage");
  expect(await fillStandings(works.pool)).toBe(stages.rowCount);
  expect(await fillStandings(works.pool)).toBe(0);
  expect(await names()).toEqual(order);
  expect((await stagesOfMachines(works.pool, [works.machineId])).length).toBeGreaterThan(1);
});
