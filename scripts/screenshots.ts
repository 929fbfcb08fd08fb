/**
 * Takes the pictures in docs/screenshots from the demo, on a throwaway cluster and an app of its own. `npm run screenshots`
 */
import { join, resolve } from "node:path";
import { type BrowserContextOptions, chromium, type Page } from "@playwright/test";
import { lead } from "../demo/works";
import { withThrowawayApp } from "./lib/throwaway-app";

const root = resolve(import.meta.dirname, "..");

async function take(base: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: process.getuid?.() === 0 ? ["--no-sandbox"] : [],
  });
  const open = async (options: BrowserContextOptions): Promise<Page> => {
    const context = await browser.newContext({ baseURL: base, locale: "en-GB", ...options });
    const page = await context.newPage();
    await page.goto("/sign-in");
    await page.locator("html[data-hydrated]").waitFor({ state: "attached" });
    await page.getByLabel("Sign-in name").fill(lead.signIn);
    await page.getByLabel("Password").fill(lead.password);
    await page.keyboard.press("Enter");
    await page.getByRole("link", { name: "Rotary die-cutter" }).waitFor();
    return page;
  };
  const shoot = async (page: Page, name: string) => {
    await page.waitForTimeout(500);
    await page.screenshot({ path: join(root, `docs/screenshots/${name}.png`) });
  };
  const tablet = await open({ viewport: { width: 1280, height: 800 } });
  await shoot(tablet, "floor");
  await tablet.getByRole("link", { name: "Rotary die-cutter" }).click();
  await tablet.getByRole("heading", { name: "Logbook" }).waitFor();
  await shoot(tablet, "machine");
  await tablet.getByRole("link", { name: "Change the drive line" }).click();
  await tablet
    .getByRole("heading", { name: /drive line/i })
    .first()
    .waitFor();
  await shoot(tablet, "drive-line");
  await tablet.goBack();
  await placesOf(tablet, (name) => shoot(tablet, name));
  const phone = await open({ viewport: { width: 390, height: 844 }, deviceScaleFactor: 2 });
  await phone.getByRole("link", { name: /^Job open since/ }).click();
  await phone.getByRole("button", { name: "Done as said" }).waitFor();
  await shoot(phone, "job-phone");
  await phone.getByRole("button", { name: "By feel" }).click();
  for (const word of ["small click", "small click", "faint click", "small click"])
    await phone.getByRole("button", { name: new RegExp(word) }).click();
  await shoot(phone, "job-feel");
  await phone.getByRole("button", { name: "Read numbers instead" }).click();
  await phone.getByRole("button", { name: "Done as said" }).waitFor();
  // What is chosen follows to the other tablets a moment later.
  await phone.waitForTimeout(2500);
  await phone.goto("/");
  await phone.getByRole("link", { name: "Strapper" }).click();
  await phone.getByRole("link", { name: "Quick touch" }).click();
  await phone.getByRole("checkbox", { name: /^Safe:/ }).check();
  await shoot(phone, "quick-touch");
  await wholeJob(tablet, (name) => shoot(tablet, name));
  await apartJob(tablet);
  await kindsOnOneSheet(tablet);
  await drawerJob(tablet, (name) => shoot(tablet, name));
  await browser.close();
}

/** The stage on which a job is begun; while another is open the way to it is folded up. */
async function chooseStage(page: Page, stage: string): Promise<void> {
  await page.getByRole("heading", { name: "Logbook" }).waitFor();
  const another = page.getByText("Start another job");
  if (await another.isVisible()) await another.click();
  await page.getByRole("radiogroup", { name: "A job on" }).getByText(stage, { exact: true }).click();
}

/** A lock put on, every caution acknowledged by a press of its own, and confirmed. */
async function makeSafe(page: Page): Promise<void> {
  await page.getByLabel("Number of the lock").fill("12");
  for (const caution of await page.getByRole("list", { name: "Acknowledge each" }).getByRole("checkbox").all())
    await caution.click();
  await page.getByRole("button", { name: /: isolated, lock 12$/ }).click();
}

