// @vitest-environment happy-dom
import "fake-indexeddb/auto";
import { cleanup, configure, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub, useLocation } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Refusal } from "~/core/quantity";
import { pageIsOf } from "../identity/page-person";
import { allWaiting, dropWaiting, putWaiting } from "./outbox";
import { sendWaiting } from "./outbox-state";
import { keepSnapshot, snapshotOf } from "./snapshots";
import { WaitingList } from "./waiting-list";
import type { Waiting } from "./waiting-store";

vi.hoisted(() => vi.stubGlobal("BroadcastChannel", undefined));
configure({ asyncUtilTimeout: 60_000, defaultHidden: true });

let away = true;
let seen: string[];
let where = "";
beforeEach(async () => {
  pageIsOf("me");
  away = true;
  seen = [];
  vi.stubGlobal("fetch", async (url: string, init: RequestInit) => {
    const { kind, text } = JSON.parse(String(init.body)) as { kind: string; text?: string };
    seen.push([url, kind, text].filter(Boolean).join(" "));
    if (away) throw new TypeError("fetch failed");
    return Response.json({ entry: {} });
  });
  for (const { id } of await allWaiting()) await dropWaiting(id);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const note = (text: string, order: number, more: Partial<Waiting> = {}): Waiting => ({
  id: text,
  jobId: "01934076-bd4b-711c-88af-73b8ad150010",
  order,
  personId: "me",
  payload: { id: text, kind: "note", text, madeAt: "2026-01-01T00:00:00Z" },
  ...more,
});
const signedMeanwhile = { code: "job-signed", path: [], facts: {} } as unknown as Refusal;

const Where = () => {
  where = useLocation().pathname;
  return <WaitingList />;
};
async function show(...waiting: Waiting[]) {
  for (const item of waiting) await putWaiting(item);
  await sendWaiting();
  const Stub = createRoutesStub([{ path: "*", Component: Where }]);
  render(<Stub initialEntries={["/"]} />);
}

test("how much waits, why and what is said; nothing of somebody else's is shown, only that there is some", async () => {
  await show(note("grease seen", 1), note("shim bent", 2), note("theirs", 3, { personId: "somebody" }));
  const list = within(await screen.findByRole("region", { name: "Kept on this tablet" }));
  expect(list.getByText("2 entries wait on this tablet.")).toBeTruthy();
  expect(list.getByText(/network/i)).toBeTruthy();
  expect(list.getByText(/1 entry waits here for somebody else/)).toBeTruthy();
  expect(list.getByText(/grease seen/)).toBeTruthy();
  expect(list.queryByText(/theirs/)).toBeNull();
  expect(list.getByRole("link", { name: "To the job" }).getAttribute("href")).toBe(
    "/jobs/01934076-bd4b-711c-88af-73b8ad150010",
  );
});

test("what has no name is sent as somebody's only once they say that it is theirs", async () => {
  const { personId: _, ...nobodys } = note("old one", 1);
  await show(nobodys as Waiting);
  expect(await screen.findByText(/waits here without a name/)).toBeTruthy();
  expect(seen).toEqual([]);
  away = false;
  await userEvent.click(screen.getByRole("button", { name: "They are mine" }));
  await waitFor(() => expect(screen.queryByText(/without a name/)).toBeNull());
  expect(seen).toHaveLength(1);
});

test("what was refused stands with why and what was in it, until it is sent again or put aside by hand", async () => {
  const refusal = { code: "no-such-instrument", path: ["instrumentId"], facts: {} } as unknown as Refusal;
  await show(note("first", 1, { refusal }), note("second", 2, { refusal }));
  const [first, second] = (await screen.findAllByRole("alert")) as [HTMLElement, HTMLElement];
  expect(first.textContent).toContain("Not taken into the logbook:");
  expect(first.textContent).toContain("first");
  expect(seen).toEqual([]);
  await userEvent.click(within(second).getByRole("button", { name: "Put aside" }));
  await waitFor(() => expect(screen.getAllByRole("alert")).toHaveLength(1));
  away = false;
  await userEvent.click(screen.getByRole("button", { name: "Send again" }));
  await waitFor(() => expect(screen.queryByRole("alert")).toBeNull());
  expect(seen).toEqual([expect.stringContaining("note first")]);
  expect(await allWaiting()).toEqual([]);
});

test("a job that was signed by somebody else meanwhile: what this tablet holds goes into a job of its own, in its order", async () => {
  const of = "01934076-bd4b-711c-88af-73b8ad150010";
  const job = {
    id: of,
    machineId: "m",
    stageIds: ["s"],
    reason: "Whines",
    openedBy: "x",
    openedAt: "",
    signedEntry: "e",
  };
  await keepSnapshot("job", of, { job, person: { id: "me", name: "M. Sandor" }, entries: [{ id: "e" }], drafts: [] });
  const put = note("pin", 2, { refusal: signedMeanwhile, payload: { ...note("pin", 2).payload, kind: "loose-thing" } });
  const out = note("out", 3, { payload: { ...note("out", 3).payload, kind: "loose-thing", names: "pin" } });
  const signature = note("sign", 4, { payload: { ...note("sign", 4).payload, kind: "signature" } });
  await show(note("grease seen", 1, { refusal: signedMeanwhile }), put, out, signature);
  const [follow] = await screen.findAllByRole("button", { name: "Put them into a follow-up job" });
  await userEvent.click(follow as HTMLElement);
  await waitFor(() => expect(where).toMatch(/^\/jobs\/.+\/sign-off$/));
  const next = where.split("/")[2] as string;
  const moved = (await allWaiting()).filter(({ jobId }) => jobId === next);
  expect(moved.map(({ payload }) => payload.kind)).toEqual(["job-opened", "note", "loose-thing", "loose-thing"]);
  expect(moved[0]?.payload).toMatchObject({ reason: "Follow-up: Whines", machineId: "m", stageIds: ["s"] });
  // What was taken out is the thing that was put in, under its new id.
  expect(moved[3]?.payload.names).toBe(moved[2]?.id);
  expect(moved.every(({ personId, refusal }) => personId === "me" && !refusal)).toBe(true);
  // The signature was for the other job: whoever signs this one sees what is in it.
  expect((await allWaiting()).filter(({ jobId }) => jobId === of).map(({ payload }) => payload.kind)).toEqual([
    "signature",
  ]);
  expect(await snapshotOf("job", next)).toMatchObject({ job: { id: next, signedEntry: null }, entries: [] });
});
