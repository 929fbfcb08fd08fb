import { expect, type Page, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/cluster";
import { nameFirstLead, ownStart } from "./own-start";
import { acknowledgeAll, chooseStage, makeSafe, readRound } from "./steps";

const own = ownStart();
test.afterAll(own.clear);

type Entered = {
  name: string;
  kind: string;
  geometry: Record<string, string>;
  choose?: [group: string, option: string][];
  tick?: string[];
  adjuster: Record<string, string>;
  means?: string;
  limits: Record<string, string>;
  /** Readings that lie inside. */
  reads: string[];
  /** What the form says while one types. */
  shows: RegExp;
};

const clamps = { "How many": "4", "Bolt circle": "80", Screw: "M8", "Full torque": "24" };
const slot = { Called: "Slot", "+ is called": "out", "− is called": "in" };
const source = { "Source, in words": "Plate" };

const stages: Entered[] = [
  {
    name: "Main belt",
    kind: "toothed belt",
    geometry: {
      "Belt pitch": "8",
      "Teeth of the driver": "24",
      "Teeth of the driven": "48",
      "Teeth of the belt": "112",
      "Centre distance": "302.6",
      "Mass a metre": "0.15",
    },
    adjuster: slot,
    limits: { Lower: "150", Upper: "260", ...source },
    // T = 4·0.15·0.301²·f²: 62 Hz is 209 N.
    reads: ["62", "61.5", "62", "62.5"],
    shows: /Teeth in mesh/,
  },
  {
    name: "First reduction",
    kind: "gear pair",
    geometry: {
      "Teeth of the pinion": "21",
      "Teeth of the gear": "63",
      "Module, or DP": "2",
      "Centre distance": "87.17",
      "Helix angle": "15",
    },
    adjuster: slot,
    limits: { Lower: "0.12", Upper: "0.26", ...source },
    reads: Array.from({ length: 12 }, (_, i) => (0.18 + 0.01 * (i % 3)).toFixed(2)),
    shows: /pinion away from the end at which the first member is driven, 27 % of the force/,
  },
  {
    name: "Speed gear",
    kind: "gear pair",
    geometry: {
      "Teeth of the pinion": "24",
      "Teeth of the gear": "36",
      "Module, or DP": "2",
      "Centre distance": "60.2",
    },
    tick: ["It switches between two gears or more"],
    adjuster: slot,
    limits: { Lower: "0.09", Upper: "0.24", ...source },
    reads: Array.from({ length: 12 }, (_, i) => (0.16 + 0.01 * (i % 3)).toFixed(2)),
    shows: /1\.000 \(30 : 30\)/,
  },
  {
    name: "Lift worm",
    kind: "worm and wheel",
    geometry: {
      "Starts of the worm": "1",
      "Teeth of the wheel": "40",
      "Axial module": "2",
      "Pitch diameter of the worm": "28",
      "Centre distance": "54.2",
    },
    adjuster: {
      Called: "Nip screw",
      "+ is called": "in",
      "− is called": "out",
      "Thread, or its lead": "0.75",
      Angle: "180",
    },
    limits: { Lower: "0.08", Upper: "0.2", ...source },
    reads: ["0.13", "0.14", "0.14", "0.15", "0.15", "0.14", "0.14", "0.13"],
    shows: /worm away from the end at which the first member is driven/,
  },
  {
    name: "Feeder chain",
    kind: "roller chain",
    geometry: {
      "Chain pitch": "1/2 in",
      "Teeth of the driver": "17",
      "Teeth of the driven": "23",
      Links: "112",
      "Centre distance": "583.6",
    },
    adjuster: slot,
    limits: {},
    reads: ["15", "16", "17.5", "16"],
    shows: /Unevenness/,
  },
];

const fill = async (page: Page, texts: Record<string, string>) => {
  for (const [label, text] of Object.entries(texts)) await page.getByLabel(label, { exact: true }).fill(text);
};

async function enter(page: Page, stage: Entered): Promise<void> {
  // The first follows on the machine itself.
  if (stage !== stages[0]) await page.getByRole("link", { name: "Add a stage" }).click();
  await expect(page.getByRole("heading", { name: /^A stage of the/ })).toBeVisible();
  await page.getByLabel("Name of the stage").fill(stage.name);
  await page.getByRole("radiogroup", { name: "It is a" }).getByText(stage.kind, { exact: true }).click();
  await fill(page, stage.geometry);
  for (const label of stage.tick ?? []) await page.getByLabel(label).check();
  if (stage.tick) {
    // A switchable gear with one ratio is asked for the others.
    await page.getByLabel("This gear is called").fill("low");
    await page.getByRole("button", { name: "Save the stage" }).click();
    await expect(page.getByText("A switchable gear has two gears or more")).toBeVisible();
    await page.getByRole("button", { name: "Add a gear" }).click();
    for (const [column, typed] of [
      ["Called", "high"],
      ["Pinion", "30"],
      ["Gear", "30"],
    ])
      await page.getByLabel(`Gear 1, ${column}`).fill(typed as string);
  }
  await expect(page.getByRole("region", { name: "The stage" })).toContainText(stage.shows);
  await expect(page.getByRole("img", { name: /to scale$/ })).toBeVisible();
  await fill(page, clamps);
  if (stage.kind === "worm and wheel") await page.getByLabel("It can only push").check();
  await fill(page, stage.adjuster);
  if (Object.keys(stage.limits).length === 0)
    await page.getByRole("button", { name: "Recommend: fill these in" }).click();
  else await fill(page, stage.limits);
  await page.getByRole("button", { name: "Save the stage" }).click();
  await expect(page.getByRole("heading", { name: "Rotary die-cutter", level: 1 })).toBeVisible();
  await expect(page.getByRole("list", { name: "Stages" })).toContainText(stage.name);
}

async function signedJob(page: Page, { name, reads }: Entered): Promise<void> {
  await chooseStage(page, name);
  await page.getByLabel(`Why look at the ${name}?`).fill("First readings");
  await page.keyboard.press("Enter");
  await makeSafe(page, "7");
  await expect(page.getByRole("textbox", { name: /^Reading at/ })).toBeFocused();
  await readRound(page, reads);
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Tape")).toContainText(`As found, ${reads.length} readings`);
  await expect(page.getByText("It reads inside all the way round. Leave it.")).toBeVisible();
  await page.getByRole("link", { name: "Sign off" }).click();
  await acknowledgeAll(page);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
  await page.getByRole("link", { name: "To the machine's logbook" }).click();
  await expect(page.getByRole("heading", { name: "Rotary die-cutter", level: 1 })).toBeVisible();
}

test("from an empty start the rotary die-cutter is entered by hand: ratios, directions, thrusts and lost motion are right, and every stage has a signed job", async ({
  browser,
}) => {
  test.setTimeout(900_000);
  const port = await freePort();
  const started = own.start(port, "--empty");
  await expect.poll(started.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  const page = await browser.newPage({ baseURL: `http://127.0.0.1:${port}`, viewport: { width: 1280, height: 800 } });
  await nameFirstLead(page);
  await page.getByRole("link", { name: "Add a machine" }).click();
  await fill(page, { Name: "Rotary die-cutter", Tag: "RDC-9" });
  await page.getByRole("button", { name: /^Save, and enter/ }).click();
  await expect(page.getByRole("heading", { name: /^A stage of the/ })).toBeVisible();
  for (const stage of stages) await enter(page, stage);

  await page.getByRole("link", { name: "Set up the drive line" }).click();
  await fill(page, { "Turns a minute": "1440", "Torque, N·m": "14.6" });
  const drivenBy = (stage: string, by: string) => page.getByLabel(`${stage} is driven by`).selectOption({ label: by });
  // The chain would drive itself round: that is said at once, and it cannot be saved so.
  await drivenBy("First reduction", "output of Main belt");
  await drivenBy("Main belt", "output of First reduction");
  await expect(page.getByRole("alert")).toContainText("would drive itself round");
  await drivenBy("Main belt", "Motor");
  await drivenBy("Speed gear", "output of First reduction");
  await drivenBy("Lift worm", "output of Speed gear");
  await drivenBy("Feeder chain", "output of Speed gear");
  await page.getByRole("button", { name: "Name an output" }).click();
  await page.getByLabel("Output 1 at").selectOption({ label: "output of Lift worm" });
  await page.getByLabel("Called").fill("Lift");
  await page.getByRole("button", { name: "Name an output" }).click();
  await page.getByLabel("Wheel diameter, mm").nth(1).fill("95");
  await expect(page.getByRole("img", { name: "Drive line to scale, 5 stages" })).toBeVisible();
  // A fan beside it is kept once its rate is said.
  await page.getByRole("button", { name: "A fan or a pump" }).click();
  await page.getByRole("button", { name: "Save the drive line" }).click();
  await expect(page.getByLabel("Its turns a minute")).toHaveAttribute("aria-invalid", "true");
  await page.getByLabel("Its turns a minute").fill("2900");
  await page.getByRole("button", { name: "Save the drive line" }).click();
  await expect(page.getByRole("heading", { name: "Rotary die-cutter", level: 1 })).toBeVisible();

  for (const stage of stages) await signedJob(page, stage);

  await page.getByText("Speeds, torque, directions, lost motion").click();
  const row = (name: string) => page.getByRole("table", { name: "Shafts" }).getByRole("row", { name });
  // 2 · 3 · 1.5 · 40, and the senses: belt as the motor, two external pairs, a right-hand worm.
  await expect(row("Output of Main belt")).toContainText(/2\.000\s*720\.0.*as its motor/);
  await expect(row("Output of First reduction")).toContainText(/6\.000\s*240\.0.*against its motor/);
  await expect(row("Output of Speed gear")).toContainText(/9\.000\s*160\.0.*as its motor/);
  await expect(row("Output of Lift worm")).toContainText(/360\.000\s*4\.0.*against its motor/);
  await expect(row("Output of Feeder chain")).toContainText(/12\.176\s*118\.3.*as its motor/);
  await page.getByText("How often everything comes round").click();
  await expect(
    page.getByRole("table", { name: "Periods" }).getByRole("row", { name: /Fan, beside the drive/ }),
  ).toContainText("48.3");
  // Worm wheel 0.15 mm at 40 mm: 12.9′; speed gear 0.18 mm at 36.12: 17.1′/40; helical pair 0.2 mm at 65.38: 10.5′/60.
  const lift = page.getByRole("region", { name: "Lift" });
  await expect(lift).toContainText(/Lost motion 13\.\d′ at this output\. Work on Lift worm first/);
  // The other gear in: everything behind it runs half as fast again.
  await page.getByRole("link", { name: "Change the drive line" }).click();
  await page.getByLabel("Gear in").selectOption("high");
  await expect(row("Output of Lift worm")).toContainText(/240\.000\s*6\.0/);
  started.child.kill("SIGINT");
  await started.ends;
});