/** The places beside the job. */
async function placesOf(page: Page, shoot: (name: string) => Promise<void>): Promise<void> {
  const machine = page.url();
  await page.getByRole("link", { name: "Jobs" }).click();
  await page.getByRole("heading", { name: "Open points" }).waitFor();
  const jobs = (await page.screenshot()).toString("base64");
  await page.getByRole("link", { name: "All that falls due" }).click();
  await page.getByRole("link", { name: "Walk it" }).waitFor();
  await onOneSheet(page, "jobs", [jobs, (await page.screenshot()).toString("base64")]);
  await page.getByRole("link", { name: "Jobs" }).click();
  await page.getByRole("heading", { name: "Open points" }).waitFor();
  await page.locator("section[aria-labelledby=done] li a").first().click();
  await page.getByRole("link", { name: "Print" }).click();
  await page.getByRole("table", { name: "Entries" }).waitFor();
  await shoot("record");
  await page.goto("/");
  await page.getByRole("link", { name: "Slitter-rewinder" }).click();
  await page.getByRole("link", { name: /^Knife gears/ }).click();
  await page.getByRole("heading", { name: "Two rounds on one part" }).waitFor();
  await page.waitForTimeout(600);
  await shoot("stage");
  await page.goto("/stores?kind=shim");
  await page.getByRole("table", { name: "shims" }).waitFor();
  await shoot("stores");
  await page.goto("/bench/gear-identify");
  await page.getByRole("region", { name: "Answer" }).waitFor();
  await page.waitForTimeout(500);
  const bench = (await page.screenshot()).toString("base64");
  await page.goto("/practice");
  await page.getByRole("button", { name: /^Begin: The first round/ }).waitFor();
  await onOneSheet(page, "bench", [bench, (await page.screenshot()).toString("base64")]);
  await page.goto(`${machine}/stages/new`);
  await page.locator("html[data-hydrated]").waitFor({ state: "attached" });
  const fields = { "Name of the stage": "Stripper drive", "Teeth of the pinion": "12", "Teeth of the gear": "48" };
  for (const [label, text] of Object.entries({ ...fields, "Module, or DP": "1.5", "Centre distance": "45.2" }))
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.evaluate(() => scrollTo(0, 0));
  await shoot("stage-form");
  await page.goto(machine);
  await page.locator("html[data-hydrated]").waitFor({ state: "attached" });
}

