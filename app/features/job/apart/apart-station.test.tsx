// @vitest-environment happy-dom
import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, expect, test } from "vitest";
import { guideRevision } from "~/core/guides/schema";
import type { Entry } from "~/core/logbook";
import { bodiesOf, showJob } from "~/tests/job";
import { ApartStation } from "./apart-station";

afterEach(cleanup);

const guide = guideRevision.parse({
  id: "01934076-bd4b-711c-88af-73b8ad150001",
  guideId: "01934076-bd4b-711c-88af-73b8ad150002",
  machineId: "01934076-bd4b-711c-88af-73b8ad150003",
  stageId: null,
  name: "Gearbox",
  revision: 2,
  parts: [
    { id: "shaft", name: "Shaft" },
    { id: "bearing", name: "Bearing", after: ["shaft"], asItGoesOn: "leave 0.4 mm cold" },
    {
      id: "cover",
      name: "Cover",
      hides: ["bearing"],
      screws: [{ size: "M4", lengthMm: 12, count: 4, torqueNm: 3, into: "plastic", compound: true }],
    },
  ],
});
const opened = (firstBuild: boolean) =>
  ({
    id: "o",
    seq: 1,
    kind: "job-opened",
    body: { reason: "x", firstBuild },
    stageId: null,
    readings: [],
    namesEntry: null,
  }) as unknown as Entry;

test("a first build is led by the guide from the bottom up; what its list asks is ticked and kept, screws go from started to dressed", async () => {
  const user = userEvent.setup();
  const job = showJob(<ApartStation />, { guides: [guide], entries: [opened(true)] });
  const put = async (name: string, key: RegExp) => {
    await screen.findByText(name, { selector: "form[aria-label='Put on'] span" });
    await user.click(screen.getByRole("button", { name: key }));
    await waitFor(() => expect(within(screen.getByRole("list", { name: "On again" })).getByText(name)).toBeTruthy());
  };
  await put("Shaft", /^It is on$/);
  await user.click(screen.getByRole("button", { name: "Free" }));
  await screen.findByText("Leave 0.4 mm cold");
  await user.click(screen.getByRole("checkbox", { name: "Leave 0.4 mm cold" }));
  await put("Bearing", /^It is on$/);
  await put("Cover", /^It is on, all 4 screws started$/);
  expect(bodiesOf(job.entries, "part-on")).toMatchObject([
    { part: { key: "shaft" }, state: null, guide: { name: "Gearbox", revision: 2 } },
    { part: { key: "bearing" }, asItWentOn: "leave 0.4 mm cold" },
    { part: { key: "cover" }, state: "started", screws: [{ count: 4, in: 4 }] },
  ]);
  expect(screen.getByText(/Into plastic: turn each backwards/)).toBeTruthy();
  for (const key of ["Cover: all snug", "Cover: all firm"])
    await user.click(await screen.findByRole("button", { name: key }));
  // The second half of a double tap would dress a screw that nobody touched.
  for (const screw of [1, 2, 3, 4]) {
    (await screen.findByRole("button", { name: new RegExp(`^Cover: screw ${screw} of 4 drawn, dressed`) })).focus();
    await user.keyboard("{Enter}");
  }
  await waitFor(() =>
    expect(bodiesOf(job.entries, "part-screws")).toMatchObject([
      { state: "snug" },
      { state: "firm" },
      { state: "firm", dressed: 1 },
      { state: "firm", dressed: 2 },
      { state: "firm", dressed: 3 },
      { state: "dressed" },
    ]),
  );
});

test("what nobody chose is not counted, not looked at and not to be done; the guide's count is only what somebody says it is", async () => {
  const user = userEvent.setup();
  const job = showJob(<ApartStation />, { guides: [guide], entries: [opened(false)] });
  await user.click(await screen.findByRole("button", { name: "Cover is off" }));
  await waitFor(() =>
    expect(bodiesOf(job.entries, "part-off")).toMatchObject([
      { part: { key: "cover" }, screws: null, conditions: [], fate: null },
    ]),
  );
  expect(screen.getByText(/Not counted as they came out: screws of Cover/)).toBeTruthy();
  await user.click(await screen.findByRole("button", { name: "Bearing is off" }));
  await waitFor(() => expect(bodiesOf(job.entries, "part-off")).toHaveLength(2));
});
