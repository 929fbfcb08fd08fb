import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, expect, test } from "vitest";
import type { Printed } from "~/app/features/record/printed";
import { Busy } from "~/operations/queue";
import { openPrinter } from "./printer.server";

const folder = mkdtempSync(join(tmpdir(), "harmostat-printer-"));
const file = join(folder, "worker.mjs");
writeFileSync(
  file,
  `import { parentPort } from "node:worker_threads";
  parentPort.on("message", ({ record }) => {
    if (record === "dies") throw new Error("died of it");
    if (record === "fails") return parentPort.postMessage({ failure: "cannot" });
    if (record === "slow") return setTimeout(() => parentPort.postMessage({ paper: new Uint8Array([3]) }), 150);
    if (record === "pages") for (const page of [1, 2]) parentPort.postMessage({ page: [page, 2] });
    parentPort.postMessage({ paper: new Uint8Array([1]) });
    if (record === "dies later") setImmediate(() => { throw new Error("died afterwards"); });
  });`,
);
const lost: string[] = [];
const printer = openPrinter(file, (error) => lost.push(error.message));
afterAll(async () => {
  await printer.end();
  rmSync(folder, { recursive: true, force: true });
});
const print = (key: string, record: string) => printer.print(key, { record } as unknown as Printed);

test("a thread that dies, in the middle or afterwards, takes one paper with it and never the server", async () => {
  expect([...(await print("a", "fine"))]).toEqual([1]);
  await expect(print("b", "dies")).rejects.toThrow("died of it");
  await expect(print("c", "fails")).rejects.toThrow("cannot");
  expect([...(await print("d", "dies later"))]).toEqual([1]);
  await expect.poll(() => lost, { timeout: 25_000 }).toContain("died afterwards");
  expect([...(await print("e", "fine"))]).toEqual([1]);
});

test("the same paper is made once; one more than two in line is told to come again", async () => {
  const asked = [print("s1", "slow"), print("s1", "slow"), print("s2", "slow")];
  await expect(print("s3", "slow")).rejects.toBeInstanceOf(Busy);
  const made = await Promise.all(asked);
  expect(made[0]).toBe(made[1]);
});

test("every page is told of while a paper is made; of one that was kept there is none to tell", async () => {
  const pages: string[] = [];
  const told = () =>
    printer.print("p", { record: "pages" } as unknown as Printed, (page, of) => pages.push(`${page} of ${of}`));
  expect([...(await told())]).toEqual([1]);
  expect([...(await told())]).toEqual([1]);
  expect(pages).toEqual(["1 of 2", "2 of 2"]);
});
