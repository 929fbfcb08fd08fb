import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import ICAL from "ical.js";
import { acknowledgeAll, goLive, makeSafe, moreOf, readRound, signIn, visit } from "./steps";

test("an unfamiliar machine knocks once a wheel turn: traced by the guide, put right, proven, planned again, and in the calendar", async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole("link", { name: "Reel slitter", exact: true }).first().click();
  await moreOf(page);
  await page.getByRole("link", { name: "Why does it do that?" }).click();
  const form = page.getByRole("form", { name: "What does it do?" });
  await form.getByRole("button", { name: "knock" }).click();
  // At a run slow enough to count: 21 in a quarter of a minute, the motor at 300.
  await form.getByLabel("Comes so often", { exact: true }).fill("84");
  await form.getByLabel("The motor turns", { exact: true }).fill("300");
  await form.getByRole("radio", { name: "at one place of the turn" }).click();
  await form.getByRole("button", { name: "Keep it, and go after it" }).click();
  const suspects = page.getByRole("region", { name: "Suspects" });
  const wheel = suspects.getByRole("listitem").first();
  await expect(wheel).toContainText("The driven wheel of Rewind drive");
  await expect(wheel).toContainText("comes round 84.5 times a minute");
  await wheel.getByLabel("What came of it").fill("Chip in the gap at tooth 33, gap burred");
  await wheel.getByRole("button", { name: "Found it" }).click();
  await expect(suspects.getByRole("status")).toContainText("Found: a damaged or dirty tooth");

  // Set right: the chip is out and the burr dressed; the mesh stands too tight and is moved.
  await page.getByRole("link", { name: "Reel slitter", exact: true }).click();
  await page.getByRole("radiogroup", { name: "A job on" }).getByText("Rewind drive", { exact: true }).click();
  await page.getByLabel("Why look at the rewind drive?").fill("Knock once a wheel turn");
  await page.keyboard.press("Enter");
  await makeSafe(page, "31");
  await readRound(page, ["0.12", "0.11", "0.10", "0.11", "0.13", "0.14", "0.13", "0.12"]);
  await page.getByRole("button", { name: "Round done" }).click();
  const move = page.getByLabel("Next move");
  await expect(move).toContainText(/Push screw .* out/);
  await page.getByRole("button", { name: "Done as said" }).click();
  await readRound(page, ["0.16"]);
  await page.keyboard.press("Enter");
  await expect(page.getByText("It reads inside all the way round. Leave it.")).toBeVisible();
  await move.getByRole("link", { name: "Lock up" }).click();
  for (const pass of ["snug", "firm"])
    for (let clamp = 0; clamp < 4; clamp++) {
      await expect(page.locator(":focus")).toHaveAccessibleName(new RegExp(`^Clamp \\d ${pass}$`));
      await page.keyboard.press("Enter");
    }
  await expect(page.getByText("Every clamp is firm.")).toBeVisible();
  await page.getByRole("link", { name: "Read the check round" }).click();
  await readRound(page, ["0.17", "0.16", "0.16", "0.17", "0.18", "0.19", "0.18", "0.17"]);
  await page.getByRole("button", { name: "Round done" }).click();

  // Proven: by a plan that nobody had said yet, the case that knocked among its runs.
  const jobId = new URL(page.url()).pathname.split("/")[2] ?? "";
  await visit(page, `/jobs/${jobId}/prove`);
  await page.getByRole("link", { name: "Say what proves this stage, and within what limits" }).click();
  await expect(page.getByRole("button", { name: "Keep the plan" })).toBeVisible();
  await page.getByLabel("Run 3, What is done").selectOption("The very case that used to fail");
  await page.getByRole("button", { name: "Add a limit" }).click();
  await page.getByRole("textbox", { name: /At most/ }).fill("2,5");
  await page.screenshot({ path: "/tmp/b2.png", fullPage: true });
  await page.getByRole("button", { name: "Keep the plan" }).click();
  await expect(page.getByRole("region", { name: "What proves it" })).toContainText("The very case that used to fail");
  await visit(page, `/jobs/${jobId}/prove`);
  await page.getByRole("button", { name: "Ran as it should" }).click();
  await expect(page.getByText("Nothing is noted yet")).toBeVisible();
  await page.getByRole("radio", { name: "same drag all round" }).click();
  await page.getByRole("button", { name: "Ran as it should" }).click();
  const status = page.getByRole("region", { name: "Runs so far" }).getByRole("status");
  await expect(status).toContainText("1 of 6 runs proven");
  await goLive(page);
  const proveStation = page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: /^Prove/ });
  await expect(proveStation).toHaveAccessibleName("Prove");
  await page.getByLabel("Current", { exact: true }).fill("3,1");
  const verdict = page.getByRole("list", { name: "Against its limits", exact: true });
  await expect(verdict).toContainText(/outside.*at most 2.50 A/);
  for (const amperes of ["1.7", "1.6", "1.7", "2.2", "2,3"]) {
    await page.getByLabel("Current", { exact: true }).fill(amperes);
    await page.getByRole("button", { name: "Ran as it should" }).click();
    await expect(page.getByLabel("Current", { exact: true })).toHaveValue("");
  }
  await expect(status).toContainText("6 of 6 runs proven");
  await expect(proveStation).toHaveAccessibleName(/done$/);

  // Signed, with the day of the next look; that day stands in the plan and in the calendar's file.
  await visit(page, `/jobs/${jobId}/sign-off`);
  await acknowledgeAll(page);
  const next = new Date(Date.now() + 90 * 86_400_000).toISOString().slice(0, 10);
  await page.getByRole("textbox", { name: "Next date" }).fill(next);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
  await expect(page.getByText(/Not every run that its plan asks for/)).toHaveCount(0);
  await visit(page, "/plan");
  const file = page.waitForEvent("download");
  await page.getByRole("link", { name: "Calendar file" }).click();
  const calendar = new ICAL.Component(ICAL.parse(await readFile(await (await file).path(), "utf8")));
  const event = calendar
    .getAllSubcomponents("vevent")
    .map((one) => new ICAL.Event(one))
    .find(({ summary }) => summary.startsWith("Reel slitter, Rewind drive"));
  expect(`${event?.startDate}`).toBe(next);
});
