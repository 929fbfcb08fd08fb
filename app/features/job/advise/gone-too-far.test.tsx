// @vitest-environment happy-dom
import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import { bodiesOf, showJob } from "~/tests/job";
import { testStage } from "~/tests/stage";
import { GoneTooFar } from "./gone-too-far";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const plain = testStage("one");
const screw = { type: "screw" as const, leadMm: 0.75, angleDeg: 180, oneWay: true, springReturn: false };
const pushed = (springReturn: boolean) => ({
  ...plain,
  adjuster: {
    ...plain.adjuster,
    name: "Nip screw",
    means: "jack-screw" as const,
    adjuster: { ...screw, springReturn },
  },
});

test("a screw that only pushes has a way back: what was opened goes into the ledger, what was ticked into the move, which teaches nothing", async () => {
  const job = showJob(<GoneTooFar />, { stages: [pushed(false)] });
  await userEvent.click(await screen.findByText("Gone too far?"));
  const way = within(await screen.findByRole("region", { name: "Gone too far" }));
  await userEvent.click(way.getByRole("button", { name: "It is back: log it" }));
  expect(way.getByLabelText("The screw was slackened by").getAttribute("aria-invalid")).toBe("true");
  expect(job.entries).toEqual([]);
  await userEvent.type(way.getByLabelText("What has to come off"), "cover, 6 screws");
  await userEvent.click(way.getByRole("button", { name: /note it in the ledger/ }));
  await waitFor(() => expect(bodiesOf(job.entries, "loose-thing")).toMatchObject([{ thing: "off: cover, 6 screws" }]));
  await userEvent.click(way.getByRole("checkbox", { name: /drawn back by hand/ }));
  await userEvent.type(way.getByLabelText("The screw was slackened by"), "1 1/2");
  await userEvent.click(way.getByRole("button", { name: "It is back: log it" }));
  await waitFor(() => expect(bodiesOf(job.entries, "move")).toHaveLength(1));
  const [move] = bodiesOf(job.entries, "move") as [{ note: string }];
  expect(move).toMatchObject({ amount: -1.5, unit: "turns", did: "otherwise", teaches: false });
  expect(move.note).toMatch(/taken off for it: cover, 6 screws/);
  expect(move.note).toMatch(/done: The part drawn back by hand, never levered\. the rest was not ticked/);
});

test("one that a spring brings back needs none", () => {
  showJob(<GoneTooFar />, { stages: [pushed(true)] });
  expect(screen.queryByText("Gone too far?")).toBeNull();
});
