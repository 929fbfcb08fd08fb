import { expect, test } from "@playwright/test";
import { beginJob, closeJob, signIn } from "./steps";

test("simulated instruments send a round into the field, Enter and all; the stage follows the move; the uncertainty is opened", async ({
  page,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Practice");
  await page.getByRole("button", { name: /hand over, account/ }).click();
  await page.getByRole("button", { name: "Lay out simulated instruments" }).click();
  await page.keyboard.press("Escape");
  const panel = page.getByRole("complementary", { name: "Simulated instruments" });
  await panel.getByLabel("Simulated instrument").selectOption("frequency meter");
  const field = page.getByRole("textbox", { name: /^(Reading at|Every place)/ });
  await field.click();
  await panel.getByRole("button", { name: "Send a reading" }).click();
  await expect(panel).toContainText("It reads nothing on such a stage.");
  await panel.getByLabel("Simulated instrument").selectOption("lever indicator");
  await field.click();
  for (let i = 1; i <= 12; i++) {
    await panel.getByRole("button", { name: "Send a reading" }).click();
    await expect(page.getByRole("list", { name: "Readings so far" }).getByRole("listitem")).toHaveCount(i);
    await expect(field).toBeFocused();
  }
  await page.getByRole("button", { name: "Round done" }).click();
  const next = page.getByRole("region", { name: "Next move" });
  await expect(next).toContainText("outside");
  await next.getByText("Numbers behind this").click();
  const budget = next.getByRole("table", { name: "Uncertainty budget" });
  await expect(budget).toContainText(/step of the instrument\s*0\.0041/);
  await expect(next).toContainText(/Nearest to a limit: tooth \d+, one reading/);
  await next.getByRole("button", { name: "Done as said" }).click();
  await expect(field).toBeFocused();
  await panel.getByRole("button", { name: "Send a reading" }).click();
  await expect(page.getByRole("list", { name: "Readings so far" }).getByRole("listitem")).toHaveCount(1);
  await field.press("Enter");
  await expect(page.getByLabel("Tape")).toContainText("While setting");
  await page.getByRole("button", { name: /hand over, account/ }).click();
  await page.getByRole("button", { name: "Put the simulated instruments away" }).click();
  await page.keyboard.press("Escape");
  await expect(panel).toHaveCount(0);
  await closeJob(page, job);
});

test("other gears in the place of a pair: from the stores, by the slot, to be made; two kept side by side with their reasons", async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole("link", { name: "Rotary die-cutter" }).click();
  await page
    .getByRole("list", { name: "Stages" })
    .getByRole("link", { name: /Cutter drive/ })
    .click();
  await page.getByRole("link", { name: "Other gears in this place" }).click();
  const table = page.getByRole("table", { name: "The present pair and those that fit" });
  await page.getByText("to be made, of a range of teeth").click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText(/\d+ other pairs fit in this place/);
  const fitting = async () => Number.parseInt((await page.getByRole("heading", { level: 1 }).textContent()) ?? "", 10);
  const before = await fitting();
  await page.getByLabel("Slot lets them part by").fill("3");
  await page.getByLabel("and come together by").fill("3");
  await expect.poll(fitting).toBeGreaterThan(before);
  // The present pair stands first; pairs that would step up instead come only when they are asked for.
  await expect(table.getByRole("row").nth(1)).toContainText(/19 : 46\s*now/);
  const wide = await fitting();
  await page.getByRole("checkbox", { name: /^Also pairs that turn a reduction into a step up/ }).check();
  await expect.poll(fitting).toBeGreaterThan(wide);
  await page.getByRole("checkbox", { name: /^Also pairs that turn a reduction into a step up/ }).uncheck();
  await page.getByLabel("Turns a minute of the driver").fill("240");
  await expect(table.getByRole("columnheader", { name: "Then turns a minute" })).toBeVisible();
  for (const [nth, reason] of [
    [0, "As it is, for comparison"],
    [3, "Slower, and in the rack"],
  ] as const) {
    await table.getByRole("button", { name: /^Keep/ }).nth(nth).click();
    await page.getByLabel("Why this one?").fill(reason);
    await page.keyboard.press("Enter");
    await expect(page.getByRole("region", { name: "Kept side by side" })).toContainText(reason);
  }
  await page
    .getByRole("button", { name: /^Put .* away$/ })
    .first()
    .click();
  await expect(page.getByText("As it is, for comparison")).toHaveCount(0);
  await page
    .getByRole("button", { name: /^Put .* away$/ })
    .first()
    .click();
  await expect(page.getByRole("region", { name: "Kept side by side" })).toHaveCount(0);
});
