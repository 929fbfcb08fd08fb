import type { Server } from "node:http";
import express from "express";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { limitBody, limitUploads, refuseCrossSite, refuseOddAddress, securityHeaders } from "./security";

let server: Server;
let base = "";
const slow: (() => void)[] = [];

beforeAll(async () => {
  const app = express();
  app.use(...securityHeaders(false, true), refuseOddAddress, refuseCrossSite);
  app.use(limitBody({ usual: 1000, files: 2000 }), limitUploads(2));
  app.post(/files/, (request, response, next) => {
    if ("slow" in request.query) slow.push(() => response.json({ done: true }));
    else next();
  });
  app.all(/thing|files/, (_request, response) => {
    response.json({ done: true });
  });
  await new Promise<void>((done) => {
    server = app.listen(0, "127.0.0.1", () => done());
  });
  const address = server.address();
  base = `http://127.0.0.1:${typeof address === "object" && address ? address.port : 0}`;
});
afterAll(() => server.close());

const post = (headers: Record<string, string>, body = "x") => fetch(`${base}/thing`, { method: "POST", headers, body });

describe("posts from elsewhere", () => {
  test.each([
    ["another site", () => ({ Origin: "http://elsewhere.example" }), 403],
    ["another port", () => ({ Origin: "http://127.0.0.1:1" }), 403],
    ["no origin at all", () => ({ Origin: "null" }), 403],
    ["nonsense", () => ({ Origin: "http://" }), 403],
    ["a browser that says it crossed sites", () => ({ "Sec-Fetch-Site": "cross-site" }), 403],
    ["this site", () => ({ Origin: base }), 200],
    ["a command line", () => ({}), 200],
  ])("%s", async (_, headers, status) => {
    expect((await post(headers())).status).toBe(status);
  });

  test("a link from elsewhere may still be followed", async () => {
    expect((await fetch(`${base}/thing`, { headers: { Origin: "http://elsewhere.example" } })).status).toBe(200);
  });
});

test("more than a person can send is refused before it is read", async () => {
  const answer = await post({ Origin: base }, "x".repeat(1001));
  expect(answer.status).toBe(413);
  expect((await answer.json()).refusal.facts.most).toBe(1000);
});

test("files of a machine may be larger, up to what is said then", async () => {
  const files = `${base}/machines/01a2124d-3f96-7055-baee-acd6aaaaaaaa/files`;
  const send = (size: number) => fetch(files, { method: "POST", headers: { Origin: base }, body: "x".repeat(size) });
  expect((await send(1500)).status).toBe(200);
  const answer = await send(40_000);
  expect(await answer.json()).toMatchObject({ refusal: { code: "file-too-large", facts: { megabytes: 0.04 } } });
});

test("so is what does not say how large it is", async () => {
  const body = new ReadableStream({
    start(controller) {
      controller.enqueue(new TextEncoder().encode("x"));
      controller.close();
    },
  });
  const answer = await fetch(`${base}/thing`, {
    method: "POST",
    headers: { Origin: base },
    body,
    duplex: "half",
  } as RequestInit);
  expect(answer.status).toBe(413);
});

test("every answer has its own nonce and lets nothing in from outside", async () => {
  const policies = await Promise.all(
    [1, 2].map(async () => (await fetch(`${base}/thing`)).headers.get("content-security-policy") ?? ""),
  );
  const nonces = policies.map((policy) => /'nonce-([^']+)'/.exec(policy)?.[1]);
  expect(nonces[0]).not.toBe(nonces[1]);
  for (const policy of policies) {
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  }
});

test("of many files at once the first are taken, and one more is told when to come again", async () => {
  const send = (query = "") =>
    fetch(`${base}/machines/01a2124d-3f96-7055-baee-acd6aaaaaaaa/files${query}`, {
      method: "POST",
      headers: { Origin: base },
      body: "x",
    });
  const held = [send("?slow"), send("?slow")];
  await expect.poll(() => slow.length, { timeout: 20_000 }).toBe(2);
  const more = await send();
  expect([more.status, more.headers.get("retry-after")]).toEqual([503, "5"]);
  for (const go of slow.splice(0)) go();
  expect((await Promise.all(held)).map(({ status }) => status)).toEqual([200, 200]);
  await expect.poll(async () => (await send()).status, { timeout: 20_000 }).toBe(200);
});

test("an address that no browser makes is answered before anything looks at it", async () => {
  for (const path of ["/thing%00", "/thing%0d%0aX: y", "/%E0%A4%A"])
    expect((await fetch(`${base}${path}`)).status, path).toBe(400);
});

test("behind TLS browsers are told to stay there", async () => {
  expect((await fetch(`${base}/thing`)).headers.get("strict-transport-security")).toContain("max-age=63072000");
});