/** A guide with what is in the way of one part, and the list of grease and looks, beside each other; then a strip-down by that guide, built up again, beside a shaft that is filled up. */
async function apartJob(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: "Slitter-rewinder" }).click();
  await page.getByRole("link", { name: "Grease and look lists" }).click();
  await page.getByRole("form", { name: "Looked at" }).waitFor();
  await page.waitForTimeout(500);
  const upkeep = (await page.screenshot()).toString("base64");
  await page.goto("/");
  await page.getByRole("link", { name: "Strapper" }).click();
  await page.getByRole("heading", { name: "Logbook" }).waitFor();
  const machine = page.url();
  await page.goto(`${machine}/guides`);
  await page.getByRole("link", { name: "Tensioner gearbox" }).click();
  await page.getByLabel("To reach", { exact: true }).selectOption({ label: "Bearing, far end" });
  await page.waitForTimeout(700);
  await onOneSheet(page, "guide", [(await page.screenshot()).toString("base64"), upkeep]);
  await page.goto(machine);
  await page.locator("html[data-hydrated]").waitFor({ state: "attached" });
  await chooseStage(page, "Tensioner gears");
  await page.getByLabel("Why look at the tensioner gears?").fill("Knocks again");
  await page.keyboard.press("Enter");
  await makeSafe(page);
  await page.getByRole("link", { name: "Apart", exact: true }).click();
  for (const screws of [/^4 × M5/, /^6 × M4/, "No screws", "No screws"]) {
    await page.getByRole("radio", { name: screws }).click();
    await page.getByRole("button", { name: / is off$/ }).click();
    await page.waitForTimeout(900);
  }
  await page.getByRole("radio", { name: "Put on" }).click();
  await page.getByRole("button", { name: "It is on", exact: true }).click();
  await page.getByRole("button", { name: "Free" }).click();
  await page.getByRole("button", { name: "It is on", exact: true }).click();
  await page.getByRole("button", { name: "Stiff" }).last().click();
  await page.getByText("It binds").waitFor();
  await page.waitForTimeout(500);
  const apart = (await page.screenshot()).toString("base64");
  await page.goto("/");
  await page.getByRole("link", { name: "Sheet feeder" }).click();
  await chooseStage(page, "Feed belts");
  await page.getByLabel("Why look at the feed belts?").fill("Belts climb again");
  await page.keyboard.press("Enter");
  await makeSafe(page);
  await page.getByRole("link", { name: "Put right", exact: true }).click();
  await page.getByLabel("Shaft", { exact: true }).selectOption({ label: "Feed roll shaft" });
  await page.getByLabel("Widths measured with").selectOption({ label: "Caliper 0.02" });
  await page.getByLabel(/^Face to face/).fill("160.02 160.01");
  for (const [i, width] of ["11.98", "30.02", "60.00", "24.98 24.99", "12.00", "12.00"].entries())
    await page.getByRole("textbox", { name: new RegExp(`^${i + 1} [BSC]`) }).fill(width);
  await page.getByRole("radiogroup", { name: "What goes between" }).waitFor();
  await page.getByRole("radiogroup", { name: "What goes between" }).evaluate((list) => list.scrollIntoView());
  await page.waitForTimeout(700);
  await onOneSheet(page, "job-apart", [apart, (await page.screenshot()).toString("base64")]);
}

/** Pictures two beside each other. */
async function onOneSheet(page: Page, name: string, pictures: readonly string[]): Promise<void> {
  const sheet = await page.context().newPage();
  await sheet.setViewportSize({ width: 1610, height: 510 * Math.ceil(pictures.length / 2) });
  await sheet.setContent(
    `<body style="margin:0;display:grid;grid-template-columns:1fr 1fr;gap:10px">${pictures
      .map((picture) => `<img style="width:800px" src="data:image/png;base64,${picture}">`)
      .join("")}</body>`,
  );
  await sheet.waitForTimeout(500);
  await sheet.screenshot({ path: join(root, `docs/screenshots/${name}.png`) });
  await sheet.close();
}

/** A job of each kind that has no picture of its own, two beside each other. */
async function kindsOnOneSheet(page: Page): Promise<void> {
  const jobs = [
    ["Rotary die-cutter", "Lift worm", ["0.16", "0.14", "0.12", "0.13", "0.15"]],
    ["Rotary die-cutter", "Blower belt", ["60", "62", "61"]],
    ["Rotary die-cutter", "Feeder chain", ["22", "24", "23"]],
    ["Strapper", "Tension head", ["11", "12", "14", "13", "12"]],
    ["Pallet lift", "Emergency pinion", ["2.9", "3.3", "3.1"]],
    ["Pallet lift", "Motor coupling", ["0.16"]],
  ] as const;
  const pictures: string[] = [];
  for (const [machine, stage, values] of jobs) {
    await page.goto("/");
    await page.getByRole("link", { name: machine, exact: true }).click();
    await chooseStage(page, stage);
    await page.getByLabel(/^Why look at the .*\?$/).fill("Routine");
    await page.keyboard.press("Enter");
    await makeSafe(page);
    await page.getByRole("textbox", { name: /^Reading at/ }).waitFor();
    for (const value of values) {
      await page.keyboard.type(value);
      await page.keyboard.press("Enter");
    }
    await page.waitForTimeout(700);
    pictures.push((await page.screenshot()).toString("base64"));
  }
  await onOneSheet(page, "job-kinds", pictures);
}

