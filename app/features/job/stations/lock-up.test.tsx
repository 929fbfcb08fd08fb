// @vitest-environment happy-dom
import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import { pointsOrder } from "~/core/fastening";
import { chain } from "~/tests/elements";
import { bodiesOf, showJob } from "~/tests/job";
import { testStage } from "~/tests/stage";
import { LockUp } from "./lock-up";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const square = [
  { x: 0, y: 0 },
  { x: 60, y: 0 },
  { x: 60, y: 40 },
  { x: 0, y: 40 },
];

function fourScrews(clamps: Partial<ReturnType<typeof testStage>["geometry"]["clamps"]> = {}) {
  const stage = testStage("one");
  return {
    ...stage,
    geometry: { ...stage.geometry, clamps: { ...stage.geometry.clamps, points: square, torqueNm: 12, ...clamps } },
  };
}

const next = async () => within(await screen.findByRole("region", { name: "Next clamp" }));
const key = async () => (await next()).findByRole("button", { name: /^Clamp \d/ });
const touches = (job: ReturnType<typeof showJob>) =>
  (bodiesOf(job.entries, "clamp") as { clamp: number; pass: number; state: string; torqueNm: number | null }[]).map(
    ({ clamp, state, torqueNm }) => `${clamp} ${state}${torqueNm === null ? "" : ` ${torqueNm}`}`,
  );

/** Presses the key that is there until there is none. */
async function throughAll(times: number) {
  await key();
  for (let i = 0; i < times; i++) fireEvent.click(await key(), { detail: 1 });
}

test("screws whose state nobody knows are tightened crosswise, half and then full torque, the last time dressed", async () => {
  const job = showJob(<LockUp />, { stages: [fourScrews({ compound: true })] });
  await throughAll(12);
  await screen.findByText("Every clamp is dressed and home.");
  const order = pointsOrder(square);
  expect(touches(job)).toEqual([
    ...order.map((clamp) => `${clamp} snug 6`),
    ...order.map((clamp) => `${clamp} firm 12`),
    ...order.map((clamp) => `${clamp} dressed 12`),
  ]);
  // Neighbours never follow each other on a square.
  expect(order.slice(0, 2).reduce((a, b) => Math.abs(a - b))).toBe(2);
});

test("what was eased is started by hand before any of it is tightened", async () => {
  const job = showJob(<LockUp />, { stages: [fourScrews()] });
  const hand = userEvent.setup();
  await key();
  await hand.click(screen.getByText("Ease the clamps again"));
  for (const ease of [...pointsOrder(square)].reverse())
    await hand.click(screen.getByRole("button", { name: `Ease ${ease}` }));
  expect(screen.getByRole<HTMLButtonElement>("button", { name: "Ease 1" }).disabled).toBe(true);
  expect((await next()).getByText(/by hand, a few threads/)).toBeTruthy();
  await throughAll(4);
  expect(touches(job).slice(4)).toEqual(pointsOrder(square).map((clamp) => `${clamp} started`));
});

test("the second half of a double tap would log a screw that nobody touched: it logs none", async () => {
  const job = showJob(<LockUp />, { stages: [fourScrews()] });
  const first = await key();
  fireEvent.click(first, { detail: 1 });
  await waitFor(() => expect(job.entries).toHaveLength(1));
  fireEvent.click(await key(), { detail: 2 });
  await new Promise((done) => setTimeout(done, 50));
  expect(job.entries).toHaveLength(1);
});

test("a screw taken out of turn in the drawing is logged as that one, and the order goes on without it", async () => {
  const job = showJob(<LockUp />, { stages: [fourScrews()] });
  await key();
  const [first, , third] = pointsOrder(square) as [number, number, number];
  screen.getByRole("button", { name: `Clamp ${third}, not known` }).focus();
  await userEvent.keyboard("{Enter}");
  await waitFor(() => expect(touches(job)).toEqual([`${third} snug 6`]));
  expect((await key()).textContent).toContain(`Clamp ${first} `);
  await throughAll(3);
  expect(touches(job).filter((touch) => touch.startsWith(`${third} snug`))).toHaveLength(1);
});

test("the check round is offered once every screw is firm, and is the thing to do only after the compound", async () => {
  showJob(<LockUp />, { stages: [fourScrews({ compound: true, passes: 1 })] });
  await key();
  expect(screen.queryByRole("link", { name: "Read the check round" })).toBeNull();
  await throughAll(4);
  expect((await screen.findByRole("link", { name: "Read the check round" })).getAttribute("href")).toBe(
    "/jobs/j/lock-up?round=check",
  );
  expect((await next()).getByText(/dress it with threadlocking compound/)).toBeTruthy();
  // Nobody said whether its torque holds with compound on the threads: that is said, not assumed.
  expect((await next()).getByText(/compound|threads/i, { selector: "p.border-near" })).toBeTruthy();
});

test("what was seen on a chain before it is closed is logged, and what was not is named beside it", async () => {
  const stage = fourScrews();
  const job = showJob(<LockUp />, {
    stages: [{ ...stage, kind: "chain", geometry: { ...stage.geometry, element: chain } }],
  });
  await userEvent.click(await screen.findByText("Look it over before it is closed"));
  const log = screen.getByRole<HTMLButtonElement>("button", { name: "Log what was looked at" });
  expect(log.disabled).toBe(true);
  await userEvent.click(screen.getByRole("checkbox", { name: /^Joint closed/ }));
  await userEvent.click(log);
  await waitFor(() => expect(bodiesOf(job.entries, "note")).toHaveLength(1));
  const [{ text }] = bodiesOf(job.entries, "note") as [{ text: string }];
  expect(text).toMatch(
    /^Looked over: Joint closed, the clip's closed end runs ahead\. Not looked at: .*Sprocket teeth/,
  );
});
