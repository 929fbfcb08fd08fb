import { expect, type Page, test } from "@playwright/test";
import { beginJob, closeJob, goLive, signIn, visit } from "./steps";

const cell = (page: Page, name: RegExp) => page.getByRole("button", { name });
const tape = (page: Page) => page.getByLabel("Tape");

test("a plan worked off: one turn that stalls, looked into and gone on with, a current beyond its limit, both directions proven, the mark back at zero", async ({
  page,
}) => {
  const job = await beginJob(page, "Slitter-rewinder", "rewind drive", "Bang on stopping");
  await visit(page, `/jobs/${job}/prove`);
  const status = page.getByRole("region", { name: "Runs so far" }).getByRole("status");
  await expect(status).toContainText("0 of 3 runs proven");
  await goLive(page);

  // The clock goes on while the page is away.
  await expect(cell(page, /^One whole turn under power, slow:/)).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("button", { name: "Start the clock" }).click();
  await expect(page.getByRole("timer")).toBeVisible();
  await page.reload();
  await expect(page.getByRole("timer")).toBeVisible();
  await page.getByRole("button", { name: "Stop the clock" }).click();
  await expect(page.getByRole("timer")).toHaveCount(0);
  await page.getByLabel("Ran for").fill("1.4");
  await page.getByLabel("Stalled or stopped at").fill("143");
  await page.getByLabel("Current", { exact: true }).fill("4,1");
  await page.getByRole("button", { name: "Stalled", exact: true }).click();
  const stall = page.getByRole("region", { name: "After the stall" });
  await expect(stall).toContainText("It stalled at 143°: look in this order");
  await stall.getByRole("button", { name: "Nothing there" }).click();
  await expect(stall).toContainText("nothing there");
  await stall.getByRole("button", { name: "Found it" }).click();
  await expect(tape(page)).toContainText("bearing not home: found");
  await stall.getByRole("button", { name: "Go on from 143°" }).click();
  await expect(page.getByLabel("Begun at")).toHaveValue("143");
  await page.getByLabel("Ran for").fill("2,1 min");
  await page.getByLabel("Current", { exact: true }).fill("1.7");
  await page.keyboard.press("Enter");
  await expect(status).toContainText("1 of 3 runs proven");

  // Judged while it is typed, by what the plan allows and what the last run drew.
  await page.getByLabel("Current", { exact: true }).fill("3.4");
  await expect(page.getByRole("list", { name: "Against its limits", exact: true })).toContainText(
    /outside.*at most 3.00 A/,
  );
  await page.keyboard.press("Enter");
  await expect(status).toContainText("Forwards, working (did not go well)");
  await page.getByLabel("Current", { exact: true }).fill("2.2");
  await page.keyboard.press("Enter");
  await expect(cell(page, /^Backwards, working:/)).toHaveAttribute("aria-pressed", "true");
  await page.getByLabel("Current", { exact: true }).fill("2.8");
  await page.keyboard.press("Enter");
  await expect(status).toContainText("3 of 3 runs proven");
  await expect(page.getByRole("list", { name: "Both directions" })).toContainText(
    "Backwards draws 24 % more than forwards",
  );

  await page.getByText("Does it come back to zero?").click();
  const zero = page.getByRole("form", { name: "Back to zero" });
  await zero.getByLabel("Which drive").fill("Rewind, whole turns");
  await zero.getByLabel("Divisions of a turn").fill("24");
  await zero.getByLabel("May miss by ±").fill("5");
  await zero.getByLabel("A reading is good to ±").fill("0.5");
  const forward = zero.getByRole("group", { name: "Driven forwards" });
  await forward.getByRole("textbox").first().fill("-1.2");
  await page.getByRole("button", { name: /^Log/ }).last().click();
  await expect(tape(page)).toContainText("It closes: −1.2′ forwards");
  await closeJob(page, job);
  await visit(page, `/jobs/${job}/sign-off`);
  await expect(page.getByText(/Not every run that its plan asks for/)).toHaveCount(0);
});

test("a plan that nobody had said: proposed from the stage, given limits, kept, and worked by", async ({ page }) => {
  await signIn(page);
  await visit(page, "/");
  await page.getByRole("link", { name: "Sheet feeder", exact: true }).click();
  await page
    .getByRole("link", { name: /^Register drive/ })
    .first()
    .click();
  await page.getByRole("link", { name: "Say what proves it" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Nobody has said what proves the register drive");
  await page.getByRole("button", { name: "Add a limit" }).click();
  await page.getByRole("textbox", { name: /At most/ }).fill("much");
  await page.getByRole("button", { name: "Keep the plan" }).click();
  await expect(page.getByText(/is not a number/)).toBeVisible();
  await page.getByRole("textbox", { name: /At most/ }).fill("2,5");
  await page.getByRole("button", { name: "Keep the plan" }).click();
  await expect(page.getByRole("heading", { name: /^Register drive/, level: 1 })).toBeVisible();
  await expect(page.getByRole("region", { name: "What proves it" })).toContainText("Forwards, slow");
});
