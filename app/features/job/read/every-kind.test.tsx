// @vitest-environment happy-dom
import { cleanup, configure, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Bodies } from "~/core/logbook";
import { aimOf, frameOf, judgedBy, type StageElement, sensitivityOf, waysToMeasure } from "~/core/stages";
import { everyKind } from "~/tests/elements";
import { bodiesOf, showJob } from "~/tests/job";
import { testStage } from "~/tests/stage";
import { ReadingStation } from "./reading-station";

configure({ defaultHidden: true });
beforeEach(() => localStorage.clear());
afterEach(cleanup);

/** A stage of a kind, whose limits lie above what is typed. */
function stageOf(element: StageElement, typed: number) {
  const stage = testStage("one");
  const [lo, hi] = [1.4 * typed, 2.2 * typed];
  const given = { ...stage.limits.given, quantity: waysToMeasure(element)[0] as never, lo, hi };
  const limits = { ...stage.limits, given, lo, hi };
  const geometry = { ...stage.geometry, element };
  return { ...stage, kind: element.kind, geometry, limits };
}

const field = () => screen.findByLabelText<HTMLInputElement>(/^Reading at|^Every place is read/);

/** Everything that is judged by a length in mm as it is read, so that a figure typed is the figure judged. */
const readAsJudged = everyKind.filter((element) => ["backlash", "gap", "sag"].includes(judgedBy(element)));

test.each(readAsJudged.map((element) => [element.kind, element] as const))(
  "%s: read round, it says how it stands; what it advises goes the way that its law says",
  async (_, element) => {
    // A span sags by more than teeth stand apart.
    const typed = judgedBy(element) === "sag" ? 20 : 0.2;
    const stage = stageOf(element, typed);
    const job = showJob(<ReadingStation phase="as-found" />, { stages: [stage] });
    await field();
    for (let i = 0; (await field()).getAttribute("aria-label") !== "Every place is read" && i < 60; i++)
      await userEvent.type(await field(), `${typed}{Enter}`);
    await userEvent.type(await field(), "{Enter}");
    await waitFor(() => expect(bodiesOf(job.entries, "round")).toHaveLength(1));
    const [{ result }] = bodiesOf(job.entries, "round") as [Bodies["round"]];
    expect(result).toMatchObject({ quantity: judgedBy(element), verdict: "does-not-conform" });
    expect(result.read?.part).toBe(frameOf(element).word);
    cleanup();

    const set = showJob(<ReadingStation phase="set" />, { stages: [stage], entries: job.entries });
    const move = within(await screen.findByRole("region", { name: "Next move" }));
    const slope = sensitivityOf(element, result.mean, aimOf(judgedBy(element), stage.limits) ?? 0);
    if (slope === null) {
      expect(move.queryByRole("button", { name: "Done as said" })).toBeNull();
      return;
    }
    await userEvent.click(await move.findByRole("button", { name: "Done as said" }));
    await waitFor(() => expect(bodiesOf(set.entries, "move")).toHaveLength(1));
    const [{ amount, advised }] = bodiesOf(set.entries, "move") as [Bodies["move"]];
    // It read too little: whatever way is plus here, the quantity has to grow, and is said to.
    expect(Math.sign(amount * slope)).toBe(1);
    expect(advised?.max).toBeGreaterThan(result.max);
  },
);

test("without limits it is read, not judged, and no move is worked out; what is moved is logged all the same", async () => {
  const stage = { ...testStage("one"), limits: null };
  const job = showJob(<ReadingStation phase="as-found" />, { stages: [stage] });
  await field();
  for (let i = 0; (await field()).getAttribute("aria-label") !== "Every place is read" && i < 60; i++)
    await userEvent.type(await field(), "0.2{Enter}");
  const says = within(await screen.findByRole("region", { name: "Next move" }));
  expect(await says.findByText(/Nobody has said its limits yet/)).toBeTruthy();
  expect(says.queryByRole("button", { name: "Done as said" })).toBeNull();
  expect(says.getByRole("button", { name: "Moved it all the same" })).toBeTruthy();
  await userEvent.type(await field(), "{Enter}");
  await waitFor(() => expect(bodiesOf(job.entries, "round")).toHaveLength(1));
  const [{ result }] = bodiesOf(job.entries, "round") as [Bodies["round"]];
  expect(result).toMatchObject({ min: 0.2, verdict: null, holds: null });
});
