import "fake-indexeddb/auto";
import { beforeEach, expect, test, vi } from "vitest";
import { dropWaiting, flush, putWaiting, waitingOf } from "./outbox";
import type { Waiting } from "./waiting-store";

let jobs = 0;
let job = "";
beforeEach(() => {
  vi.stubGlobal("navigator", {});
  job = `job-${++jobs}`;
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
  const report = await flush(job);
  expect(seen).toEqual(["first", "second"]);
  expect(report).toMatchObject({ stopped: null });
  expect(report.taken).toHaveLength(2);
  expect(await waitingOf(job)).toEqual([]);
  expect(await flush(job)).toMatchObject({ asked: false });
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
  expect(await flush(job)).toMatchObject({ stopped: "no-network" });
  expect(seen).toEqual(["a", "b"]);
  up = true;
  expect(await flush(job)).toMatchObject({ stopped: null });
  expect(seen).toEqual(["a", "b", "b", "c"]);
});

test("an answer that got lost: the same id goes again", async () => {
  await putWaiting(waiting("x", 1));
  const seen = serverThat((_text, call) => (call === 1 ? "no network" : ok()));
  await flush(job);
  expect((await flush(job)).taken.map((entry) => entry.id)).toEqual([`${job}-x`]);
  expect(seen).toEqual(["x", "x"]);
});

test.each([
  [401, "signed-out", "signed-out"],
  [503, "database-away", "database"],
  [500, "anything", "server"],
] as const)("%d stops the sending and keeps everything", async (status, code, stopped) => {
  await putWaiting(waiting("x", 1));
  serverThat(() => refusal(status, code));
  expect(await flush(job)).toEqual({ taken: [], asked: true, stopped });
  expect(await waitingOf(job)).toHaveLength(1);
});

test("a refused entry stays with its reason and does not hold up the others, until it is put aside", async () => {
  await putWaiting(waiting("bad", 1));
  await putWaiting(waiting("good", 2));
  const seen = serverThat((text) => (text === "bad" ? refusal(422, "job-signed") : ok()));
  expect((await flush(job)).taken).toHaveLength(1);
  const [left] = await waitingOf(job);
  expect(left).toMatchObject({ id: `${job}-bad`, refusal: { code: "job-signed" } });
  await flush(job);
  expect(seen).toEqual(["bad", "good"]);
  await dropWaiting(left?.id ?? "");
  expect(await waitingOf(job)).toEqual([]);
});
