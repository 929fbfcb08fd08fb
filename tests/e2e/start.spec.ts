import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/cluster";
import { ownStart } from "./own-start";
import { awake } from "./steps";

const { home, start, clear } = ownStart();
test.afterAll(clear);

test("after a kill -9 the next start just works and what was acknowledged is there; Ctrl-C leaves nothing running", async ({
  page,
}) => {
  test.setTimeout(900_000);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const first = start(port);
  await expect.poll(first.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  expect(first.output()).toContain('Sign in as "lead" with the password "carton works"');

  await page.goto(`${base}/sign-in`);
  await awake(page);
  await page.getByLabel("Sign-in name").fill("lead");
  await page.getByLabel("Password").fill("carton works");
  await page.keyboard.press("Enter");
  await page.getByRole("link", { name: /^Job open since/ }).click();
  await page.getByRole("link", { name: "Make safe" }).click();
  await page.getByLabel("Note for the logbook").fill("Before the power went");
  await page.getByRole("button", { name: "Add to log" }).click();
  await expect(page.getByLabel("Tape")).toContainText("Before the power went");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  first.child.kill("SIGKILL");
  await first.ends;

  // The server is away: the next note waits on the tablet and goes in after the restart.
  await page.getByLabel("Note for the logbook").fill("While the server was away");
  await page.getByRole("button", { name: "Add to log" }).click();
  await expect(page.getByRole("status").filter({ hasText: "1 to send" })).toBeVisible();

  const second = start(port);
  await expect.poll(second.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
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
