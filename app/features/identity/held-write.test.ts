import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { failingAtOnce, heldNow, sendHeld, untilTaken } from "./held-write";

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("window", new EventTarget());
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** Answers one after the other; a word is a network that is gone. */
const answering = (...answers: (number | "gone")[]) =>
  vi.fn(async () => {
    const next = answers.shift() ?? 200;
    if (next === "gone") throw new TypeError("Failed to fetch");
    return new Response(null, { status: next });
  });
const soon = () => vi.advanceTimersByTimeAsync(0);

test("without a network or its logbook a form is held, says why, and goes by itself, by hand, or with the network", async () => {
  const send = answering("gone", 503, "gone", 200);
  const taken = untilTaken(send);
  await soon();
  expect([heldNow(), send.mock.calls.length]).toEqual(["no-network", 1]);
  sendHeld();
  await soon();
  expect([heldNow(), send.mock.calls.length]).toEqual(["database", 2]);
  window.dispatchEvent(new Event("online"));
  await soon();
  expect(send).toHaveBeenCalledTimes(3);
  await vi.runAllTimersAsync();
  expect((await taken).status).toBe(200);
  expect([heldNow(), send.mock.calls.length]).toEqual([null, 4]);
});

test("a refusal is an answer; what was broken off is given up; who can do without the server hears at once", async () => {
  expect((await untilTaken(answering(400))).status).toBe(400);
  const leaving = new AbortController();
  const left = untilTaken(answering("gone", "gone"), leaving.signal);
  await soon();
  leaving.abort(new Error("another page"));
  await expect(left).rejects.toThrow("another page");
  await expect(failingAtOnce(() => untilTaken(answering("gone")))).rejects.toThrow("Failed to fetch");
  expect(heldNow()).toBeNull();
});
