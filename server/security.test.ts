import type { Server } from "node:http";
import express from "express";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { limitBody, refuseCrossSite, securityHeaders } from "./security";

let server: Server;
let base = "";

beforeAll(async () => {
  const app = express();
  app.use(securityHeaders(false), refuseCrossSite, limitBody({ usual: 1000, files: 2000 }));
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
