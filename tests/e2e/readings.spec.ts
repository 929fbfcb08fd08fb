import { expect, test } from "@playwright/test";
import { beginJob, closeJob, readRound } from "./steps";

test("blind entry: stepping back, repeats asked about, strike-out kept visible, a wild one questioned, words refused", async ({
  page,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Entry");
  const field = page.getByRole("textbox", { name: /^Reading at tooth|^Every place/ });
  const list = page.getByRole("list", { name: /Readings so far/ });
  await readRound(page, ["0.10", "0.11"]);
  await expect(field).toBeFocused();

  // Not a number: said at the field, and what was typed stays.
  await readRound(page, ["about a hair"]);
  await expect(page.getByRole("status").filter({ hasText: "is not a number" })).toBeVisible();
  await expect(field).toHaveValue("about a hair");
  await field.fill("");

  // Back to the tooth before; a second reading there is asked about and kept as a repeat.
  await page.keyboard.press("Backspace");
  await readRound(page, ["0.12"]);
  await expect(page.getByRole("alertdialog")).toContainText("already reads 0.11");
  await page.keyboard.press("Enter");
  await expect(list.getByText("repeat")).toBeVisible();

  // The wrong one is struck out and stays visible, and the tooth is asked for again.
  await page.getByRole("button", { name: /^Strike out 0\.10/ }).click();
  await expect(list.getByText("0.10")).toHaveCSS("text-decoration-line", "line-through");
  await expect(field).toHaveAccessibleName("Reading at tooth 1");
  await readRound(page, ["0.13"]);

  // Far from its neighbours: questioned at once, not dropped.
  await readRound(page, ["0.14", "0.13", "0.13", "0.12", "0.55"]);
  await expect(page.getByRole("alert")).toContainText("0.55 at tooth");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await expect(list.getByText("0.55")).toBeVisible();

  // The keys on the screen never take the focus from the field.
  await page.getByRole("button", { name: "7", exact: true }).click();
  await page.getByRole("button", { name: ".", exact: true }).click();
  await expect(field).toHaveValue("7.");
  await expect(field).toBeFocused();
  await page.getByRole("button", { name: "Delete the last sign" }).click();
  await page.getByRole("button", { name: "Delete the last sign" }).click();
  await expect(field).toHaveValue("");

  // A note of 10 kB is refused with its size, and is still there.
  await page.getByRole("link", { name: "Make safe" }).click();
  const note = page.getByLabel("Note for the logbook");
  await note.fill("x".repeat(10_240));
  await page.getByRole("button", { name: "Add to log" }).click();
  await expect(page.getByRole("alert")).toContainText("10240 characters; 4000 fit");
  await expect(note).toHaveValue("x".repeat(10_240));
  await note.fill("");

  await page.getByRole("link", { name: "As found" }).click();
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await expect(page.getByLabel("Next move")).toContainText("No setting can hold it");
  await closeJob(page, job);
});

test("did otherwise is logged as it was done, and on a phone the whole job is at hand", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Phone");
  await readRound(page, ["0.20", "0.2", "0.21", "0.2", "0.2", "0.21", "0.2", "0.2", "0.2", "0.2", "0.2", "0.2"]);
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Next move")).toContainText(/Eccentric bush \d+° clockwise/);
  await page.getByRole("button", { name: "Did something else" }).click();
  await page.getByLabel("Eccentric bush: how much?").fill("two");
  await page.getByRole("button", { name: "Log this move" }).click();
  await expect(page.getByRole("alert")).toContainText("is not a number");
  await page.getByLabel("Eccentric bush: how much?").fill("2");
  await page.getByLabel("Why", { exact: true }).fill("Key slipped");
  await page.getByRole("button", { name: "Log this move" }).dblclick();
  await expect(page.getByLabel("Tape")).toContainText("Eccentric bush 2° clockwise");
  await expect(page.getByLabel("Tape").getByText(/^Eccentric bush/)).toHaveCount(1);
  await expect(page).toHaveURL(/set$/);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await closeJob(page, job);
});
