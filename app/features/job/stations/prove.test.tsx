// @vitest-environment happy-dom
import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Entry } from "~/core/logbook";
import { bodiesOf, showJob } from "~/tests/job";
import { testStage } from "~/tests/stage";
import { liveQuestions } from "../../words/state";
import { Prove } from "./prove";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const power = (state: "isolated" | "live", seq = 1) =>
  ({
    id: `${state} ${seq}`,
    kind: state,
    seq,
    jobId: "j",
    stageId: null,
    namesEntry: null,
    madeByName: "M. Sandor",
    madeAt: "2026-10-05T08:00:00Z",
    readings: [],
    body:
      state === "isolated"
        ? { lock: "31", noLock: null, acknowledged: [], notAcknowledged: [] }
        : { acknowledged: [], saw: [], notKnown: [] },
  }) as unknown as Entry;
const run = (jobId: string, madeAt: string, body: object) =>
  ({
    ...power("live"),
    id: `${jobId} ${madeAt}`,
    kind: "proof",
    jobId,
    stageId: "one",
    madeAt,
    body: { way: "powered", outcome: "ran", currentA: null, temperatureC: null, noise: "", ...body },
  }) as unknown as Entry;

const chosen = (legend: string) =>
  within(screen.getByRole("radiogroup", { name: legend }))
    .getAllByRole("radio")
    .find((radio) => radio.getAttribute("aria-checked") === "true")?.textContent;
const ran = () => screen.findByRole("button", { name: "Ran as it should" });
const noise = () => screen.findByRole("textbox", { name: "Noise, in words" });
/** Notes what was heard, without which a run says nothing, and that it went well. */
async function runsWell(): Promise<void> {
  await noise();
  await userEvent.click(within(screen.getByLabelText("Noises")).getByRole("radio", { name: "quiet" }));
  await userEvent.click(await ran());
}
const runs = (entries: readonly Entry[]) =>
  (
    bodiesOf(entries, "proof") as { way: string; outcome: string; direction: string; speed: string; gear?: string }[]
  ).map(({ way, outcome, direction, speed, gear }) => [gear, way, direction, speed, outcome].filter(Boolean).join(" "));

test("isolated, only a turn by hand can be logged, and it proves nothing under power", async () => {
  const job = showJob(<Prove />, { entries: [power("isolated")] });
  await runsWell();
  await waitFor(() => expect(runs(job.entries)).toEqual(["by-hand forwards slow ran"]));
  expect(within(screen.getByRole("list", { name: "Turned by hand" })).getByText(/forwards/)).toBeTruthy();
  expect(screen.getByText(/forwards, backwards|both directions|Neither/i, { selector: "[role=status]" })).toBeTruthy();
});

test("power comes on only once every question was acknowledged, word for word; Enter goes from one to the next", async () => {
  const job = showJob(<Prove />, { entries: [power("isolated")] });
  await userEvent.click(await screen.findByRole("button", { name: "Go live" }));
  const dialog = within(await screen.findByRole("dialog", { name: "Before power comes on" }));
  expect(dialog.getByText(/Not known/)).toBeTruthy();
  await userEvent.click(dialog.getByRole("checkbox", { name: "Guards are on" }));
  await userEvent.click(dialog.getByRole("button", { name: "Go live" }));
  expect(await dialog.findByRole("alert")).toBeTruthy();
  expect(job.entries).toHaveLength(1);
  dialog.getByRole("checkbox", { name: liveQuestions[1].text }).focus();
  await userEvent.keyboard("{Enter}{Enter}{Enter}{Enter}");
  await waitFor(() => expect(document.activeElement).toBe(dialog.getByRole("button", { name: "Go live" })));
  await userEvent.keyboard("{Enter}");
  await waitFor(() => expect(job.entries).toHaveLength(2));
  expect(job.entries[1]).toMatchObject({ kind: "live", body: { acknowledged: liveQuestions } });
  await screen.findByText("Run it, and note what it does");
});

