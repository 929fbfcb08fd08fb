import { expect, type Page, test } from "@playwright/test";
import { acknowledgeAll, beginJob, readRound, visit } from "./steps";

const tape = (page: Page) => page.getByLabel("Tape");
const nextMove = (page: Page) => page.getByRole("region", { name: "Next move" });

/** One run into the switch at an end. */
async function runInto(page: Page, direction: string, left: string): Promise<void> {
  const cell = page.getByRole("button", { name: new RegExp(`^${direction}, slow:`) });
  await cell.click();
  await page.getByLabel("Left to the buffer, stopped").fill(left);
  await page.keyboard.press("Enter");
  await expect(cell).toContainText("left to the buffer");
}

test("a lift whose upper switch stands behind its buffer: moved before it, run into at both ends, and signed", async ({
  page,
}) => {
  const job = await beginJob(page, "Pallet lift", "carriage", "Thumps at the top");
  await expect(nextMove(page)).toContainText("Read it at both ends.");
  await page.keyboard.type("22.3");
  await page.keyboard.press("Enter");
  // Behind the buffer is below nothing: the keys have a minus for it.
  for (const key of ["Minus", "5", ".", "8"]) await page.getByRole("button", { name: key, exact: true }).click();
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: /^Round done/ }).click();
  await expect(tape(page)).toContainText("As found, 2 readings");
  const ends = nextMove(page).getByRole("region", { name: "Switch before buffer" }).getByRole("listitem");
  await expect(ends.first()).toContainText("acts 22.3 mm before its buffer, and stops 10.6 mm short of it");
  await expect(ends.last()).toContainText("5.8 mm behind its buffer");
  await expect(ends.last()).toContainText(
    "Its switch 26.5 mm towards the work: it then acts 20.7 mm before the buffer",
  );
  await page.getByRole("button", { name: "Moved so" }).click();
  await expect(tape(page)).toContainText("High end 26.5 mm towards the work");

  // The end that was not touched is read with the other, never carried over.
  await visit(page, `/jobs/${job}/set`);
  await readRound(page, ["22.3", "20.6", ""]);
  await expect(tape(page)).toContainText(/2 readings.*2 readings/);
  await visit(page, `/jobs/${job}/prove`);
  await page.getByRole("button", { name: "Go live" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toBeVisible();
  for (const tick of await dialog.getByRole("checkbox").all()) await tick.click();
  await dialog.getByRole("button", { name: "Go live" }).click();
  await expect(page.getByRole("button", { name: "Live", exact: true })).toBeVisible();
  await runInto(page, "Forwards", "17,1");
  await expect(page.getByRole("region", { name: "Runs so far" }).getByRole("status")).toContainText(
    "Switch not proven at the low end.",
  );
  await runInto(page, "Backwards", "18.9");
  await expect(page.getByRole("region", { name: "Runs so far" }).getByRole("status")).not.toContainText(
    "Switch not proven",
  );
  await visit(page, `/jobs/${job}/sign-off`);
  await expect(page.getByRole("checkbox", { name: /end switches/ })).toHaveCount(0);
  await acknowledgeAll(page);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
});