/** Shims behind a bevel gear, chosen from the drawer. */
async function drawerJob(page: Page, shoot: (name: string) => Promise<void>): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: "Folder-gluer" }).click();
  await chooseStage(page, "Cross drive");
  await page.getByLabel("Why look at the cross drive?").fill("Whines");
  await page.keyboard.press("Enter");
  await makeSafe(page);
  await page.getByRole("textbox", { name: /^Reading at tooth 1/ }).waitFor();
  for (const value of ["0.26", "0.27", "0.28", "0.27", "0.26", "0.25", "0.24", "0.25"]) {
    await page.keyboard.type(value);
    await page.keyboard.press("Enter");
  }
  await page.getByRole("button", { name: /^Round done/ }).click();
  await page.getByLabel("What lies in it now").fill("0.5 + 0.3 + 0.2");
  await page.getByRole("button", { name: "Take these, and log it" }).waitFor();
  await page.getByRole("heading", { name: "From the drawer" }).scrollIntoViewIfNeeded();
  await page.getByRole("heading", { name: "From the drawer" }).evaluate((heading) => heading.scrollIntoView());
  await shoot("job-drawer");
}

async function wholeJob(page: Page, shoot: (name: string) => Promise<void>): Promise<void> {
  const read = async (values: readonly string[]) => {
    for (const value of values) {
      await page.keyboard.type(value);
      await page.keyboard.press("Enter");
    }
  };
  await chooseStage(page, "Cutter drive");
  await page.getByLabel("Why look at the cutter drive?").fill("Rattles at start");
  await page.keyboard.press("Enter");
  await makeSafe(page);
  await page.getByLabel("Reading at tooth 1", { exact: true }).waitFor();
  await read(["0.26", "0.26", "0.24", "0.22", "0.21", "0.2", "0.21", "0.21", "0.23", "0.24"]);
  await page.keyboard.type("0.25");
  await shoot("job-as-found");
  await read(["", "0.26", ""]);
  await page.getByRole("button", { name: "Done as said" }).click();
  await page.getByText("Clamp at full torque and read").waitFor();
  await page.keyboard.type("0.13");
  await read(["", ""]);
  await page.getByRole("link", { name: "Lock up" }).last().click();
  await page.getByRole("button", { name: "Clamp 1 snug", exact: true }).waitFor();
  for (let i = 0; i < 14; i++) {
    await page.keyboard.press("Enter");
    await page.waitForTimeout(120);
  }
  await page.waitForTimeout(500);
  const lockUp = (await page.screenshot()).toString("base64");
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press("Enter");
    await page.waitForTimeout(120);
  }
  await page.getByRole("link", { name: "Read the check round" }).click();
  await page.getByLabel("Reading at tooth 1", { exact: true }).waitFor();
  await read(["0.18", "0.18", "0.17", "0.15", "0.14", "0.13", "0.14", "0.14", "0.16", "0.17", "0.18", "0.18", ""]);
  await page.getByRole("link", { name: "Prove it" }).click();
  await page.getByRole("button", { name: "Go live" }).click();
  for (const tick of await page.getByRole("dialog").getByRole("checkbox").all()) await tick.click();
  await page.getByRole("dialog").getByRole("button", { name: "Go live" }).click();
  for (const [current, noise] of [
    ["1.3", "quiet"],
    ["2.2", "even hum"],
  ] as const) {
    await page.getByLabel("Current").fill(current);
    await page.getByLabel("Temperature").fill("31");
    await page.getByLabel("Noise, in words").fill(noise);
    await page.getByRole("button", { name: "Ran as it should" }).click();
  }
  await page.waitForTimeout(700);
  await onOneSheet(page, "job-lock-up", [lockUp, (await page.screenshot()).toString("base64")]);
  await page.getByRole("link", { name: "Sign off" }).last().click();
  await shoot("job-sign-off");
}

await withThrowawayApp(({ base }) => take(base));
