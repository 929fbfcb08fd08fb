import "fake-indexeddb/auto";
import { beforeEach, expect, test, vi } from "vitest";
import { allWaiting, dropWaiting, flush, putWaiting } from "./outbox";
import type { Waiting } from "./waiting-store";

let jobs = 0;
let job = "";
beforeEach(async () => {
  vi.stubGlobal("navigator", {});
  job = `job-${++jobs}`;
  for (const left of await allWaiting()) await dropWaiting(left.id);
});

const waiting = (id: string, order: number): Waiting => ({
  id: `${job}-${id}`,
  jobId: job,
  order,
  payload: { id: `${job}-${id}`, kind: "note", madeAt: "2026-01-01T00:00:00Z", text: id },
});

/** A server that answers as told, and remembers what it was sent, in order. */
function serverThat(answer: (text: string, call: number) => Response | "no network"): string[] {
  const seen: string[] = [];
  vi.stubGlobal("fetch", async (_url: string, init: RequestInit) => {
    const { text, id } = JSON.parse(String(init.body)) as { text: string; id: string };
    seen.push(text);
    const given = answer(text, seen.length);
    if (given === "no network") throw new TypeError("fetch failed");
    return given.status === 200 ? Response.json({ entry: { id } }) : given;
  });
  return seen;
}

const ok = () => new Response(null, { status: 200 });
const refusal = (status: number, code: string) => Response.json({ refusal: { code, path: [], facts: {} } }, { status });

test("sent oldest first, each once, and gone from the tablet when taken", async () => {
  await putWaiting(waiting("second", 2));
  await putWaiting(waiting("first", 1));
  const seen = serverThat(ok);
  const report = await flush("me");
  expect(seen).toEqual(["first", "second"]);
  expect(report).toMatchObject({ stopped: null });
  expect(report.taken).toHaveLength(2);
  expect(await allWaiting()).toEqual([]);
  expect(await flush("me")).toMatchObject({ asked: false });
  expect(seen).toHaveLength(2);
});

test("the network goes after the first: the rest waits in order and is sent when it is back", async () => {
  for (const [id, order] of [
    ["a", 1],
    ["b", 2],
    ["c", 3],
  ] as const)
    await putWaiting(waiting(id, order));
  let up = false;
  const seen = serverThat((text) => (up || text === "a" ? ok() : "no network"));
  expect(await flush("me")).toMatchObject({ stopped: "no-network" });
  expect(seen).toEqual(["a", "b"]);
  up = true;
  expect(await flush("me")).toMatchObject({ stopped: null });
  expect(seen).toEqual(["a", "b", "b", "c"]);
});

test("an answer that got lost: the same id goes again", async () => {
  await putWaiting(waiting("x", 1));
  const seen = serverThat((_text, call) => (call === 1 ? "no network" : ok()));
  await flush("me");
  expect((await flush("me")).taken.map(({ waiting }) => waiting.id)).toEqual([`${job}-x`]);
  expect(seen).toEqual(["x", "x"]);
});

test.each([
  [401, "signed-out", "signed-out"],
  [503, "database-away", "database"],
  [500, "anything", "server"],
] as const)("%d stops the sending and keeps everything", async (status, code, stopped) => {
  await putWaiting(waiting("x", 1));
  serverThat(() => refusal(status, code));
  expect(await flush("me")).toEqual({ taken: [], asked: true, stopped });
  expect(await allWaiting()).toHaveLength(1);
});

test("a refused entry stays with its reason and does not hold up the others, until it is put aside", async () => {
  await putWaiting(waiting("bad", 1));
  await putWaiting(waiting("good", 2));
  const seen = serverThat((text) => (text === "bad" ? refusal(422, "job-signed") : ok()));
  expect((await flush("me")).taken).toHaveLength(1);
  const [left] = await allWaiting();
  expect(left).toMatchObject({ id: `${job}-bad`, refusal: { code: "job-signed" } });
  await flush("me");
  expect(seen).toEqual(["bad", "good"]);
  await dropWaiting(left?.id ?? "");
  expect(await allWaiting()).toEqual([]);
});

test("what another person did here waits for them; nothing of a job goes whose opening was refused", async () => {
  await putWaiting({ ...waiting("theirs", 1), personId: "them" });
  const opening = { ...waiting("opening", 2), url: "/jobs/open", personId: "me" };
  await putWaiting({ ...opening, payload: { ...opening.payload, kind: "job-opened" } });
  await putWaiting({ ...waiting("reading", 3), personId: "me" });
  const seen = serverThat(() => refusal(422, "machine-retired"));
  await flush("me");
  await flush("me");
  expect(seen).toEqual(["opening"]);
  expect(await allWaiting()).toHaveLength(3);
});

test("each says what this tablet's clock shows as it goes", async () => {
  await putWaiting(waiting("x", 1));
  let sent: Record<string, string> = {};
  vi.stubGlobal("fetch", async (_url: string, init: RequestInit) => {
    sent = JSON.parse(String(init.body));
    return Response.json({ entry: {} });
  });
  await flush("me");
  expect(Math.abs(Date.parse(sent.sentAt ?? "") - Date.now())).toBeLessThan(60_000);
});
