import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { expect, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/cluster";
import { awake } from "./steps";

const root = resolve(import.meta.dirname, "../..");
const started: ChildProcess[] = [];
const home = mkdtempSync(join(tmpdir(), "harmostat-start-"));

function start(port: number): { child: ChildProcess; output: () => string; ends: Promise<number | null> } {
  const { DATABASE_URL: _, ...env } = process.env;
  const child = spawn(join(root, "start"), [], {
    cwd: root,
    env: { ...env, PORT: String(port), HARMOSTAT_HOME: home },
  });
  started.push(child);
  let text = "";
  child.stdout?.on("data", (chunk) => {
    text += chunk;
  });
  child.stderr?.on("data", (chunk) => {
    text += chunk;
  });
  return { child, output: () => text, ends: new Promise((done) => child.once("exit", done)) };
}

test.afterAll(() => {
  for (const child of started) child.kill("SIGKILL");
  rmSync(home, { recursive: true, force: true });
});

test("after a kill -9 the next start just works and what was acknowledged is there; Ctrl-C leaves nothing running", async ({
  page,
}) => {
  test.setTimeout(300_000);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const first = start(port);
  await expect.poll(first.output, { timeout: 90_000 }).toContain("Ctrl-C stops it");
  expect(first.output()).toContain('Sign in as "lead" with the password "carton works"');

  await page.goto(`${base}/sign-in`);
  await awake(page);
  await page.getByLabel("Sign-in name").fill("lead");
  await page.getByLabel("Password").fill("carton works");
  await page.keyboard.press("Enter");
  await page.getByRole("link", { name: /^Job open since/ }).click();
  await page.getByRole("link", { name: "Make safe" }).click();
  await page.getByLabel("Note for the logbook").fill("Before the power went");
  await page.getByRole("button", { name: "Put it on the tape" }).click();
  await expect(page.getByLabel("Tape")).toContainText("Before the power went");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  first.child.kill("SIGKILL");
  await first.ends;

  // The server is away: the next note waits on the tablet and goes in after the restart.
  await page.getByLabel("Note for the logbook").fill("While the server was away");
  await page.getByRole("button", { name: "Put it on the tape" }).click();
  await expect(page.getByRole("status").filter({ hasText: "1 to send" })).toBeVisible();

  const second = start(port);
  await expect.poll(second.output, { timeout: 60_000 }).toContain("Ctrl-C stops it");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting", { timeout: 20_000 });
  await page.reload();
  await awake(page);
  await expect(page.getByLabel("Tape")).toContainText("Before the power went");
  await expect(page.getByLabel("Tape")).toContainText("While the server was away");

  // The port is taken: said in a sentence, and the running one goes on.
  const third = start(port);
  expect(await third.ends).toBe(1);
  expect(third.output()).toContain(`Port ${port} is taken`);
  const fourth = start(await freePort());
  expect(await fourth.ends).toBe(1);
  expect(fourth.output()).toContain("already runs from this folder");

  const postmaster = Number(readFileSync(join(home, "cluster/data/postmaster.pid"), "utf8").split("\n")[0]);
  second.child.kill("SIGINT");
  expect(await second.ends).toBe(0);
  // Gone, or ended and only not yet buried by init.
  const command = existsSync(`/proc/${postmaster}/cmdline`) ? readFileSync(`/proc/${postmaster}/cmdline`, "utf8") : "";
  expect(command).toBe("");
});
