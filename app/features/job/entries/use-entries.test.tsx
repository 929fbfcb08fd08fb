// @vitest-environment happy-dom
import { act, cleanup, configure, render, waitFor } from "@testing-library/react";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Entry } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { testInstrument, testStage } from "~/tests/stage";
import type { Waiting } from "../../offline/waiting-store";
import type { JobLoaded } from "./job-loaded";
import { nothingBefore } from "./stage-before";
import { type JobEntries, useEntries } from "./use-entries";

configure({ asyncUtilTimeout: 60_000 });

/** What waits on this tablet, and who is told of what the server took. */
const outbox = vi.hoisted(() => ({
  items: [] as unknown[],
  put: [] as unknown[],
  taken: (_taken: unknown) => {},
  stopped: null as string | null,
}));
vi.mock("../../offline/outbox-state", () => ({
  useOutbox: () => ({ items: outbox.items, tries: 0 }),
  onTaken: (listener: (taken: unknown) => void) => {
    outbox.taken = listener;
    return () => {};
  },
  putOnItsWay: async (item: unknown) => {
    outbox.put.push(item);
  },
  sendWaiting: async () => ({ stopped: outbox.stopped }),
}));
vi.mock("../../offline/snapshots", () => ({
  snapshotOf: async () => ({ entries: [note("from this tablet", 3)] }),
  keepSnapshot: async () => {},
}));

let job: JobEntries;
let there = false;
let server: { entries: Entry[]; revisions: object[]; signing: () => Response };
let loads = 0;

const stage = testStage("one");
const note = (text: string, seq: number) =>
  ({
    id: text,
    kind: "note",
    seq,
    jobId: "j",
    stageId: "one",
    namesEntry: null,
    body: { text },
    readings: [],
  }) as unknown as Entry;
const same = {
  stageId: stage.id,
  geometryId: stage.geometry.id,
  adjusterId: stage.adjuster.id,
  limitsId: stage.limits.id,
};

beforeEach(() => {
  Object.assign(outbox, { items: [], put: [], stopped: null });
  loads = 0;
  server = { entries: [], revisions: [same], signing: () => Response.json({ entry: note("signed", 9) }) };
  vi.stubGlobal("fetch", async (_url: string, init: RequestInit = {}) =>
    init.method === "POST" ? server.signing() : Response.json(server),
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const data = {
  job: { id: "j", machineId: "m", stageIds: [], reason: "noise" },
  stages: [stage],
  instruments: [testInstrument("01934076-bd4b-711c-88af-73b8ad150001")],
  before: [nothingBefore("one")],
  person: { id: "p", name: "M. Sandor" },
  entries: [note("loaded", 1)],
} as unknown as JobLoaded;

function Page() {
  job = useEntries(data);
  there = true;
  return null;
}
const Nothing = () => null;

async function open(): Promise<void> {
  const Stub = createRoutesStub([
    {
      id: "page",
      path: "/",
      loader: () => {
        loads++;
        return null;
      },
      HydrateFallback: Nothing,
      Component: Page,
    },
  ]);
  there = false;
  render(<Stub />);
  await waitFor(() => expect(there && texts()).toContain("from this tablet"));
}
const texts = () => job.entries.map(({ id }) => id);
const focus = () => act(async () => void window.dispatchEvent(new Event("focus")));
const waits = (text: string, more: Partial<Waiting> = {}) => ({
  id: text,
  jobId: "j",
  order: 1,
  payload: { id: text, kind: "note", text, stageId: "one", madeAt: "2026-01-01T00:00:00Z" },
  ...more,
});

test("what the page brought, what this tablet knows and what others did stand together, by the server's numbers", async () => {
  await open();
  server.entries = [note("of another tablet", 2), note("loaded", 1)];
  await focus();
  await waitFor(() => expect(texts()).toEqual(["loaded", "of another tablet", "from this tablet"]));
});

test("what another tab sent is taken in once, whoever tells of it first", async () => {
  await open();
  const taken = { waiting: waits("twice"), body: { entry: note("twice", 5) } };
  act(() =>
    outbox.taken([taken, { waiting: { ...waits("other"), jobId: "another job" }, body: { entry: note("other", 6) } }]),
  );
  server.entries = [note("twice", 5)];
  await focus();
  await waitFor(() => expect(texts().filter((id) => id === "twice")).toHaveLength(1));
  expect(texts()).not.toContain("other");
});

test("what waits is shown as if it were there; what was refused is not, and is told apart", async () => {
  outbox.items = [
    waits("waiting"),
    waits("refused", { refusal: { code: "job-signed", path: [], facts: {} } as unknown as Refusal }),
    waits("another job's", { jobId: "another" }),
  ];
  await open();
  await waitFor(() => expect(job.allHere).toBe(true));
  expect(job.entries.at(-1)).toMatchObject({ body: { text: "waiting" }, waiting: true });
  expect(texts()).not.toContain("refused");
  expect(job.refused.map(({ id }) => id)).toEqual(["refused"]);
});

test("a key pressed twice is one entry; clamps follow each other that fast", async () => {
  await open();
  const text = { kind: "note" as const, text: "grease" };
  expect((await job.put(stage, text)).ok).toBe(true);
  expect(await job.put(stage, text)).toMatchObject({ ok: false, refusal: { code: "just-done" } });
  const clamp = { kind: "clamp" as const, clamp: 1, pass: 1, state: "snug" as const };
  expect((await job.put(stage, clamp)).ok).toBe(true);
  expect((await job.put(stage, clamp)).ok).toBe(true);
  expect(outbox.put).toHaveLength(3);
});

test("what the server would refuse is refused here, with its field, and is not put on its way", async () => {
  await open();
  expect(await job.put(stage, { kind: "note", text: " " })).toMatchObject({ ok: false, refusal: { path: ["text"] } });
  expect(outbox.put).toEqual([]);
});

test("a stage that was revised meanwhile is named, and the page asks for its new geometry", async () => {
  await open();
  const before = loads;
  server.revisions = [{ ...same, limitsId: "other" }];
  await focus();
  await waitFor(() => expect(job.revised).toEqual(["one"]));
  await waitFor(() => expect(loads).toBeGreaterThan(before));
});

test("a signature goes straight to the server; away, it waits behind everything before it, and its secret is kept nowhere", async () => {
  await open();
  const signature = { id: "s", saw: [], stages: [], comment: "" };
  expect(await job.sign(signature, "2468")).toEqual({ ok: true, value: true });
  await waitFor(() => expect(texts()).toContain("signed"));
  outbox.stopped = "no-network";
  expect(await job.sign({ ...signature, id: "s2" }, "2468")).toEqual({ ok: true, value: true });
  expect(outbox.put).toMatchObject([{ id: "s2", payload: { kind: "signature" } }]);
  expect(JSON.stringify(outbox.put)).not.toContain("2468");
});

test("a signature that is refused is refused here, after looking what came in between", async () => {
  await open();
  server.entries = [note("in between", 4)];
  server.signing = () => Response.json({ refusal: { code: "not-seen", path: ["saw"], facts: {} } }, { status: 400 });
  expect(await job.sign({ id: "s", saw: [] })).toMatchObject({ ok: false, refusal: { code: "not-seen" } });
  await waitFor(() => expect(texts()).toContain("in between"));
});
