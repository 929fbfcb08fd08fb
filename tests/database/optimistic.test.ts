import fc from "fast-check";
import { expect, test } from "vitest";
import { movedBy } from "~/core/logbook";
import { feelsOf } from "~/core/stages";
import { movedBeforeJob } from "~/data/queries/adjuster-positions";
import { entriesOfJob } from "~/data/queries/entries";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { stagesOfMachines } from "~/data/queries/stages";
import { buildEntry, workInput } from "~/operations/build-entry";
import { liveChecks } from "~/operations/entries/power";
import { freshWorks } from "./fixture";

const works = freshWorks();
const said = (key: string) => ({ key, text: `The words of ${key}` });

test("what a tablet shows before the server has answered is what the server then keeps", async () => {
  const value = fc.integer({ min: 5, max: 40 }).map((hundredths) => (hundredths / 100).toFixed(2));
  const work = fc.oneof(
    fc
      .array(value, { minLength: 1, maxLength: 8 })
      .chain((values) =>
        fc.constantFrom("as-found", "set", "check").map((phase) => ({ ...works.round(values), phase })),
      ),
    fc
      .double({ min: 0.01, max: 0.5, noNaN: true })
      .map((amount) => ({ kind: "move", amount, did: "so", advised: null, reasons: [], note: "" })),
    fc.record({
      kind: fc.constant("clamp"),
      clamp: fc.integer({ min: 1, max: 2 }),
      pass: fc.integer({ min: 0, max: 2 }),
      state: fc.constantFrom("eased", "started", "snug", "firm"),
    }),
    fc
      .array(fc.record({ tooth: fc.integer({ min: 1, max: 40 }), feel: fc.constantFrom(...feelsOf("click")) }), {
        minLength: 1,
      })
      .map((places) => ({ kind: "feel", phase: "check", method: "by hand", places })),
    fc.constant({ kind: "loose-thing", state: "in", thing: "paper strip", where: "mesh" }),
    fc.constantFrom(
      { kind: "isolated", lock: "7", noLock: null, acknowledged: [said("air")], notAcknowledged: [said("loads")] },
      { kind: "live", acknowledged: liveChecks.map(said) },
    ),
    value.map((current) => ({
      kind: "proof",
      way: "powered",
      outcome: "ran",
      direction: "forwards",
      speed: "slow",
      current,
      temperature: "90 °F",
      noise: "",
    })),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(work, { minLength: 3, maxLength: 9 }), async (row) => {
      const job = await works.openJob();
      const [stage] = await stagesOfMachines(works.pool, [works.machineId]);
      const instruments = await instrumentsOfWorkshop(works.pool, works.lead.workshopId);
      for (const item of row) {
        const before = await entriesOfJob(works.pool, job);
        const total =
          (await movedBeforeJob(works.pool, [stage?.adjuster.id ?? ""], null)).get(stage?.adjuster.id ?? "") ?? 0;
        const built = buildEntry(
          workInput.parse(item),
          stage as NonNullable<typeof stage>,
          instruments,
          before,
          undefined,
          {
            known: [],
            moved: total - movedBy(before, stage?.adjuster.id ?? ""),
          },
        );
        const answer = await works.entry(job, item);
        // What the one refuses the other refuses too: a powered run while it is isolated.
        expect(answer.ok).toBe(built.ok);
        if (!built.ok || !answer.ok) continue;
        const [shown, kept] = [built.value, answer.value];
        expect(kept.body).toEqual(shown.body);
        expect(kept.readings).toEqual(shown.readings);
        const stored = (await entriesOfJob(works.pool, job)).at(-1);
        const { body, readings, namesEntry } = stored as NonNullable<typeof stored>;
        expect({ body, readings, namesEntry }).toEqual(shown);
      }
    }),
    { seed: 9, numRuns: 25 },
  );
});
