import { v7 } from "uuid";
import { expect, test } from "vitest";
import { optionsOf, triedParts } from "~/core/logbook";
import { optionsOfStage, trialsOf } from "~/data/queries/entries";
import { correctEntry } from "~/operations/correct-entry";
import { keepOption } from "~/operations/keep-option";
import { logTrial } from "~/operations/log-trial";
import { freshWorks } from "./fixture";

const works = freshWorks();
const madeAt = "2026-11-20T08:00:00Z";
const trial = (more: object) => ({
  id: v7(),
  stageId: works.stageId,
  madeAt,
  part: "Pinion bore",
  version: "A",
  making: "printed",
  of: "hole",
  outcome: "tried",
  ...more,
});
const log = async (more: object, as = works.as()) => {
  const done = await logTrial(as, trial(more));
  return done.ok ? "kept" : `${done.refusal.code} ${done.refusal.path.join(".")}`;
};

test("a try is kept as it was typed, inches too, and twice is once; what is not known is said at its field", async () => {
  const id = v7();
  const inch = { id, drawn: "1/4 in", made: "6,21", felt: "presses" };
  expect(await log(inch)).toBe("kept");
  expect(await log(inch)).toBe("kept");
  expect(await log({ id, version: "B" })).toBe("id-taken id");
  expect(await log({ made: "six" })).toBe("not-a-number made");
  expect(await log({ drawn: "0" })).toBe("too-small drawn");
  expect(await log({ outcome: "dropped" })).toBe("missing why");
  expect(await log({ of: null, felt: "slides" })).toBe("missing of");
  expect(await log({ stageId: v7() })).toBe("no-such-stage stageId");
  const [part] = triedParts(await trialsOf(works.pool, works.stageId, 10));
  expect(part?.tries.map(({ body }) => [body.drawnMm, body.madeMm, body.felt])).toEqual([[6.35, 6.21, "presses"]]);
  // A slip is corrected, and then it says nothing of the next size.
  const slip = await correctEntry(works.as(), {
    kind: "correction",
    id: v7(),
    namesEntry: id,
    text: "Wrong pinion",
    voids: true,
    madeAt,
  });
  expect(slip.ok).toBe(true);
  expect(triedParts(await trialsOf(works.pool, works.stageId, 10))).toEqual([]);
});

test("a mechanism said again under its name is revised; one that lost needs a reason, and stands last", async () => {
  const keep = async (more: object) => {
    const done = await keepOption(works.as(), { id: v7(), stageId: works.stageId, madeAt, outcome: "open", ...more });
    return done.ok ? "kept" : `${done.refusal.code} ${done.refusal.path.join(".")}`;
  };
  expect(await keep({ name: "Worm", ratio: 30 })).toBe("kept");
  expect(await keep({ name: "Belt", ratio: 4, outcome: "chosen" })).toBe("kept");
  expect(await keep({ name: "worm", ratio: 40, outcome: "lost" })).toBe("missing why");
  expect(await keep({ name: "worm", ratio: 40, outcome: "lost", why: "no room" })).toBe("kept");
  expect(await keep({ name: "Chain", ratio: 0 })).toBe("is-zero ratio");
  expect(await keep({ name: "Chain", stageId: v7() })).toBe("no-such-stage stageId");
  const options = optionsOf(await optionsOfStage(works.pool, works.stageId, 10));
  expect(options.map(({ body }) => [body.name, body.ratio, body.outcome])).toEqual([
    ["Belt", 4, "chosen"],
    ["worm", 40, "lost"],
  ]);
});
