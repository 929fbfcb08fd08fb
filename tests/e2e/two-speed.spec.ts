import { expect, type Page, test } from "@playwright/test";
import { beginJob, closeJob, readRound, signIn, visit } from "./steps";

const even = (value: number) => Array.from({ length: 12 }, (_, i) => (value + 0.01 * (i % 2)).toFixed(2));

async function roundDone(page: Page, values: readonly string[]): Promise<void> {
  await readRound(page, values);
  await page.keyboard.press("Enter");
}

test("a two-speed gear: as found in both gears, the spacer of one from the drawers, each read again, its actuator's force raised, each on the signed page", async ({
  page,
}) => {
  const job = await beginJob(page, "Rotary die-cutter", "speed gear", "Grinds in low");
  await roundDone(page, even(0.04));
  // Nothing is moved before both were read as found; the key has the focus.
  await expect(page.getByRole("button", { name: "high is in" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("radio", { name: "high: not read" })).toBeChecked();
  await page.getByRole("textbox", { name: /^Reading at/ }).focus();
  await roundDone(page, even(0.13));
  // Inside by its own limits, 0.08 to 0.20.
  await expect(page.getByRole("radio", { name: "high: inside" })).toBeVisible();
  await page.getByRole("button", { name: "Now put low in" }).click();

  // The demo's visit put in 1.16. What is there is measured: 1.45; the drawers have 1.6.
  const stop = page.getByRole("region", { name: "Spacer under the stop" });
  await expect(stop.getByLabel("Spacer that is fitted now")).toHaveValue(/^1[.,]16/);
  await stop.getByLabel("Spacer that is fitted now").fill("1.45");
  await expect(stop).toContainText(/In the drawers \(Cabinet 2, drawer 5\): 1\.60 mm, then .* inside/);
  await stop.getByRole("button", { name: "Put it in, and log it" }).click();
  await expect(page.getByLabel("Tape")).toContainText("Spacer under the stop of low 0.15 mm thicker");
  await expect(page.getByRole("radio", { name: "low: read again" })).toBeChecked();
  // What moved low says nothing of high.
  await expect(page.getByRole("radio", { name: "high: inside" })).toBeVisible();
  await readRound(page, ["0.16"]);
  await page.getByRole("button", { name: "Reading done" }).click();
  await expect(page.getByRole("radio", { name: "low: inside" })).toBeVisible();

  await visit(page, `/jobs/${job}/prove`);
  await page.getByRole("button", { name: "Go live" }).click();
  const dialog = page.getByRole("dialog", { name: "Before power comes on" });
  for (const tick of await dialog.getByRole("checkbox").all()) await tick.check();
  await dialog.getByRole("button", { name: "Go live" }).click();
  await page.getByText("Raise the actuator's force in steps").click();
  await page.getByRole("radiogroup", { name: "Force in" }).getByText("bar").click();
  for (const [i, current] of ["1.02", "1.1", "1.19", "1.27"].entries()) {
    await page.getByLabel(`Step ${i + 1}, bar`).fill(String(2 + i));
    await page.getByLabel("Current, A").nth(i).fill(current);
  }
  await expect(page.getByRole("status").filter({ hasText: "It rises by" })).toContainText("the mesh feels the force");
  await page.getByRole("button", { name: "Log the steps" }).click();
  await expect(page.getByRole("list", { name: "Forces raised" })).toContainText("Force raised 2.0 to 5.0 bar, low");

  await visit(page, `/jobs/${job}/sign-off`);
  const onPage = page.getByRole("article", { name: "The job on one page" });
  await expect(onPage.getByRole("img", { name: /^low: As found: 0\.04 to 0\.05 mm, outside; As left/ })).toBeVisible();
  await expect(onPage.getByRole("img", { name: /^high: .*limits 0\.08 to 0\.20/ })).toBeVisible();
  await expect(page.getByRole("checkbox", { name: /current rises with the actuator's force/ })).toBeVisible();
  await closeJob(page, job);
});

test("a sliding gear: where it stands against its stops, how it goes in, and what is wrong with it is said at once and on the list", async ({
  page,
}) => {
  const job = await beginJob(page, "Strapper", "tensioner gears", "Hangs on changing");
  await page.getByText("The shift:").click();
  await page.getByLabel("At the stop of slow").fill("-13");
  await page.getByLabel("At the stop of fast").fill("12");
  await expect(page.getByRole("status").filter({ hasText: "Stop of fast" })).toContainText("spacer 2.00 mm thinner");
  await page.getByLabel("How fast goes in").selectOption("tooth on tooth");
  await expect(page.getByText(/^Tooth on tooth:/)).toBeVisible();
  await page.getByLabel("Servo at slow").fill("1180");
  await page.getByRole("button", { name: "Log the shift" }).click();
  // One end of the servo alone says nothing.
  await expect(page.getByLabel("Servo at fast")).toHaveAccessibleDescription(/Needed/);
  await page.getByLabel("Servo at fast").fill("1750");
  await page.getByRole("button", { name: "Log the shift" }).click();
  await expect(page.getByLabel("Tape")).toContainText("Shift: slow at −13.00 mm, fast at 12.00 mm");
  await visit(page, `/jobs/${job}/sign-off`);
  await expect(page.getByRole("checkbox", { name: /sliding gear does not meet fully/ })).toBeVisible();
  await closeJob(page, job);
  await signIn(page, "/");
});
