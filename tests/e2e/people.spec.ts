import { expect, test } from "@playwright/test";
import { openPool } from "../../data/postgres";
import { openCluster } from "../../scripts/lib/cluster";
import { idsForRoles, roleMatrix } from "../../scripts/lib/role-matrix";
import { anotherTablet, beginJob, closeJob, readRound, signIn, visit } from "./steps";

test("a shared tablet changes hands by a PIN in the middle of a round, and what was typed stays; a lead countersigns", async ({
  page,
  browser,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Handed over");
  await readRound(page, ["0.10", "0.12"]);
  await page.getByRole("button", { name: /hand over, account/ }).click();
  await page.getByRole("button", { name: "M. Sandor" }).click();
  await page.getByLabel("Their PIN").fill("1111");
  await page.keyboard.press("Enter");
  await expect(page.getByText("That is not their PIN.")).toBeVisible();
  await page.getByLabel("Their PIN").fill("2468");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: /^M. Sandor/ })).toBeVisible();
  await page.getByRole("textbox", { name: /^Reading at/ }).click();
  await readRound(page, ["0.11"]);
  await page.getByRole("button", { name: /^Round done with 3/ }).click();
  await expect(page.getByLabel("Tape")).toContainText("As found, 3 readings");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  const record = await (await page.request.get(`/jobs/${job}/record.json`)).json();
  const by = (kind: string) => record.entries.find((entry: { kind: string }) => entry.kind === kind)?.madeBy;
  expect(by("round")).toEqual(expect.any(String));
  expect(by("round")).not.toBe(by("job-opened"));
  // A PIN opens no accounts.
  await visit(page, "/people");
  await expect(page.getByRole("heading", { name: "Not with this account" })).toBeVisible();
  await visit(page, `/jobs/${job}/sign-off`);
  const form = page.getByRole("form", { name: "Sign" });
  await expect(form).toBeVisible();
  for (const tick of await form.getByRole("checkbox").all()) await tick.check();
  await page.getByRole("button", { name: "Sign as M. Sandor" }).click();
  await expect(form.getByText("Signing asks for the PIN or the password of who signs.")).toBeVisible();
  await closeJob(page, job, "2468");
  await expect(page.getByRole("heading", { name: "Signed by M. Sandor" })).toBeVisible();
  await expect(page.getByRole("form", { name: "Countersign" })).toHaveCount(0);

  const lead = await anotherTablet(browser);
  await signIn(lead, `/jobs/${job}/sign-off`);
  await lead.getByLabel("What you say to it").fill("Looked at it myself");
  await lead.keyboard.press("Enter");
  await expect(lead.getByText("Countersigned by I. Varga")).toBeVisible();
  await expect(lead.getByText("Looked at it myself").first()).toBeVisible();
});

test("one's account: figures with a comma, inches for one machine or for all, a session ended from another place, a wrong password said", async ({
  page,
  browser,
}) => {
  const there = await (await browser.newContext()).newPage();
  for (const tab of [page, there]) {
    await visit(tab, "/sign-in");
    await tab.getByLabel("Sign-in name").fill("ferro");
    await tab.getByLabel("Password").fill("carton works");
    await tab.keyboard.press("Enter");
    await expect(tab.getByRole("link", { name: "Sheet feeder" })).toBeVisible();
  }
  await visit(page, "/account");
  await page.getByLabel("Decimal sign").selectOption("comma");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("Kept.")).toBeVisible();
  await visit(page, "/bench/fit");
  await expect(page.getByRole("status")).toContainText(/\d,\d{3} to \d,\d{3} mm/);
  // The indexing table is spoken of in inches, the others are not, until a reader wants inches everywhere.
  const machine = (name: string) =>
    page.getByRole("listitem").filter({ has: page.getByRole("link", { name, exact: true }) });
  await visit(page, "/");
  await page.getByRole("link", { name: "Indexing table", exact: true }).click();
  await expect(page.getByRole("list", { name: "Stages" })).toContainText(/0,00\d\d to 0,00\d\d in/);
  await visit(page, "/");
  await expect(machine("Rotary die-cutter")).toContainText(/0,\d\d to 0,\d\d mm/);
  await visit(page, "/account");
  await page.getByLabel("Decimal sign").selectOption("point");
  await page.getByLabel("Units").selectOption("inch");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("Kept.")).toBeVisible();
  await visit(page, "/");
  await expect(machine("Rotary die-cutter")).toContainText(/0\.00\d\d to 0\.0\d\d\d in/);

  await visit(page, "/account");
  await page.getByRole("button", { name: "End all but this one" }).click();
  await expect(page.getByRole("list", { name: "Sessions" }).getByRole("listitem")).toHaveCount(1);
  await there.reload();
  await expect(there).toHaveURL(/sign-in/);
  const form = page.getByRole("form", { name: "Password" });
  await form.getByLabel("Present password").fill("not this one");
  await form.getByLabel("New password").fill("another long sentence");
  await page.keyboard.press("Enter");
  await expect(page.getByText("That is not the password.")).toBeVisible();
  await expect(page.getByRole("link", { name: "People" })).toHaveCount(0);
});

test("two take the last one of a size: one gets it, the other is told", async ({ page, browser }) => {
  await signIn(page, "/stores?kind=pulley");
  const other = await (await browser.newContext()).newPage();
  await signIn(other, "/stores?kind=pulley");
  await page.getByRole("button", { name: "Take Pulley 8M 24" }).click();
  await expect(page.getByText("none left")).toBeVisible();
  await other.getByRole("button", { name: "Take Pulley 8M 24" }).click();
  await expect(other.getByRole("alert")).toContainText("The last Pulley 8M 24 is gone: somebody was quicker.");
  await page.getByRole("button", { name: "Put back Pulley 8M 24" }).click();
  await expect(page.getByText("none left")).toHaveCount(0);
});

test("every route and action answers nobody, readers, technicians and leads as it should", async ({ baseURL }) => {
  const folder = process.env.E2E_CLUSTER;
  test.skip(!folder, "needs the cluster that ./test starts");
  const cluster = await openCluster(folder ?? "", { throwaway: true });
  const pool = openPool(cluster.url("throwaway"));
  const { rows } = await pool.query(
    `select j.machine_id as "machineId", js.stage_id as "stageId", j.id as "jobId"
     from job j join job_stage js on js.job_id = j.id where j.signed_entry is not null limit 1`,
  );
  const { asked, wrong } = await roleMatrix(baseURL ?? "", await idsForRoles(pool, rows[0]));
  await pool.end();
  expect(wrong).toEqual([]);
  expect(asked).toBeGreaterThan(1000);
});
