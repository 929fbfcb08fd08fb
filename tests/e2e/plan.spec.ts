import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { beginJob, closeJob, readRound, signIn, visit } from "./steps";

test("what falls due is given to somebody with a note, walked hall by hall with its kit, and opened by a calendar program", async ({
  page,
  request,
}) => {
  // Whatever other jobs have set it to: due in three days.
  await signIn(page);
  await page.getByRole("link", { name: "Folder-gluer", exact: true }).first().click();
  await page
    .getByRole("link", { name: /^Fold drive/ })
    .first()
    .click();
  await page
    .getByRole("textbox", { name: "On", exact: true })
    .fill(new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10));
  await page.getByLabel("What for").fill("Set back before it drifts out");
  const planned = page.waitForResponse((answer) => answer.request().method() === "POST");
  await page.getByRole("button", { name: "Plan it" }).click();
  expect((await planned).ok()).toBe(true);
  await visit(page, "/jobs");
  await page.getByRole("link", { name: "All that falls due" }).click();
  await expect(page.getByText("Set back before it drifts out")).toBeVisible();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("overdue");
  const overdue = page.getByRole("region", { name: "Overdue" });
  await expect(overdue).toContainText("The forecast is past");
  await expect(overdue).toContainText("Calibrate: Force gauge");
  // Given by keyboard alone.
  const give = page.getByRole("button", { name: /^Give to: Closure again/ });
  await give.focus();
  await page.keyboard.press("Enter");
  const box = page.getByRole("dialog");
  await box.getByLabel("To whom").selectOption({ label: "K. Ferro" });
  await box.getByLabel("Handover note").fill("Index plate is in the tool room, second shelf");
  await box.getByRole("button", { name: "Give it" }).click();
  await expect(page.getByRole("listitem").filter({ hasText: "Closure again" })).toContainText(
    "K. Ferro has it: Index plate is in the tool room, second shelf",
  );
  await page.getByRole("combobox", { name: "Hall" }).selectOption("Finishing works, Hall C");
  await expect(page.getByRole("list").filter({ hasText: "Closure again" })).toHaveCount(0);

  await page.getByRole("link", { name: "Walk it" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Two machines on the way");
  const hall = page.getByRole("region", { name: "Finishing works, Hall C" });
  const stops = await hall.getByRole("heading", { level: 3 }).allTextContents();
  expect(stops).toEqual([expect.stringContaining("bay 1"), expect.stringContaining("bay 5")]);
  const kit = page.getByRole("region", { name: "Take along" });
  await expect(kit).toContainText("Lever indicator 0.01");
  await page.getByRole("link", { name: "The plan" }).click();

  const file = page.waitForEvent("download");
  await page.getByRole("link", { name: "Calendar file" }).click();
  const text = await readFile(await (await file).path(), "utf8");
  expect(text).toContain("SUMMARY:Folder-gluer\\, Fold drive: Set back before it drifts out");
  expect(text).not.toContain("Indexing table");

  await page.getByRole("link", { name: "In your calendar program" }).click();
  await page.getByRole("button", { name: "Make an address" }).click();
  const address = new URL(await page.getByLabel("Address, shown this once").inputValue());
  const here = new URL(page.url()).origin;
  const fetched = await request.get(`${here}${address.pathname}${address.search}`);
  expect(await fetched.text()).toContain("Indexing table");
  await page.getByRole("button", { name: "Take the address back" }).click();
  await expect(page.getByText("An address was made")).toHaveCount(0);
  expect((await request.get(`${here}${address.pathname}${address.search}`)).status()).toBe(404);
});

test("an open job is handed over: whoever opens it reads the note, until it is signed", async ({ page }) => {
  const jobId = await beginJob(page, "Strapper", "Feed gears", "Squeaks when cold");
  await readRound(page, ["0.12", "0.13", "0.12", "0.14"]);
  await page.getByRole("button", { name: /^Round done with 4/ }).click();
  await expect(page.getByRole("button", { name: /^Round done with/ })).toHaveCount(0);
  await visit(page, "/jobs");
  await page.getByRole("button", { name: /^Give to: Strapper, Squeaks when cold/ }).click();
  const box = page.getByRole("dialog");
  await box.getByRole("button", { name: "Give it" }).click();
  await expect(box).toBeVisible();
  await box.getByLabel("To whom").selectOption({ label: "M. Sandor" });
  await box.getByLabel("Handover note").fill("Belt is off, guard stands behind the strapper");
  await box.getByRole("button", { name: "Give it" }).click();
  await expect(page.getByText("M. Sandor has it: Belt is off")).toBeVisible();
  await visit(page, `/jobs/${jobId}/make-safe`);
  await expect(
    page.getByText("M. Sandor has it, from I. Varga: Belt is off, guard stands behind the strapper"),
  ).toBeVisible();
  await closeJob(page, jobId);
  await visit(page, "/jobs");
  await expect(page.getByText("Belt is off")).toHaveCount(0);
});

test("what is planned by the meter and a point with a day stand in the plan; every logbook is searched for it, and taken away", async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole("link", { name: "Strapper", exact: true }).first().click();
  await page.getByLabel("New open point").fill("Cover screw is a short one");
  await page.getByRole("textbox", { name: "By" }).fill("2031-05-06");
  await page.getByRole("button", { name: "Note it" }).click();
  await expect(page.getByText("; by 6 May 2031")).toBeVisible();
  await page.getByRole("link", { name: "Head", exact: false }).first().click();
  await page.getByLabel("Or after so many cycles").fill("soon");
  await page.getByRole("button", { name: "Plan it" }).click();
  await expect(page.getByRole("region", { name: "Next visit" }).getByRole("alert")).toBeVisible();
  await page.getByLabel("Or after so many cycles").fill("900000");
  await page.getByLabel("What for").fill("Belt guide again");
  await page.getByRole("button", { name: "Plan it" }).click();
  await expect(page.getByText("at the rate so far")).toBeVisible();
  await visit(page, "/plan");
  await expect(page.getByRole("region", { name: "Later" })).toContainText("Cover screw is a short one");
  await expect(page.getByRole("region", { name: "Later" })).toContainText("Belt guide again");

  await visit(page, "/jobs");
  await page.getByRole("link", { name: "Search every logbook" }).click();
  await page.getByLabel("Words").fill("cover short");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("1 found");
  await expect(page.getByRole("link", { name: /^Strapper, ST-1/ })).toBeVisible();
  const file = page.waitForEvent("download");
  await page.getByRole("link", { name: "All of it as CSV" }).click();
  expect(await readFile(await (await file).path(), "utf8")).toContain("Cover screw is a short one");
  await page.getByLabel("What", { exact: true }).selectOption({ label: "Runs" });
  await page.getByRole("button", { name: "Find" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Nothing was found");
});
