import { expect, test } from "@playwright/test";
import { anotherTablet, awake, beginJob, closeJob, makeSafe, readRound, signIn, visit } from "./steps";

test("leaving in the middle: back on this tablet and taken up on another one, with nothing lost", async ({
  page,
  browser,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Called away");
  await readRound(page, ["0.10", "0.12"]);
  await page.keyboard.type("0.1");
  await expect(page.getByRole("status").filter({ hasText: /^Kept \d/ })).toBeVisible();
  await page.getByRole("link", { name: "HARMOSTAT" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("outside");
  await page.getByRole("link", { name: /^Job open since .*cam drive/ }).click();
  await expect(page.getByRole("textbox", { name: /^Reading at tooth|^Every place/ })).toHaveValue("0.1");
  await expect(page.getByRole("list", { name: /Readings so far/ }).getByRole("listitem")).toHaveCount(2);

  // The draft goes to the server shortly after the last sign typed; another tablet then takes it up.
  const other = await anotherTablet(browser);
  await expect(async () => {
    await signIn(other, `/jobs/${job}/as-found`);
    await expect(other.getByRole("textbox", { name: /^Reading at tooth/ })).toHaveValue("0.1", { timeout: 2000 });
  }).toPass({ timeout: 90_000 });
  await other.context().close();
  await page.getByRole("button", { name: "Next tooth" }).click();
  await page.getByRole("button", { name: /^Round done with 3/ }).click();
  await closeJob(page, job);
});

test("how it is read is told with every reading: thou, a tip at another radius, an inclined lever, a finer instrument", async ({
  page,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Method");
  const field = page.getByRole("textbox", { name: /^Reading at tooth|^Every place/ });
  await page.getByRole("radio", { name: "thou" }).click();
  await expect(field).toBeFocused();
  await page.keyboard.type("5");
  await expect(page.getByRole("status").filter({ hasText: "0.127 mm" })).toBeVisible();
  await page.keyboard.press("Enter");
  const list = page.getByRole("list", { name: /Readings so far/ });
  await expect(list).toContainText("5 thou");

  // At half the working radius every reading is worth twice as much.
  await page
    .getByText(/^Lever indicator 0\.01/)
    .first()
    .click();
  await page.getByLabel("Instrument").selectOption({ label: "Dial indicator 0.002" });
  await page.getByLabel("Tip at radius").fill("25.592");
  await page.getByLabel("Temperature").fill("warm");
  await expect(page.getByRole("alert")).toContainText("“warm” is not a number");
  await page.getByLabel("Temperature").fill("75 °F");
  await field.focus();
  await readRound(page, ["4", "4.5"]);
  await page.getByRole("button", { name: /^Round done with 3/ }).click();
  await expect(page.getByLabel("Tape")).toContainText("As found, 3 readings: 0.20 to 0.25 mm");
  await expect(page.getByText("Dial indicator 0.002, at 25.592 mm, 24 °C")).toBeVisible();
  await closeJob(page, job);
});

test("hands in a live machine are warned, going back asks to make safe again, and a clamp may be taken out of turn", async ({
  page,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Live");
  await page.getByRole("link", { name: "Lock up" }).click();
  await page.getByRole("button", { name: "Clamp 3, not known" }).press("Enter");
  await expect(page.getByRole("button", { name: "Clamp 3, snug" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Clamp 1 snug", exact: true })).toBeVisible();

  await page.getByRole("button", { name: "Isolated, lock 31", exact: true }).click();
  const dialog = page.getByRole("dialog", { name: "Before power comes on" });
  await expect(dialog).toContainText("Logged: clamp 3 snug");
  for (const tick of await dialog.getByRole("checkbox").all()) await tick.click();
  await dialog.getByRole("button", { name: "Go live" }).click();
  await expect(page.getByRole("alert")).toContainText("It is live. Make safe before hands go in.");
  await expect(page.getByLabel("Tape")).toContainText("Seen then: clamp 3 snug");
  await page.getByRole("alert").getByRole("link", { name: "Make safe" }).click();
  await makeSafe(page, "32");
  await expect(page.getByRole("button", { name: "Isolated, lock 32", exact: true })).toBeVisible();
  await expect(page.getByRole("textbox", { name: /^Reading at tooth/ })).toBeFocused();
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with 3/ }).click();
  await closeJob(page, job);
});

test("a correction that voids a round changes how the stage stands, and both stay in the logbook", async ({ page }) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Wrong gear");
  await readRound(page, ["0.13", "0.13", "0.13", "0.13"]);
  await page.getByRole("button", { name: /^Round done with 4/ }).click();
  await closeJob(page, job);
  await page.getByRole("link", { name: "To the machine's logbook" }).click();
  const gauge = page.getByRole("img", { name: /^Cam drive: / });
  await expect(gauge).toHaveAccessibleName(/0\.13 mm, .*inside$/);
  const logbook = page.getByRole("region", { name: "Logbook" });
  await logbook.getByRole("button", { name: /As found, 4 readings/ }).click();
  await logbook.getByRole("button", { name: /^Correct entry/ }).click();
  await logbook.getByLabel("What is right?").fill("Read on the spare");
  await logbook.getByLabel("It does not count at all").check();
  await logbook.getByRole("button", { name: "Add the correction" }).click();
  await expect(logbook.getByText("Read on the spare").first()).toBeVisible();
  await expect(gauge).not.toHaveAccessibleName(/0\.13 mm, /);
  await expect(logbook.locator("s", { hasText: "As found, 4 readings" })).toBeVisible();
});

test("the room is remembered, and the logbook pages back to the first entry", async ({ page }) => {
  await signIn(page);
  await page.getByRole("button", { name: "Dark room" }).click();
  await awake(page);
  await expect(page.locator("html")).toHaveAttribute("data-room", "dark");
  await visit(page, "/");
  await expect(page.locator("html")).toHaveAttribute("data-room", "dark");
  await page.getByRole("link", { name: "Rotary die-cutter" }).click();
  await expect(page.getByRole("heading", { name: "Logbook" })).toBeVisible();
  const machine = new URL(page.url()).pathname;
  const older = page.getByRole("link", { name: "Older" });
  let pages = 1;
  // Every other test that works on this machine makes its logbook longer: the end is where no older page is offered.
  for (; pages < 200 && (await older.count()) > 0; pages++) {
    await visit(page, new URL((await older.getAttribute("href")) ?? "", page.url()).href);
    expect(new URL(page.url()).pathname).toBe(machine);
  }
  expect(pages).toBeGreaterThan(2);
  await expect(page.getByText("Entered as Rotary die-cutter")).toBeVisible();
  await expect(page.getByRole("link", { name: "Newest" })).toBeVisible();
});
