import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { pageIsOf } from "./page-person";
import { installSignedFetch, lockedNow, unlockForOthers, unlockPage } from "./signed-fetch";

type Answer = (response: Response) => void;

/** A browser's own fetch whose answers are given by hand. */
function served() {
  const asked: { url: string; person: string | null; answer: Answer }[] = [];
  installSignedFetch(
    (input, init) =>
      new Promise<Response>((answer) =>
        asked.push({ url: String(input), person: new Headers(init?.headers).get("X-Person"), answer }),
      ),
  );
  return asked;
}
const refusedAs = (code: string) => new Response(null, { status: 401, headers: { "X-Refusal": code } });
const soon = () => new Promise((done) => setImmediate(done));

beforeEach(() => {
  vi.stubGlobal("window", { location: { origin: "http://tablet", href: "http://tablet/" }, fetch: () => undefined });
  pageIsOf("varga");
});
afterEach(() => {
  unlockPage();
  vi.unstubAllGlobals();
});

test("a write says whose it is; refused for want of them it waits, and goes once they have shown that it is they", async () => {
  const asked = served();
  const answered = window.fetch("http://tablet/jobs.data", { method: "POST" });
  expect(asked[0]?.person).toBe("varga");
  asked[0]?.answer(refusedAs("signed-out"));
  await soon();
  expect(lockedNow()).toBe("signed-out");
  unlockPage();
  await soon();
  asked[1]?.answer(new Response("kept"));
  expect(await (await answered).text()).toBe("kept");
});

test("an answer that was under way while the page changed hands locks nobody out", async () => {
  const asked = served();
  const answered = window.fetch("http://tablet/jobs.data");
  pageIsOf("sandor");
  asked[0]?.answer(refusedAs("signed-out"));
  await soon();
  expect(lockedNow()).toBeNull();
  asked[1]?.answer(new Response("for whoever has it now"));
  expect(await (await answered).text()).toBe("for whoever has it now");
});

test("what the one before wrote is never sent by the next, though it was held", async () => {
  const asked = served();
  const answered = window.fetch("http://tablet/jobs.data", { method: "POST" });
  asked[0]?.answer(refusedAs("signed-out"));
  await soon();
  pageIsOf("sandor");
  unlockForOthers("sandor");
  expect((await answered).status).toBe(401);
  expect([asked.length, lockedNow()]).toEqual([1, null]);
});

test("a page that locked just before it changed hands opens for the next one", async () => {
  const asked = served();
  const answered = window.fetch("http://tablet/jobs.data");
  asked[0]?.answer(refusedAs("signed-out"));
  await soon();
  unlockForOthers("varga");
  expect(lockedNow()).toBe("signed-out");
  pageIsOf("sandor");
  unlockForOthers("sandor");
  expect(lockedNow()).toBeNull();
  await soon();
  asked[1]?.answer(new Response("page"));
  expect(await (await answered).text()).toBe("page");
});
