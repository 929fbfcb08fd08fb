import { v7 } from "uuid";
import { beforeAll, expect, test } from "vitest";
import { mustHold } from "~/core/quantity";
import { movedBeforeJob } from "~/data/queries/adjuster-positions";
import { stageById } from "~/data/queries/stages";
import { addStage } from "~/operations/add-stage";
import { correctEntry } from "~/operations/correct-entry";
import { twoSpeeds } from "../elements";
import { freshWorks, stageInput } from "./fixture";

const works = freshWorks();
const stageId = v7();

beforeAll(async () => {
  const input = stageInput(stageId, "Speed gear");
  const geometry = { ...input.geometry, element: twoSpeeds };
  mustHold(await addStage(works.as(), { ...input, geometry, machineId: works.machineId }));
});

const move = (more: object) => ({
  kind: "move",
  stageId,
  amount: 0.1,
  did: "so",
  advised: null,
  reasons: [],
  note: "",
  stock: [],
  ...more,
});

test("a stop is moved without the stage's adjuster, whose way stays what it was, and taking it back takes nothing from it", async () => {
  const job = await works.openJob([stageId]);
  const stage = await stageById(works.pool, stageId);
  const adjusterId = stage?.adjuster.id ?? "";
  const moved = async () => (await movedBeforeJob(works.pool, [adjusterId], null)).get(adjusterId);
  mustHold(await works.entry(job, move({})));
  expect(await moved()).toBeCloseTo(0.1, 9);
  const stop = mustHold(await works.entry(job, move({ gear: "low", amount: 0.16 })));
  expect(stop.body).toMatchObject({ gear: "low", unit: "mm-of-shim", direction: "apart" });
  expect(await moved()).toBeCloseTo(0.1, 9);
  const slip = {
    kind: "correction",
    id: v7(),
    namesEntry: stop.id,
    text: "In high",
    voids: true,
    madeAt: new Date().toISOString(),
  };
  mustHold(await correctEntry(works.as(), slip));
  expect(await moved()).toBeCloseTo(0.1, 9);
  // Of the job alone the stage's own move counts.
  expect((await movedBeforeJob(works.pool, [adjusterId], job)).get(adjusterId)).toBeCloseTo(0, 9);
  const third = await works.entry(job, move({ gear: "third" }));
  expect(third.ok ? "taken" : third.refusal.code).toBe("no-such-gear");
});
