import { expect, test } from "@playwright/test";
import { openCluster } from "../../scripts/lib/cluster";
import {
  acknowledgeAll,
  anotherTablet,
  awake,
  beginJob,
  chooseStage,
  closeJob,
  makeSafe,
  readRound,
  signIn,
  visit,
  whole,
} from "./steps";

test("the network goes in the middle of a job: nothing is lost, it is said calmly, and all of it arrives once", async ({
  page,
  context,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "No network");
  await readRound(page, ["0.10", "0.12"]);
  await whole(page);
  await context.setOffline(true);
  await readRound(page, ["0.14", "0.13"]);
  await page.keyboard.type("0.1");
  await expect(page.getByRole("status").filter({ hasText: "Kept on this tablet" })).toBeVisible();
  await page.getByRole("link", { name: "Make safe" }).click();
  await page.getByLabel("Note for the logbook").fill("Written without a network");
  await page.getByRole("button", { name: "Add to log" }).click();
  await expect(page.getByLabel("Tape")).toContainText("waiting");
  await expect(page.getByRole("status").filter({ hasText: "1 to send" })).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  await page.reload();
  await awake(page);
  await expect(page.getByLabel("Tape").getByText("Written without a network")).toHaveCount(1);
  await page.getByRole("link", { name: "As found" }).click();
  await expect(page.getByRole("textbox", { name: /^Reading at tooth|^Every place/ })).toHaveValue("0.1");
  await expect(page.getByRole("list", { name: /Readings so far/ }).getByRole("listitem")).toHaveCount(4);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await closeJob(page, job);
});

test("the database is stopped in the middle of a save and started again: kept, said, sent once", async ({
  page,
  request,
}) => {
  const folder = process.env.E2E_CLUSTER;
  test.skip(!folder, "needs the cluster that ./test starts");
  const cluster = await openCluster(folder ?? "", { throwaway: true });
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Database away");
  await readRound(page, ["0.10", "0.12", "0.11"]);
  const other = await page.context().newPage();
  await cluster.stop();
  try {
    await page.getByRole("button", { name: /^Round done with/ }).click();
    await expect(page.getByRole("status").filter({ hasText: "1 to send: logbook away" })).toBeVisible();
    await expect(page.getByLabel("Tape")).toContainText("As found, 3 readings");
    expect((await request.get("/health")).status()).toBe(503);
    await other.goto("/jobs");
    await expect(other.getByRole("heading", { name: "The logbook cannot be reached just now" })).toBeVisible();
  } finally {
    await cluster.start();
  }
  // Nobody has to press anything.
  await expect(other.getByRole("heading", { name: "Jobs", level: 1 })).toBeVisible();
  await other.close();
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  await page.reload();
  await awake(page);
  await expect(page.getByLabel("Tape").getByText(/As found, 3 readings/)).toHaveCount(1);
  await closeJob(page, job);
});

test("two people on one job: both sets stand, and the signer is shown what came in first", async ({
  page,
  browser,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Two of us");
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await expect(page.getByLabel("Tape")).toContainText("As found, 3 readings");
  await page.getByRole("link", { name: "Sign off" }).click();
  await acknowledgeAll(page);

  const other = await anotherTablet(browser);
  await signIn(other, `/jobs/${job}/make-safe`);
  await other.getByLabel("Note for the logbook").fill("From the other side");
  await other.getByRole("button", { name: "Add to log" }).click();
  await expect(other.getByRole("status").filter({ hasText: /^Kept \d/ })).toBeVisible();
  await expect(other.getByLabel("Tape")).not.toContainText("waiting");
  await other.context().close();

  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("alert")).toContainText("One entry came in while you were reading");
  await expect(page.getByLabel("Tape")).toContainText("From the other side");
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
});

test("a stale form sent twice opens one job; a signed one takes nothing more", async ({ page }) => {
  await signIn(page);
  await page.getByRole("link", { name: "Sheet feeder" }).click();
  await chooseStage(page, "cam drive");
  await page.getByLabel("Why look at the cam drive?").fill("Twice");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Number of the lock")).toBeVisible();
  const first = page.url();
  await page.goBack();
  await awake(page);
  await expect(page.getByRole("link", { name: /^Go on with the job/ })).toHaveCount(1);
  await visit(page, new URL(first).pathname);
  await makeSafe(page, "3");
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  const job = new URL(first).pathname.split("/")[2] ?? "";
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  await closeJob(page, job);
  const answer = await page.evaluate(async (id) => {
    const response = await fetch(`/jobs/${id}/entries`, {
      method: "POST",
      body: JSON.stringify({ kind: "note", text: "late" }),
    });
    return { status: response.status, body: await response.json() };
  }, job);
  expect(answer.status).toBe(422);
  expect(answer.body.refusal).toBeDefined();
});

