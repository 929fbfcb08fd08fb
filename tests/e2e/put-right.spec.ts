import { expect, test } from "@playwright/test";
import { closeJob, moreOf, openJob, signIn } from "./steps";

const feedShaft = ["160.02 160.01", "11.98", "30.02", "60.00", "24.98 24.99", "12.00", "12.00"];

test("a shaft is measured, filled up from the drawers, read and kept; its twin is turned round", async ({ page }) => {
  await signIn(page);
  const job = await openJob(page, "Sheet feeder", "feed belts", "Belts climb again");
  await page.getByRole("link", { name: "Put right", exact: true }).click();
  await page.getByLabel("Shaft", { exact: true }).selectOption({ label: "Feed roll shaft" });
  await page.getByLabel("Widths measured with").selectOption({ label: "Caliper 0.02" });
  // By keyboard from the first width to the last.
  await page.getByLabel(/^Face to face/).focus();
  for (const typed of feedShaft) {
    await page.keyboard.type(typed);
    await page.keyboard.press("Tab");
  }
  await expect(page.getByText(/6 of 6\s+measured/)).toBeVisible();
  const stands = page.getByRole("region", { name: "As it would stand" });
  // The planner answers from its worker.
  await expect(page.getByRole("radiogroup", { name: "What goes between" }).getByRole("radio").first()).toBeChecked();
  await expect(stands).toContainText(/Belt pulley, level with Belt pulley, motor of Motor shaft as drawn: inside/);
  await expect(stands.getByRole("img")).toHaveAccessibleName(/6 parts between faces 160\.01|160\.02/);
  // A width that cannot be: said at once, and nothing is lost.
  await page.getByLabel(/^4 Cam pinion/).fill("240");
  await expect(stands).toContainText(/overlap the faces by/);
  await page.getByLabel(/^4 Cam pinion/).fill("24.4");
  await expect(stands).toContainText(/Cam pinion is 0\.585 mm narrower than last time/);
  await page.getByLabel(/^4 Cam pinion/).fill("24,98");
  await page.getByLabel(/^End float as read/).fill("0.9");
  await page.getByLabel("Float read with").selectOption({ index: 1 });
  await expect(stands).toContainText(/The readings do not close/);
  await page.getByLabel(/^End float as read/).fill("0.15");
  await expect(stands).not.toContainText(/do not close/);
  for (const rule of await page.getByRole("group", { name: "Seen to as it goes together" }).getByRole("checkbox").all())
    await rule.check();
  await page.getByRole("button", { name: "Log it as fitted" }).click();
  await expect(page.getByLabel("Tape")).toContainText("Feed roll shaft as fitted: end float 0.150 mm");
  await page.goto(`/jobs/${job}/sign-off`);
  await expect(page.getByRole("region", { name: "Shafts" })).toContainText("All planes inside");
  await closeJob(page, job);

  await page.getByRole("link", { name: "Sheet feeder" }).first().click();
  await moreOf(page);
  await page.getByRole("link", { name: "Shafts" }).click();
  await page.getByRole("link", { name: "Feed roll shaft" }).click();
  await expect(page.getByRole("region", { name: "As it stands" })).toContainText("end float 0.150 mm");
  await page.getByText("Copy it to another machine").click();
  const lift = await page.getByRole("option", { name: /^Pallet lift/ }).textContent();
  await page.getByLabel("Machine", { exact: true }).selectOption({ label: lift ?? "" });
  await page.getByRole("checkbox", { name: /^For the other hand/ }).check();
  await page.getByRole("button", { name: "Copy the shaft" }).click();
  const parts = page.getByRole("list", { name: "Parts from the left face" }).getByRole("listitem");
  await expect(parts.first()).toContainText("Bearing, far side");
  await expect(parts.last()).toContainText("Bearing, drive side");
});

test("a frame is read, shimmed from the drawers and read again; a runout says which way to turn", async ({ page }) => {
  await signIn(page);
  const job = await openJob(page, "Sheet feeder", "cam drive", "Frame twisted");
  await page.getByRole("link", { name: "Put right", exact: true }).click();
  await page.getByRole("radio", { name: "Frame flat" }).click();
  await page.getByLabel("Which frame").fill("Side plates");
  await page.getByRole("radio", { name: "Before the work" }).click();
  await page.getByLabel("Read with").selectOption({ index: 1 });
  const corners = ["0 0 0", "600 0 0.3", "600 400 0.1", "0 400 0.2"];
  for (const [i, corner] of corners.entries()) {
    if (i > 0) await page.getByRole("button", { name: "Another point" }).click();
    const figures = corner.split(" ");
    for (const [at, column] of ["Along", "Across", "Height"].entries())
      await page.getByLabel(`Point ${i + 1}, ${column}`).fill(figures[at] ?? "");
  }
  await page.getByLabel("Flat within").fill("0.1");
  await expect(
    page.getByRole("status").filter({ hasText: "0.40 mm under point 1 makes the four stand" }),
  ).toBeVisible();
  await page.getByRole("checkbox", { name: /^Bolted as it will stand/ }).check();
  await page.getByRole("button", { name: "Log it, these shims laid in" }).click();
  await expect(page.getByLabel("Tape")).toContainText("Side plates, before: Flat within 0.20 mm");
  // What was shimmed is read again.
  for (const i of [1, 2, 3, 4]) await page.getByLabel(`Point ${i}, Height`).fill("0");
  await page.getByRole("button", { name: "Log it", exact: true }).click();
  await expect(page.getByLabel("Tape")).toContainText("Side plates, after: Flat within 0.00 mm");

  await page.getByRole("radio", { name: "Runout" }).click();
  await page.getByLabel("Which part").fill("Cam pinion");
  await page.getByLabel("Readings on the rim, mm").fill("0 0.06 0.14 0.19 0.20 0.15 0.07 0.01");
  await page.getByLabel("On the shaft beside it, mm").fill("0 0.01 0.02 0.01 0 -0.01 -0.02 -0.01");
  await expect(page.getByText(/^Turn the part on the shaft by 99° in the sense of turning/)).toBeVisible();
  // What is typed is there again after the browser was closed.
  await page.reload();
  await expect(page.getByLabel("Which part")).toHaveValue("Cam pinion");
  await expect(page.getByLabel("Readings on the rim, mm")).toHaveValue(/0\.19 0\.20/);
  await page.getByRole("button", { name: "Log it", exact: true }).click();
  await expect(page.getByLabel("Tape")).toContainText("Cam pinion: Runs out 0.20 mm in all");
  await page.goto(`/jobs/${job}/sign-off`);
  await expect(page.getByRole("region", { name: "Measured and put right" })).toContainText("Point 1 0.199 mm");
  await closeJob(page, job);
});
