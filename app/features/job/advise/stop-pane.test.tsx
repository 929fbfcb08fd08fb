// @vitest-environment happy-dom
import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { StoreItem } from "~/core/records";
import { twoSpeeds } from "~/tests/elements";
import { bodiesOf, showJob } from "~/tests/job";
import { testStage } from "~/tests/stage";
import { NumberStation } from "../read/number-station";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const plain = testStage("one");
const stage = { ...plain, geometry: { ...plain.geometry, element: twoSpeeds } };
const spacer = (nominalMm: number) =>
  ({
    id: `01934076-bd4b-711c-88af-73b8ad15${String(Math.round(nominalMm * 100)).padStart(4, "0")}`,
    kind: "spacer",
    name: `S ${nominalMm}`,
    nominalMm,
    measuredMm: null,
    count: 2,
    place: "D 5",
  }) as unknown as StoreItem;

async function read(values: readonly string[]): Promise<void> {
  const field = await screen.findByRole("textbox", { name: /^Reading at/ });
  for (const value of values) await userEvent.type(field, `${value}{Enter}`);
}
const stop = async () => within(await screen.findByRole("region", { name: "Spacer under the stop" }));

test("with low in, its stop is what is moved: the spacer that brings it inside is named from the drawers and logged to that gear", async () => {
  const job = showJob(<NumberStation phase="set" />, { stages: [stage], stock: [1.2, 1.25, 1.4].map(spacer) });
  await read(["0.02", "0.03", "0.03"]);
  await userEvent.click(screen.getByRole("button", { name: "Reading done" }));
  const pane = await stop();
  // Fitted is what was entered, 1 mm. A mm parts low by 2·tan 20.26° = 0.738 of backlash: 0.14 more wants 0.19 mm.
  await waitFor(() => expect(pane.getByText(/would bring it where it belongs/).textContent).toMatch(/1\.19 mm/));
  expect(pane.getByText(/^In the drawers/).textContent).toMatch(/D 5.*1\.20 mm.*inside/);
  await userEvent.click(pane.getByRole("button", { name: "Put it in, and log it" }));
  await waitFor(() => expect(bodiesOf(job.entries, "move")).toHaveLength(1));
  expect(bodiesOf(job.entries, "move")[0]).toMatchObject({
    gear: "low",
    amount: 0.2,
    direction: "apart",
    stack: { was: [{ thicknessMm: 1, count: 1 }], now: [{ thicknessMm: 1.2, count: 1 }] },
  });
  // It is low that has to be read again; high was never read.
  expect(screen.getByRole("radio", { name: "low: read again" })).toBeTruthy();
  expect(screen.getByRole("radio", { name: "high: not read" })).toBeTruthy();
});

test("where no spacer is thin enough, or none at hand holds it, that is said", async () => {
  showJob(<NumberStation phase="set" />, { stages: [stage], stock: [spacer(2.5)] });
  await read(["0.5", "0.5", "0.51"]);
  await userEvent.click(screen.getByRole("button", { name: "Reading done" }));
  const pane = await stop();
  const fitted = pane.getByLabelText("Spacer that is fitted now");
  await userEvent.clear(fitted);
  await userEvent.type(fitted, "0.2");
  expect(await pane.findByText(/^No spacer is thin enough/)).toBeTruthy();
  await userEvent.clear(fitted);
  await userEvent.type(fitted, "2");
  expect(await pane.findByText(/^None on hand holds all of it inside/)).toBeTruthy();
});

test("as found is read in every gear that stands by itself before anything is moved; then the one that is outside comes first", async () => {
  showJob(<NumberStation phase="as-found" />, { stages: [stage] });
  await read(["0.02", "0.03", "0.03"]);
  await userEvent.click(screen.getByRole("button", { name: /^Round done/ }));
  await userEvent.click(await screen.findByRole("button", { name: "high is in" }));
  // Its own limits, 0.08 to 0.2.
  await read(["0.13", "0.13", "0.14"]);
  await userEvent.click(screen.getByRole("button", { name: /^Round done/ }));
  expect(await screen.findByRole("radio", { name: "high: inside" })).toBeTruthy();
  await userEvent.click(await screen.findByRole("button", { name: "Now put low in" }));
  expect(await stop()).toBeTruthy();
});