test("an expired session in the middle of typing asks who it is, in its place, and goes on", async ({
  page,
  context,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Session");
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await context.clearCookies();
  await page.getByRole("button", { name: /^Round done with/ }).click();
  const lock = page.getByRole("dialog", { name: "Still you?" });
  await lock.getByLabel("Password of I. Varga").fill("not that");
  await page.keyboard.press("Enter");
  await expect(lock.getByText("That is not the password.")).toBeVisible();
  await lock.getByLabel("Password of I. Varga").fill("carton works");
  await page.keyboard.press("Enter");
  await expect(lock).toHaveCount(0);
  await expect(page).toHaveURL(new RegExp(`/jobs/${job}`));
  await expect(page.getByLabel("Tape")).toContainText("As found, 3 readings");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  await closeJob(page, job);
});

test("a form on a page outside a job is held without a network, as it was typed, and goes once when it is back", async ({
  page,
  context,
}) => {
  await signIn(page);
  await page.getByRole("link", { name: "Strapper" }).click();
  await page
    .getByRole("link", { name: /^Infeed belt/ })
    .first()
    .click();
  const tried = page.getByRole("region", { name: "Parts made and tried" });
  await tried.getByText("Log a try").click();
  await tried.getByLabel("Part", { exact: true }).fill("Roller bush");
  await tried.getByLabel("Version").fill("A");
  await tried.getByRole("button", { name: "Log the try" }).click();
  await expect(tried.getByLabel("It was")).toHaveAccessibleDescription(/has to be filled in/);
  await tried.getByLabel("It was").selectOption("printed");
  await tried.getByLabel("What came of it").selectOption("fitted");
  await context.setOffline(true);
  await tried.getByRole("button", { name: "Log the try" }).click();
  const strip = page.getByRole("status").filter({ hasText: "Not sent yet: there is no network." });
  await expect(strip).toBeVisible();
  await expect(tried.getByLabel("Part", { exact: true })).toHaveValue("Roller bush");
  await context.setOffline(false);
  await expect(tried.getByRole("table", { name: "Roller bush: its versions" }).getByRole("row")).toHaveCount(2);
  await expect(strip).toHaveCount(0);
});

test("requests from elsewhere, nonsense addresses and other methods get a clear answer and no stack trace", async ({
  page,
  request,
}) => {
  await signIn(page);
  const forged = await request.post("/sign-out", { headers: { Origin: "http://elsewhere.example" } });
  expect(forged.status()).toBe(403);
  for (const path of ["/machines/nothing", "/jobs/00000000-0000-0000-0000-000000000000", "/nowhere"]) {
    const response = await page.goto(path);
    expect(response?.status()).toBe(404);
    await expect(page.getByRole("heading", { name: "Nothing stands here" })).toBeVisible();
    expect(await page.content()).not.toMatch(/node_modules|at async/);
  }
  const headers = (await request.get("/sign-in")).headers();
  expect(headers["content-security-policy"]).toMatch(/script-src 'self' 'nonce-[^']+'/);
  expect(headers["x-powered-by"]).toBeUndefined();
});

test("a job is signed elsewhere while a note waits here: said, and the note goes into a follow-up job", async ({
  page,
  browser,
  context,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Signed elsewhere");
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  await page.getByRole("link", { name: "Make safe" }).click();
  await whole(page);
  await context.setOffline(true);
  await page.getByLabel("Note for the logbook").fill("Shim of 0.05 taken out");
  await page.getByRole("button", { name: "Add to log" }).click();
  await expect(page.getByRole("status").filter({ hasText: "1 to send" })).toBeVisible();

  const other = await anotherTablet(browser);
  await signIn(other);
  await closeJob(other, job);
  await other.context().close();

  await context.setOffline(false);
  const strip = page.getByRole("alert").filter({ hasText: "Not taken into the logbook" });
  await expect(strip).toContainText("This job is signed");
  await expect(strip).toContainText("Shim of 0.05 taken out");
  await strip.getByRole("button", { name: "Put them into a follow-up job" }).click();
  await expect(page).not.toHaveURL(new RegExp(job));
  await expect(strip).toHaveCount(0);
  await expect(page.getByLabel("Tape")).toContainText("Shim of 0.05 taken out");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  await page.getByRole("link", { name: "As found" }).click();
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await closeJob(page, new URL(page.url()).pathname.split("/")[2] ?? "");
});

test("a tablet whose clock is wrong is told so, and the logbook has the right time", async ({ page }) => {
  await page.clock.setSystemTime(Date.now() + 3 * 3_600_000);
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Wrong clock");
  await expect(page.getByRole("status").filter({ hasText: "This tablet's clock is 3 hours ahead" })).toBeVisible();
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await closeJob(page, job);
  const record = await (await page.request.get(`/jobs/${job}/record.json`)).json();
  const entry = record.entries.at(-1);
  expect(Date.parse(entry.madeAt)).toBeLessThan(Date.now() + 60_000);
});
