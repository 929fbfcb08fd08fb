// @vitest-environment happy-dom
import { cleanup, configure, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Bodies } from "~/core/logbook";
import { bodiesOf, showJob } from "~/tests/job";
import { testStage } from "~/tests/stage";
import { ReadingStation } from "./reading-station";

// Whether a style hides something is a matter for a browser, and slow to tell here.
configure({ defaultHidden: true });
beforeEach(() => localStorage.clear());
afterEach(cleanup);

const field = () => screen.findByLabelText<HTMLInputElement>(/^Reading at|^Every place is read/);
const nextMove = async () => within(await screen.findByRole("region", { name: "Next move" }));

/** Reads round by the keyboard as the field asks, until every place is read and the round is logged. */
async function readRound(job: ReturnType<typeof showJob>, typed: string) {
  await field();
  while ((await field()).getAttribute("aria-label") !== "Every place is read")
    await userEvent.type(await field(), `${typed}{Enter}`);
  await userEvent.type(await field(), "{Enter}");
  await waitFor(() => expect(bodiesOf(job.entries, "round")).toHaveLength(1));
}

const roundsOf = (job: ReturnType<typeof showJob>) => bodiesOf(job.entries, "round") as Bodies["round"][];
const movesOf = (job: ReturnType<typeof showJob>) => bodiesOf(job.entries, "move") as Bodies["move"][];

test("a round outside is read, moved as it says, and logged with what it said it would read", async () => {
  const job = showJob(<ReadingStation phase="as-found" />);
  await readRound(job, "0.32");
  expect(roundsOf(job)[0]).toMatchObject({ phase: "as-found", result: { min: 0.32, verdict: "does-not-conform" } });
  cleanup();

  const set = showJob(<ReadingStation phase="set" />, { entries: job.entries });
  const move = await nextMove();
  const said = await move.findByText(/It should then read/);
  const then = Number(/read (\d\.\d+) there/.exec(said.textContent ?? "")?.[1]);
  expect(then).toBeGreaterThan(0.1);
  expect(then).toBeLessThan(0.24);
  await userEvent.click(move.getByRole("button", { name: "Done as said" }));
  await waitFor(() => expect(movesOf(set)).toHaveLength(1));
  const [logged] = movesOf(set) as [Bodies["move"]];
  expect(logged).toMatchObject({ did: "so", direction: "together", unit: "mm" });
  expect(logged.advised?.amount).toBe(logged.amount);
  // Teeth of 20 degrees: each mm of centre distance is 2·tan 20° of backlash.
  expect(0.32 + logged.amount * 2 * Math.tan(Math.PI / 9)).toBeGreaterThan(0.1);
  expect(0.32 + logged.amount * 2 * Math.tan(Math.PI / 9)).toBeLessThan(0.24);
});

test("did otherwise is logged as it was done, with its sign and why, and not as it was advised", async () => {
  const job = showJob(<ReadingStation phase="as-found" />);
  await readRound(job, "0.32");
  cleanup();
  const set = showJob(<ReadingStation phase="set" />, { entries: job.entries });
  const move = await nextMove();
  await userEvent.click(await move.findByRole("button", { name: "Did something else" }));
  const amount = await move.findByRole<HTMLInputElement>("textbox", { name: "Slide: how much?" });
  await userEvent.type(amount, "some");
  await userEvent.click(move.getByRole("button", { name: "Log this move" }));
  await waitFor(() => expect(amount.getAttribute("aria-invalid")).toBe("true"));
  await userEvent.clear(amount);
  await userEvent.type(amount, "0,08");
  await userEvent.click(move.getByRole("radio", { name: "in" }));
  await userEvent.type(move.getByRole("textbox", { name: "Why" }), "stop in the way");
  await userEvent.click(move.getByRole("button", { name: "Log this move" }));
  await waitFor(() => expect(movesOf(set)).toHaveLength(1));
  expect(movesOf(set)[0]).toMatchObject({ did: "otherwise", amount: -0.08, note: "stop in the way" });
  expect(movesOf(set)[0]?.advised?.amount).not.toBe(-0.08);
});

test("a round inside asks for no move, and none is offered as the thing to do", async () => {
  const job = showJob(<ReadingStation phase="as-found" />);
  await readRound(job, "0.17");
  cleanup();
  showJob(<ReadingStation phase="set" />, { entries: job.entries });
  const move = await nextMove();
  expect(await move.findByText("It reads inside all the way round. Leave it.")).toBeTruthy();
  expect(move.queryByRole("button", { name: "Done as said" })).toBeNull();
  expect(move.getByRole("button", { name: "Moved it all the same" })).toBeTruthy();
});

test("a reading that stands off is looked at before anything is moved; kept, the move comes back", async () => {
  const job = showJob(<ReadingStation phase="as-found" />);
  await readRound(job, "0.32");
  cleanup();
  showJob(<ReadingStation phase="set" />, { entries: job.entries });
  await nextMove();
  const typed = ["0.30", "0.31", "0.32", "0.31", "0.90", "0.31", "0.30", "0.31"];
  for (const text of typed) await userEvent.type(await field(), `${text}{Enter}`);
  const move = await nextMove();
  const look = await move.findByText(/^Look at/);
  expect(look.textContent).toContain("0.90 stands off from the others");
  expect(move.queryByRole("button", { name: "Done as said" })).toBeNull();
  await userEvent.click(screen.getByRole("button", { name: /keep/i }));
  expect(await move.findByRole("button", { name: "Done as said" })).toBeTruthy();
});

test("a stage that nothing adjusts says so and offers no move, whatever it reads", async () => {
  const stage = testStage("one");
  const fixed = { ...stage, adjuster: { ...stage.adjuster, adjuster: null, means: null } };
  const job = showJob(<ReadingStation phase="as-found" />, { stages: [fixed] });
  await readRound(job, "0.32");
  cleanup();
  showJob(<ReadingStation phase="set" />, { stages: [fixed], entries: job.entries });
  const move = await nextMove();
  expect((await move.findByText(/It reads outside/)).textContent).toContain("the parts have to be seen to");
  expect(move.queryByRole("button", { name: /Done as said|Moved it all the same/ })).toBeNull();
});

test("inches are read as they are typed, and logged in mm with the words of the hand", async () => {
  const job = showJob(<ReadingStation phase="as-found" />);
  await readRound(job, "7 thou");
  const [round] = job.entries;
  expect(round?.readings[0]).toMatchObject({ typed: "7 thou", unit: "thou", live: false });
  expect(round?.readings[0]?.value).toBeCloseTo(0.1778, 9);
});
