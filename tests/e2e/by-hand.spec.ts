import { expect, type Locator, type Page, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/cluster";
import { nameFirstLead, ownStart } from "./own-start";
import { beginJob, closeJob, openJob, typeByHand, visit } from "./steps";

/** Feels with one key until enough is felt, and logs it. */
async function feelAll(page: Page, done: string): Promise<void> {
  const pane = page.getByRole("region", { name: "Feel", exact: true });
  await expect(pane).toBeVisible();
  const enough = pane.getByText("Enough places are felt");
  for (let i = 0; i < 14 && !(await enough.isVisible()); i++) await page.keyboard.press(i === 2 ? "4" : "3");
  await expect(enough).toBeVisible();
  await pane.getByRole("button", { name: done }).click();
}

const own = ownStart();
test.afterAll(own.clear);

const fill = async (page: Page, texts: Record<string, string>) => {
  for (const [label, text] of Object.entries(texts)) await page.getByLabel(label, { exact: true }).fill(text);
};

/** A new user's first machine, with the gears that drive it and one pinion in a drawer. */
async function firstMachine(page: Page): Promise<void> {
  await page.getByRole("link", { name: "Add a machine" }).click();
  await fill(page, { Name: "Sheet feeder", Tag: "SF-7" });
  await page.getByRole("button", { name: /^Save, and enter/ }).click();
  await expect(page.getByRole("heading", { name: /^A stage of the/ })).toBeVisible();
  await page.getByLabel("Name of the stage").fill("Register drive");
  await page.getByRole("radiogroup", { name: "It is a" }).getByText("gear pair", { exact: true }).click();
  await fill(page, {
    "Teeth of the pinion": "21",
    "Teeth of the gear": "63",
    "Module, or DP": "1.5",
    "Centre distance": "63.15",
    "How many": "4",
    "Bolt circle": "60",
    Called: "Motor in slots",
    "+ is called": "away",
    "− is called": "closer",
    Lower: "0.07",
    Upper: "0.16",
    "Source, in words": "Plate",
  });
  await page.getByRole("button", { name: "Save the stage" }).click();
  await expect(page.getByRole("heading", { name: /^Sheet feeder/, level: 1 })).toBeVisible();
  await visit(page, "/stores/new?kind=gear");
  await fill(page, { Name: "Gear m 1.5 z 21", Teeth: "21", "Normal module, mm": "1.5", "How many": "1" });
  await page.getByRole("button", { name: "Into the stores" }).click();
  await expect(page.getByRole("link", { name: "Gear m 1.5 z 21" })).toBeVisible();
}

/** A stage of a ring with its teeth inside, whose pinion stands on shims. */
async function ringStage(page: Page): Promise<void> {
  await visit(page, "/");
  await page.getByRole("link", { name: "Sheet feeder" }).click();
  await page.getByRole("link", { name: "Add a stage" }).click();
  await page.getByLabel("Name of the stage").fill("Slewing pinion");
  await page.getByRole("radiogroup", { name: "It is a" }).getByText("gear pair", { exact: true }).click();
  await page.getByLabel("The gear is a ring with its teeth inside").check();
  await fill(page, { "Teeth of the pinion": "14", "Teeth of the ring": "66", "Module, or DP": "2.5" });
  await page.getByRole("radiogroup", { name: "The part" }).getByText("shims", { exact: true }).click();
  await fill(page, { "Centres a mm of shim": "1", Lower: "0.1", Upper: "0.3", "Source, in words": "Plate" });
  await page
    .getByRole("radiogroup", { name: "One more shim" })
    .getByText(/out of the mesh$/)
    .click();
  await page.getByRole("button", { name: "Save the stage" }).click();
  await expect(page.getByRole("heading", { name: /^Sheet feeder/, level: 1 })).toBeVisible();
}

/** Marks where a print touches both flanks, by depth. */
async function mark(pane: Locator, from: string, to: string): Promise<void> {
  for (const flank of ["Drive", "Coast"]) {
    const field = (edge: string) => pane.getByLabel(`${flank}, ${edge}, %`);
    if (!(await field("depth from").isVisible()))
      await pane
        .getByRole("group", { name: new RegExp(`^${flank} flank`) })
        .getByText("Type it")
        .click();
    for (const [edge, value] of [
      ["depth from", from],
      ["depth to", to],
      ["length from", "10"],
      ["length to", "90"],
    ] as const)
      await field(edge).fill(value);
  }
}

/** Painted, printed, bottomed, a shim added, printed again and cleaned off. */
async function shimByPrint(page: Page, asked: Record<string, string>, apart: string): Promise<void> {
  await page.getByRole("button", { name: "By print" }).click();
  const pane = page.getByRole("region", { name: "Print", exact: true });
  await pane.getByRole("button", { name: "The teeth are painted" }).click();
  for (const [label, text] of Object.entries(asked)) await pane.getByLabel(label).fill(text);
  await mark(pane, "80", "20");
  await pane.getByRole("button", { name: "Round done" }).click();
  await expect(pane.getByRole("alert").first()).toBeVisible();
  await mark(pane, "5", "75");
  await pane.getByRole("button", { name: "Round done" }).click();
  const says = page.getByRole("region", { name: "What it says" });
  await expect(says).toContainText("Too tight, by its print.");
  await expect(says.getByRole("list", { name: "What to do" })).toContainText(apart);
  await says.getByRole("link", { name: "Set it" }).click();
  await says.getByRole("button", { name: "Log what was moved" }).click();
  await says.getByLabel(/how much\?$/).fill("1.4");
  await says.getByRole("button", { name: "Log this move" }).click();
  await expect(page.getByLabel("Tape")).toContainText(/1\.40? mm of shim added/);
  await mark(pane, "40", "95");
  await pane.getByRole("button", { name: "Reading done" }).click();
  await expect(says).toContainText("Right by its print.");
  await pane.getByRole("button", { name: "The paint is cleaned off" }).click();
  await expect(pane.getByRole("button", { name: "The teeth are painted" })).toBeVisible();
}

test("a new user without an instrument: a pinion exchanged, set with paper at the tight spot, felt all round, locked, proven, signed; another shimmed into its ring by print", async ({
  browser,
}) => {
  test.setTimeout(900_000);
  const port = await freePort();
  const started = own.start(port, "--empty");
  await expect.poll(started.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  const page = await browser.newPage({ baseURL: `http://127.0.0.1:${port}`, viewport: { width: 1280, height: 800 } });
  await nameFirstLead(page);
  await firstMachine(page);
  await visit(page, "/");
  const job = await openJob(page, "Sheet feeder", "register drive", "Pinion worn hooked");
  await page.getByRole("button", { name: "By feel" }).click();
  await feelAll(page, "Round done");
  const says = page.getByRole("region", { name: "What it says" });
  await expect(says).toContainText("Right by feel.");

  // The present pair stands first; one of the same teeth from the drawer goes in.
  await page.getByRole("link", { name: "A gear comes out" }).click();
  const table = page.getByRole("table", { name: "The present pair and those that fit" });
  await expect(table.getByRole("row").nth(1)).toContainText("21 : 63now");
  const driver = table.getByRole("row").filter({ hasText: "the driven stays" });
  await driver.getByRole("button", { name: "Put 21 to 63 in" }).click();
  const form = page.getByRole("form", { name: "These go in" });
  await form.getByRole("checkbox", { name: "Faces of the two gears in line" }).check();
  await form.getByRole("checkbox", { name: "Set screw on the flat, or key home" }).check();
  await form.getByLabel("Why").fill("Hooked on the drive side");
  await form.getByRole("button", { name: "They are in" }).click();
  await expect(page).toHaveURL(new RegExp(`/jobs/${job}/set`));
  await expect(page.getByLabel("Tape")).toContainText("Gears exchanged: 21 : 63 in for 21 : 63");

  // What was felt before is the old gear's. Paper at the tight spot: what it says there, and no more.
  await page.getByRole("button", { name: "By paper" }).click();
  const paper = page.getByRole("region", { name: "Paper" });
  await paper.getByRole("button", { name: "The strip is in" }).click();
  await expect(page.getByRole("button", { name: /^Left in and loose: 1 put in/ })).toBeVisible();
  await paper.getByRole("button", { name: /^even/ }).click();
  await paper.getByRole("button", { name: "Reading done" }).click();
  await expect(says).toContainText("Right where paper was tried; tried at too few places to tell.");
  await paper.getByRole("button", { name: "The strip is out" }).click();
  await expect(page.getByRole("button", { name: /^Left in and loose: 0 put in/ })).toBeVisible();

  await page.getByRole("link", { name: "Lock up" }).click();
  const firm = page.getByText("Every clamp is firm.");
  const next = page.getByRole("button", { name: /^Clamp \d (snug|firm)$/ }).and(page.locator(":focus"));
  for (;;) {
    await expect(firm.or(next).first()).toBeVisible();
    if (await firm.isVisible()) break;
    const name = (await next.getAttribute("aria-label")) ?? "";
    await page.keyboard.press("Enter");
    await expect(page.getByRole("button", { name, exact: true }).and(page.locator(":focus"))).toHaveCount(0);
  }
  await page.getByRole("link", { name: "Read the check round" }).click();
  await page.getByRole("button", { name: "By feel" }).click();
  await feelAll(page, "Check round done");
  await expect(says).toContainText("Right by feel.");
  await page.getByRole("link", { name: "Prove it" }).click();

  await page.getByRole("button", { name: "Go live" }).click();
  const dialog = page.getByRole("dialog", { name: "Before power comes on" });
  for (const tick of await dialog.getByRole("checkbox").all()) await tick.check();
  await dialog.getByRole("button", { name: "Go live" }).click();
  await page.getByRole("textbox", { name: "Noise, in words" }).click();
  await typeByHand(page, "even hum");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: /^Forwards, slow:/ })).toContainText("even hum");
  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Sign off" }).click();
  const onePage = page.getByRole("article", { name: "The job on one page" });
  await expect(onePage).toContainText("Right by feel");
  await expect(page.getByRole("checkbox", { name: /left in|No round was read/ })).toHaveCount(0);
  await closeJob(page, job);

  await ringStage(page);
  await visit(page, "/");
  const ring = await openJob(page, "Sheet feeder", "slewing pinion", "Grinds when it is thrown in");
  await shimByPrint(page, { "Face width": "25" }, "Move the teeth apart by 1.5");
  await closeJob(page, ring);
  started.child.kill("SIGINT");
  await started.ends;
});

test("a pinion shimmed into its ring by its print: bottomed, a shim added, printed again, cleaned off", async ({
  page,
}) => {
  const job = await beginJob(page, "Pallet lift", "emergency pinion", "Grinds when it is thrown in");
  await shimByPrint(page, { "Whole depth of the tooth": "5,6" }, "Move the teeth apart by 1.49 mm");
  await closeJob(page, job);
});
