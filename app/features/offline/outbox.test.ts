import "fake-indexeddb/auto";
import { beforeEach, expect, test, vi } from "vitest";
import { addWaiting, allWaiting, dropWaiting, flush, putWaiting } from "./outbox";
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
  personId: "me",
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
  [409, "other-person", "other-person"],
  [503, "database-away", "database"],
  [429, "too-many-tries", "database"],
  [500, "anything", "server"],
] as const)("%d stops the sending and keeps everything", async (status, code, stopped) => {
  await putWaiting(waiting("x", 1));
  serverThat(() => refusal(status, code));
  expect(await flush("me")).toEqual({ taken: [], asked: true, stopped });
  const [left] = await allWaiting();
  expect(left?.refusal).toBeUndefined();
});

test("one over which the server breaks for good lets other jobs pass, after a few times its own, and is shown then", async () => {
  await putWaiting(waiting("broken", 1));
  await putWaiting(waiting("behind it", 2));
  await putWaiting({ ...waiting("elsewhere", 3), jobId: "another job" });
  const seen = serverThat((text) => (text === "broken" ? refusal(500, "went-wrong") : ok()));
  await flush("me");
  expect(seen).toEqual(["broken", "elsewhere"]);
  await flush("me");
  expect(await flush("me")).toMatchObject({ stopped: null });
  expect(seen).toEqual(["broken", "elsewhere", "broken", "broken", "behind it"]);
  expect(await allWaiting()).toMatchObject([{ id: `${job}-broken`, refusal: { code: "went-wrong" } }]);
});

test("what is put on its way is counted, so that a clock set back changes no order", async () => {
  const put = (id: string, madeAt: string) => {
    const { order: _, ...item } = waiting(id, 0);
    return addWaiting({ ...item, payload: { ...item.payload, madeAt } });
  };
  await putWaiting(waiting("of an earlier release", 1_795_000_000_000));
  await dropWaiting(`${job}-of an earlier release`);
  await put("first", "2026-06-01T10:00:00Z");
  await put("second", "1970-01-01T00:00:00Z");
  await Promise.all([put("third", "2020-01-01T00:00:00Z"), put("fourth", "2019-01-01T00:00:00Z")]);
  const seen = serverThat(ok);
  await flush("me");
  expect(seen).toEqual(["first", "second", "third", "fourth"]);
});

test("nobody's entries are sent as nobody's", async () => {
  const { personId: _, ...nobodys } = waiting("without a name", 1);
  await putWaiting(nobodys);
  const seen = serverThat(ok);
  await flush("me");
  expect(seen).toEqual([]);
});

test("a signature goes when everything before it was taken, and waits unconfirmed where it is asked who signs", async () => {
  await putWaiting(waiting("reading", 1));
  const signature = waiting("signature", 2);
  await putWaiting({ ...signature, payload: { ...signature.payload, kind: "signature" } });
  let reading = refusal(422, "no-such-stage");
  const seen = serverThat((text) => (text === "signature" ? refusal(422, "signature-unproven") : reading.clone()));
  await flush("me");
  expect(seen).toEqual(["reading"]);
  reading = ok() as typeof reading;
  await putWaiting(waiting("reading", 1));
  serverThat((text) => (text === "signature" ? refusal(422, "signature-unproven") : ok()));
  await flush("me");
  expect(await allWaiting()).toMatchObject([{ id: `${job}-signature`, unproven: true }]);
  expect(await flush("me")).toMatchObject({ asked: false });
});

test("nothing of a job goes before its opening, whoever made that", async () => {
  const opening = { ...waiting("opening", 1), url: "/jobs/open", personId: "somebody else" };
  await putWaiting({ ...opening, payload: { ...opening.payload, kind: "job-opened" } });
  await putWaiting(waiting("reading", 2));
  const seen = serverThat(ok);
  await flush("me");
  expect(seen).toEqual([]);
  await flush("somebody else");
  await flush("me");
  expect(seen).toEqual(["opening", "reading"]);
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
