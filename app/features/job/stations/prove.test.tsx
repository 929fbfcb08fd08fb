// @vitest-environment happy-dom
import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Entry } from "~/core/logbook";
import type { ProofPlan } from "~/core/proving";
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

/** The run in hand, by its cell. */
const chosen = () =>
  screen
    .getAllByRole("button", { pressed: true })
    .map((cell) => cell.textContent?.split(":")[0])
    .join();
const cell = (name: string) => screen.getByRole("button", { name: new RegExp(`^${name}:`) });
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
  await userEvent.type(await screen.findByRole("textbox", { name: "Felt or heard, in words" }), "quiet{Enter}");
  await waitFor(() => expect(runs(job.entries)).toEqual(["by-hand forwards ran"]));
  expect(cell("By hand, forwards").textContent).toContain("quiet");
  expect(screen.getByText(/Not proven under power: forwards, backwards/)).toBeTruthy();
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
  await waitFor(() => expect(chosen()).toBe("Forwards, fast"));
  await userEvent.click(screen.getByRole("button", { name: /Stalled/i }));
  await waitFor(() => expect(job.entries).toHaveLength(4));
  expect(chosen()).toBe("Forwards, fast");
  await runsWell();
  await waitFor(() => expect(chosen()).toBe("Backwards, slow"));
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
  await waitFor(() => expect(screen.getByRole<HTMLInputElement>("textbox", { name: "Current" }).value).toBe(""));
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
  expect(cell("Forwards, slow").textContent).toContain("last 4.2 A");
  expect(cell("Forwards, slow").textContent).not.toContain("6.0");
  expect(cell("Backwards, slow").textContent).not.toContain("9.0");
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
  await userEvent.click(cell("High, forwards, working"));
  await runsWell();
  await waitFor(() =>
    expect(runs(job.entries)).toEqual(["low powered forwards slow ran", "high powered forwards working ran"]),
  );
  // Both gears by hand and at three speeds, both ways.
  expect(screen.getAllByRole("button", { name: /^(Low|High), .*(forwards|backwards)/ })).toHaveLength(2 * 4 * 2);
});

test("without a lock and without power nothing is run: it is made safe first", async () => {
  showJob(<Prove />);
  expect((await screen.findByRole("link", { name: "Make safe first" })).getAttribute("href")).toBe("/jobs/j/make-safe");
  expect(screen.queryByRole("button", { name: "Go live" })).toBeNull();
});

/** A plan of three runs: slow both ways within limits, and one turn. */
const plan = (more: Partial<ProofPlan> = {}): ProofPlan => ({
  id: "01934076-bd4b-711c-88af-73b8ad150010",
  machineId: "m",
  stageId: "one",
  revision: 1,
  runs: (["forwards", "backwards"] as const).map((direction, i) => ({
    id: `01934076-bd4b-711c-88af-73b8ad15002${i}`,
    ...{ name: "", move: "run" as const, direction, speed: "slow" as const, gear: null },
    ...{ load: null, minutes: null, required: true },
  })),
  limits: [{ run: null, of: "current", place: "", lo: null, hi: 1.6, aroundLast: null }],
  meters: [{ of: "current", expandedUncertainty: 0.05 }],
  supplyLimitA: null,
  asymmetryPercent: null,
  motorRpm: null,
  ...more,
});
const planned = (more?: Partial<ProofPlan>) => ({ ...testStage("one"), plans: [plan(more)] });

/** Logs the run in hand with a current. */
async function draws(amps: string): Promise<void> {
  const current = await screen.findByRole("textbox", { name: "Current" });
  await userEvent.clear(current);
  await userEvent.type(current, `${amps}{Enter}`);
}

test("only a run that surely keeps its limits proves its row; what is near or beyond them stays asked for", async () => {
  const job = showJob(<Prove />, { stages: [planned()], entries: [power("live")] });
  await screen.findByText("0 of 2 runs proven.");
  await draws("1.9");
  await screen.findByText(/Not proven: Forwards, slow \(did not go well\)/);
  // The same run again, for its current was too high.
  await waitFor(() => expect(chosen()).toBe("Forwards, slow"));
  await draws("1.57");
  await screen.findByText(/Forwards, slow \(could not be decided\)/);
  await draws("1.4");
  await screen.findByText("1 of 2 runs proven.");
  await waitFor(() => expect(chosen()).toBe("Backwards, slow"));
  expect(bodiesOf(job.entries, "proof")).toMatchObject([
    { planned: { name: "" }, judged: { verdict: "does-not-conform" } },
    { judged: { verdict: "undecided", each: [{ value: 1.57, hi: 1.6, expandedUncertainty: 0.05 }] } },
    { judged: { verdict: "conforms" } },
  ]);
});

test("while it is typed it is judged already; unlike directions are said", async () => {
  showJob(<Prove />, { stages: [planned({ limits: [] })], entries: [power("live")] });
  await draws("1.2");
  await waitFor(() => expect(chosen()).toBe("Backwards, slow"));
  await draws("1.6");
  await screen.findByText(/Backwards draws 29 % more than forwards \(1.60 and 1.20 A\)/);
  cleanup();
  showJob(<Prove />, { stages: [planned()], entries: [power("live")] });
  await userEvent.type(await screen.findByRole("textbox", { name: "Current" }), "2");
  const ahead = within(await screen.findByRole("list", { name: "Against its limits" }));
  expect(ahead.getByText(/Current 2.00 A, at most 1.60 A/)).toBeTruthy();
  expect(ahead.getByText("outside")).toBeTruthy();
});

test("a supply at its limit hides the rest: nothing read there proves anything", async () => {
  const job = showJob(<Prove />, {
    stages: [
      planned({
        supplyLimitA: 1.5,
        limits: [{ run: null, of: "current", place: "", lo: null, hi: 2, aroundLast: null }],
      }),
    ],
    entries: [power("live")],
  });
  await draws("1.5");
  await screen.findByText(/the supply is at its limit and hides the rest/);
  expect(bodiesOf(job.entries, "proof")).toMatchObject([{ atSupplyLimit: true, judged: { verdict: "undecided" } }]);
});

test("a stall says where to look, in order; each finding is logged, and it goes on from there", async () => {
  const job = showJob(<Prove />, { stages: [planned()], entries: [power("live")] });
  await userEvent.type(await screen.findByRole("textbox", { name: "Current" }), "2");
  await userEvent.click(screen.getByRole("button", { name: "Stalled" }));
  const list = within(await screen.findByRole("region", { name: "After the stall" }));
  expect(list.queryAllByRole("button", { name: "Found it" })).toHaveLength(1);
  await userEvent.click(list.getByRole("button", { name: "Nothing there" }));
  await waitFor(() =>
    expect(bodiesOf(job.entries, "note")).toMatchObject([{ text: expect.stringMatching(/hose.*: nothing there/) }]),
  );
});
