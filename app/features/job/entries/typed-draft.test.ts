import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { post } from "../../offline/outbox";
import { emptyDraft } from "./draft-store";
import { TypedDraft } from "./typed-draft";

type Sent = { id: string; body: { texts: Record<string, string> } };
let sent: Sent[] = [];
let answer: Awaited<ReturnType<typeof post>> = { body: {} };
const send = async (_url: string, body: unknown) => {
  sent.push(structuredClone(body) as Sent);
  return answer;
};

const kept = new Map<string, string>();

beforeEach(() => {
  vi.useFakeTimers();
  sent = [];
  answer = { body: {} };
  kept.clear();
  vi.stubGlobal("navigator", {});
  // As a browser's store is: what it keeps are its own enumerable names.
  vi.stubGlobal(
    "localStorage",
    new Proxy(
      {
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, value: string) => kept.set(key, value),
      },
      {
        ownKeys: () => [...kept.keys()],
        getOwnPropertyDescriptor: (_, key) => ({ value: kept.get(String(key)), enumerable: true, configurable: true }),
      },
    ),
  );
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** What was on the tablet before the page was opened has been looked for. */
async function held(personId = "me"): Promise<TypedDraft> {
  const draft = new TypedDraft("job", "stage", personId, [], send);
  draft.hold();
  await vi.advanceTimersByTimeAsync(0);
  return draft;
}

test("what is typed is in the browser at once, and goes to the server once after a pause", async () => {
  const draft = await held();
  draft.changeText("note", "l");
  draft.changeText("note", "lo");
  expect([...kept.values()].join()).toContain('"note":"lo"');
  expect(sent).toEqual([]);
  await vi.advanceTimersByTimeAsync(5000);
  expect(sent.map(({ body }) => body.texts.note)).toEqual(["lo"]);
  expect(draft.kept).toMatchObject({ why: null, at: expect.any(String) });
  expect((await held()).body.texts.note).toBe("lo");
});

test("while the server is away it says so, is tried again by itself, and goes under the same id", async () => {
  const draft = await held();
  answer = { stopped: "server" };
  draft.changeText("note", "loose");
  await vi.advanceTimersByTimeAsync(1000);
  expect(draft.kept.why).toBe("server");
  answer = { body: {} };
  await vi.advanceTimersByTimeAsync(10_000);
  expect(draft.kept.why).toBeNull();
  expect(sent.map(({ id }) => id)).toEqual([sent[0]?.id, sent[0]?.id]);
});

test("what is typed while an answer is on its way is sent after it", async () => {
  const draft = await held();
  draft.changeText("note", "one");
  await vi.advanceTimersByTimeAsync(700);
  draft.changeText("note", "two");
  await vi.advanceTimersByTimeAsync(5000);
  expect(sent.map(({ body }) => body.texts.note)).toEqual(["one", "two"]);
});

test("whoever takes the tablet over goes on with it under a draft of their own; the one of before is left empty", async () => {
  const draft = await held("me");
  draft.changeText("note", "mine");
  await vi.advanceTimersByTimeAsync(5000);
  draft.handTo("you");
  draft.changeText("note", "mine and yours");
  await vi.advanceTimersByTimeAsync(5000);
  expect(sent[1]?.id).not.toBe(sent[0]?.id);
  expect((await held("you")).body.texts.note).toBe("mine and yours");
  expect((await held("me")).body.texts).toEqual(emptyDraft().texts);
});

test("who looks is told of what changed, and of nothing where the same was typed again", async () => {
  const draft = await held();
  const told = vi.fn();
  const stop = draft.subscribe(told);
  draft.changeText("lock", "17");
  draft.changeText("lock", "17");
  draft.changeRound("set", (round) => round);
  expect(told).toHaveBeenCalledTimes(1);
  draft.changeRound("set", (round) => ({ ...round, field: "0.1" }));
  expect(draft.body.rounds.set.field).toBe("0.1");
  stop();
  draft.changeText("lock", "18");
  expect(told).toHaveBeenCalledTimes(2);
});

test("let go of, it sends nothing any more", async () => {
  const draft = new TypedDraft("job", "stage", "me", [], send);
  const letGo = draft.hold();
  await vi.advanceTimersByTimeAsync(0);
  draft.changeText("note", "x");
  letGo();
  await vi.advanceTimersByTimeAsync(20_000);
  expect(sent).toEqual([]);
});