test("one run after the other without choosing: directions by speeds; a run that stalled is to be done again", async () => {
  const job = showJob(<Prove />, { entries: [power("live")] });
  await ran();
  for (let i = 0; i < 2; i++) await runsWell();
  await waitFor(() => expect(chosen("Speed")).toBe("fast"));
  await userEvent.click(screen.getByRole("button", { name: /Stalled/i }));
  await waitFor(() => expect(job.entries).toHaveLength(4));
  expect(chosen("Speed")).toBe("fast");
  await runsWell();
  await waitFor(() => expect(chosen("Direction")).toBe("backwards"));
  expect(chosen("Speed")).toBe("slow");
  expect(runs(job.entries)).toEqual([
    "powered forwards slow ran",
    "powered forwards working ran",
    "powered forwards fast stalled",
    "powered forwards fast ran",
  ]);
});

test("a run of which nothing was noted proves nothing, and is not logged as good", async () => {
  const job = showJob(<Prove />, { entries: [power("live")] });
  await userEvent.click(await ran());
  await waitFor(async () => expect((await noise()).getAttribute("aria-invalid")).toBe("true"));
  expect(job.entries).toHaveLength(1);
});

test("a current that is none stays in its field with what is wrong; the same run is logged once it is right", async () => {
  const job = showJob(<Prove />, { entries: [power("live")] });
  const current = await screen.findByRole<HTMLInputElement>("textbox", { name: "Current" });
  await userEvent.type(current, "much");
  await userEvent.click(await ran());
  await waitFor(() => expect(current.getAttribute("aria-invalid")).toBe("true"));
  expect(current.value).toBe("much");
  expect(bodiesOf(job.entries, "proof")).toEqual([]);
  await userEvent.clear(current);
  await userEvent.type(current, "3800 mA{Enter}");
  await waitFor(() =>
    expect(bodiesOf(job.entries, "proof")).toMatchObject([{ currentA: expect.closeTo(3.8, 9), outcome: "ran" }]),
  );
  expect(current.value).toBe("");
});

test("beside each run stands that of the last job, not of the one before; of a repeated run the newest", async () => {
  showJob(<Prove />, {
    entries: [power("live")],
    before: [
      {
        proofs: [
          run("last", "2026-05-04T10:00:00Z", { direction: "forwards", speed: "slow", currentA: 4.2 }),
          run("last", "2026-05-04T09:00:00Z", {
            direction: "forwards",
            speed: "slow",
            currentA: 6,
            outcome: "stalled",
          }),
          run("older", "2025-05-04T09:00:00Z", { direction: "backwards", speed: "slow", currentA: 9 }),
        ],
      },
    ],
  });
  await ran();
  const row = (name: string) => screen.getByRole("row", { name: new RegExp(`^${name}`) });
  expect(row("forwards, slow").textContent).toContain("4.2 A");
  expect(row("forwards, slow").textContent).not.toContain("6.0");
  expect(row("backwards, slow").textContent).not.toContain("9.0");
});

test("of a switchable stage every gear is to be run, and is named with each run", async () => {
  const stage = testStage("one");
  const { element } = stage.geometry;
  if (element.kind !== "gear-pair") throw new Error("a gear pair");
  const gears = [{ name: "high", teeth: [21, 39] as [number, number], profileShift: [0, 0] as [number, number] }];
  const switchable = {
    ...stage,
    geometry: { ...stage.geometry, element: { ...element, gearName: "low", gears } },
  };
  const job = showJob(<Prove />, { stages: [switchable], entries: [power("live")] });
  await runsWell();
  await userEvent.click(within(screen.getByRole("radiogroup", { name: "Gear that is in" })).getByText("high"));
  await runsWell();
  await waitFor(() =>
    expect(runs(job.entries)).toEqual(["low powered forwards slow ran", "high powered forwards working ran"]),
  );
  expect(screen.getAllByRole("row")).toHaveLength(1 + 2 * 2 * 3);
});

test("without a lock and without power nothing is run: it is made safe first", async () => {
  showJob(<Prove />);
  expect((await screen.findByRole("link", { name: "Make safe first" })).getAttribute("href")).toBe("/jobs/j/make-safe");
  expect(screen.queryByRole("button", { name: "Go live" })).toBeNull();
});
