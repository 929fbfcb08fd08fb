import { RouterContextProvider } from "react-router";
import { beforeEach, expect, test } from "vitest";
import { onlyLookingHeader, personHeader, personUntilHeader, refusalHeader } from "./person-header";
import { sessionContext } from "./request-context";
import { sameHand } from "./same-hand.server";
import type { SessionState } from "./session-state";

const expires = new Date("2026-10-05T18:00:00Z");
const lead = { is: "open", session: { person: { id: "lead" }, expires } } as unknown as SessionState;
let reached: string[];
beforeEach(() => {
  reached = [];
});

/** What the middleware makes of a request: the answer, and whether the action or loader behind it was reached. */
async function ask(
  state: SessionState | "database away",
  path: string,
  { method = "GET", headers = {} }: { method?: string; headers?: Record<string, string> } = {},
  answer = new Response("ok"),
) {
  const context = new RouterContextProvider();
  context.set(sessionContext, async () => {
    if (state === "database away") throw new Error("no database");
    return state;
  });
  const request = new Request(`https://works.example${path}`, { method, headers });
  const args = { request, context, params: {} } as unknown as Parameters<typeof sameHand>[0];
  return (await sameHand(args, async () => {
    reached.push(path);
    return answer;
  })) as Response;
}

test("a write as the person who is signed in goes through; the answer says for whom it was made, and until when", async () => {
  const answer = await ask(lead, "/jobs/j/entries", { method: "POST", headers: { [personHeader]: "lead" } });
  expect(answer.status).toBe(200);
  expect(reached).toEqual(["/jobs/j/entries"]);
  expect(answer.headers.get(personHeader)).toBe("lead");
  expect(answer.headers.get(personUntilHeader)).toBe(expires.toISOString());
  expect(answer.headers.get("Cache-Control")).toBe("no-store");
});

test.each([
  ["somebody else's page", { [personHeader]: "technician" }],
  ["a page that does not say whose it is", {}],
])("a write of %s reaches nothing, and is told who is signed in", async (_, headers) => {
  for (const method of ["POST", "PUT", "PATCH", "DELETE"]) {
    const answer = await ask(lead, "/jobs/j/entries", { method, headers });
    expect(answer.status).toBe(409);
    expect(answer.headers.get(refusalHeader)).toBe("other-person");
    expect(answer.headers.get(personHeader)).toBe("lead");
  }
  expect(reached).toEqual([]);
});

test.each(["none", "resting", "ended"])(
  "without an open session (%s) nothing is written and no page's data is given",
  async (is) => {
    const nobody = { is } as unknown as SessionState;
    expect((await ask(nobody, "/stages/s", { method: "POST" })).status).toBe(401);
    expect((await ask(nobody, "/machines/m.data")).headers.get(refusalHeader)).toBe("signed-out");
    expect(reached).toEqual([]);
    // A page that is opened anew leads to the sign-in by itself; what is kept for being offline is anybody's.
    await ask(nobody, "/machines/m");
    await ask(nobody, "/offline.data");
    expect(reached).toEqual(["/machines/m", "/offline.data"]);
  },
);

test("signing in and out, and taking over, need nobody to be signed in before", async () => {
  for (const path of ["/sign-in", "/sign-in.data", "/sign-out", "/first", "/room", "/account/unlock"]) {
    expect((await ask({ is: "none" } as SessionState, path, { method: "POST" })).status).toBe(200);
    expect((await ask(lead, path, { method: "POST" })).status).toBe(200);
  }
  expect(reached).toHaveLength(12);
  // Not what only begins with such a name.
  expect((await ask(lead, "/first/aid", { method: "POST" })).status).toBe(409);
  expect((await ask({ is: "none" } as SessionState, "/sign-in-as", { method: "POST" })).status).toBe(401);
});

test("with the database away an answer says nothing of who asks, and is kept by nobody", async () => {
  const answer = await ask("database away", "/machines/m");
  expect(reached).toEqual(["/machines/m"]);
  expect(answer.headers.has(personHeader)).toBe(false);
  expect(answer.headers.get("Cache-Control")).toBe("no-store");
});

test("an answer that says itself for whom it is, or how long it may be kept, is left as it is", async () => {
  const own = new Response("sheet", { headers: { [personHeader]: "lead", "Cache-Control": "private, max-age=60" } });
  const answer = await ask(lead, "/sheet", { headers: { [onlyLookingHeader]: "1" } }, own);
  expect(answer.headers.get("Cache-Control")).toBe("private, max-age=60");
  expect((await ask({ is: "none" } as SessionState, "/offline")).headers.get(personHeader)).toBe("nobody");
});
