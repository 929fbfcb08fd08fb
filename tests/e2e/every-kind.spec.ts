import { expect, type Page, test } from "@playwright/test";
import { beginJob, closeJob, readRound } from "./steps";

const tape = (page: Page) => page.getByLabel("Tape");
const nextMove = (page: Page) => page.getByRole("region", { name: "Next move" });

/** Something read beside the round, through its pane. */
async function readBeside(page: Page, what: string, values: Record<string, string>): Promise<void> {
  const pane = page.getByRole("group").filter({ hasText: "Also measure:" }).last();
  const kind = pane.getByRole("combobox", { name: "What", exact: true });
  if (!(await kind.isVisible())) await pane.getByText("Also measure:").click();
  await kind.selectOption({ label: what });
  for (const [label, value] of Object.entries(values)) await pane.getByLabel(label, { exact: true }).fill(value);
  await pane.getByRole("button", { name: `Log the ${what.toLowerCase()}` }).click();
}

test("a worm whose screw only pushes: in parts with a free turn between, its end float apart from the mesh", async ({
  page,
}) => {
  const job = await beginJob(page, "Rotary die-cutter", "lift worm", "Knock at the lift");
  await readRound(page, ["0.30", "0.31", "0.33", "0.32", "0.30", "0.31", "0.30", "0.29", ""]);
  await expect(nextMove(page)).toContainText(/Stand the wheel with tooth \d+, the tight spot, at the worm/);
  const parts = nextMove(page).getByRole("listitem");
  await expect(parts.first()).toHaveText(/^Push .+, then read again\.$/);
  await expect(parts.last()).toContainText("turn the worm 40 turns by hand, one turn of the output");
  await expect(parts.filter({ hasText: /\b0 turns/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Done as said" }).click();
  await expect(tape(page)).toContainText(/Nip screw .* in/);

  await readBeside(page, "End float", { "Pushed one way, pulled the other": "0.12" });
  await expect(page.getByText("no mesh adjustment takes it away")).toBeVisible();
  await expect(tape(page)).toContainText("End float 0.12 mm");
  await closeJob(page, job);
});

test("a belt by its frequency: screws on both sides alike, and the other belt on the same motor is noted", async ({
  page,
}) => {
  const job = await beginJob(page, "Rotary die-cutter", "blower belt", "Squeals when it starts");
  await expect(nextMove(page)).toContainText("two turns by hand");
  await readRound(page, ["50", "51", "49", "50", ""]);
  await expect(nextMove(page)).toContainText(/turns? on both screws alike/);
  await expect(nextMove(page)).toContainText(/It also moves the Main belt/);
  await page.getByRole("button", { name: "Done as said" }).click();
  await expect(tape(page)).toContainText("Motor base screws");
  await closeJob(page, job);
  await page.getByRole("link", { name: "To the machine's logbook" }).click();
  const logbook = page.getByRole("region", { name: "Logbook" });
  await expect(logbook).toContainText("Motor base screws of the blower belt was moved");
  await expect(
    page.getByRole("list", { name: "Stages" }).getByRole("listitem").filter({ hasText: "Main belt" }),
  ).toContainText(/moved since|not known|read it again/i);
});

test("a set of V-belts: each belt is read, by force, and the cradle is swung at its lever", async ({ page }) => {
  const job = await beginJob(page, "Sheet feeder", "feed belts", "Belts replaced");
  await expect(nextMove(page)).toContainText("Read each of the 3 belts at 2 places.");
  await page.getByText("Frequency meter").first().click();
  await page.getByLabel("What is measured").selectOption({ label: "Force for a deflection" });
  await page.getByLabel("Pressed in by").fill("5");
  await page.keyboard.press("Escape");
  await page.getByRole("textbox", { name: /^Reading at belt 1, the mark/ }).focus();
  await readRound(page, ["4.1", "4.2", "3.8", "3.9", "4.5", "4.4", ""]);
  await expect(tape(page)).toContainText("As found, 6 readings");
  await expect(page.getByRole("region", { name: "The set" })).toContainText(/% between belt 2 and belt 3/);
  await expect(nextMove(page)).toContainText(/Motor cradle .* mm at the lever/);
  await closeJob(page, job);
});

test("a chain: its sag where it is tightest, its elongation with a verdict, a joint put in for now asked for at signing", async ({
  page,
}) => {
  const job = await beginJob(page, "Rotary die-cutter", "feeder chain", "New link let in");
  await readRound(page, ["26", "24", "25", "27", ""]);
  await expect(nextMove(page)).toContainText(
    /Bring .+, the tightest place of the chain, to the middle of the slack span/,
  );
  await expect(page.getByRole("img", { name: /sag/i }).first()).toBeVisible();
  await readBeside(page, "Elongation", { "Pitches counted": "20", "Over the counted pitches": "262,2" });
  await expect(tape(page)).toContainText(/Elongation 3\.23 %: outside/);
  await page.getByRole("button", { name: /^Left in and loose/ }).click();
  await page.getByRole("dialog").getByRole("button", { name: "+ temporary joint" }).click();
  await page.keyboard.press("Escape");
  await page.getByRole("link", { name: "Sign off" }).click();
  await expect(page.getByRole("checkbox", { name: /Something is left in/ })).toBeVisible();
  await closeJob(page, job);
});

test("an upright chain has no rule for its sag and is judged by its wear; its slack is set by hand", async ({
  page,
}) => {
  const job = await beginJob(page, "Pallet lift", "column chain", "Yearly");
  await expect(nextMove(page)).toContainText("A steep run has no rule for its sag");
  await readRound(page, ["325.2", "325.3", "325.2", "325.4", ""]);
  await expect(nextMove(page)).toContainText(/Wear cannot be adjusted away/);
  await expect(page.getByRole("button", { name: "Done as said" })).toHaveCount(0);
  const slack = page.getByRole("region", { name: "Its slack, by hand" });
  await slack.getByLabel("Moves to and fro, in all").fill("60");
  await expect(slack).toContainText(/It has 3\.3 % of slack\. Slotted roller [\d.]+ mm further in/);
  await slack.getByRole("button", { name: "Took it up so" }).click();
  await expect(tape(page)).toContainText(/Slotted roller .* further in/);
  await closeJob(page, job);
});

test("a planetary set says what cannot be adjusted; a gap takes the shims that it needs and reads right after", async ({
  page,
}) => {
  const planetary = await beginJob(page, "Strapper", "tension head", "Backlash at the wheel");
  await readRound(page, ["0.03", "0.03", "0.04", "0.03", "0.03", "0.04", "0.03", "0.03", ""]);
  await expect(nextMove(page)).toContainText("Nothing on a planetary set can be adjusted");
  await closeJob(page, planetary);

  const gap = await beginJob(page, "Pallet lift", "screw end float", "Knocks when it turns back");
  await readRound(page, ["0.32", ""]);
  await expect(nextMove(page)).toContainText(/Spacers behind the nut: add .* mm of spacer/);
  await page.getByRole("button", { name: "Did something else" }).click();
  await page.getByLabel("Spacers behind the nut: how much?").fill("0.2");
  await page.keyboard.press("Enter");
  await expect(tape(page)).toContainText(/0\.20 mm of spacer added/);
  await readRound(page, ["0.12", ""]);
  await expect(nextMove(page)).toContainText("It reads inside");
  await closeJob(page, gap);
});

test("a coupling is judged by the swing of a dial on its rim; its feet are set as rim and face say, and nothing is shimmed after readings that do not close", async ({
  page,
}) => {
  const job = await beginJob(page, "Pallet lift", "motor coupling", "Motor changed");
  await expect(nextMove(page)).toContainText("Read the offset of the shafts.");
  await readRound(page, ["0.39", ""]);
  await expect(nextMove(page)).toContainText(/its feet are shimmed and moved.* It reads outside/);
  const line = page.getByRole("region", { name: "Shafts in line, by rim and face" });
  // Handbook of axes and frames: 0.19 down, 0.05 left, 1.00 and 0.17 mm a metre; shims 0.01 and −0.27, side 0.02 and −0.03.
  const rim = { top: "0", right: "0.11", bottom: "0.32", left: "0.28" };
  const face = { top: "0", right: "-0.05", bottom: "-0.12", left: "-0.07" };
  for (const [place, typed] of Object.entries(rim)) await line.getByLabel(`Rim, ${place}`).fill(typed);
  for (const [place, typed] of Object.entries(face)) await line.getByLabel(`Face, ${place}`).fill(typed);
  await line.getByLabel("Face read on a diameter of").fill("120");
  await line.getByLabel("Sag of the rim's bracket").fill("-0.06");
  await expect(line).toContainText(/differ from right and left together by 0\.07 mm/);
  await expect(line.getByRole("button", { name: "Set the feet so" })).toHaveCount(0);
  await line.getByLabel("Rim, left").fill("0.21");
  await expect(line).toContainText("stands 0.19 mm low and 0.05 mm to the left");
  await expect(line).toContainText("rises 1.00 mm and goes right 0.17 mm a metre");
  await expect(line).toContainText("Front feet: 0.01 mm of shim in, 0.02 mm to the right.");
  await expect(line).toContainText("Rear feet: 0.27 mm of shim out, 0.03 mm to the left.");
  await line.getByRole("button", { name: "Set the feet so" }).click();
  await expect(tape(page)).toContainText(/feet 0\.27 mm of shim taken out/);
  await expect(tape(page)).toContainText("Rear feet: 0.27 mm of shim out");
  await readRound(page, ["0.08", ""]);
  await expect(nextMove(page)).toContainText("It reads inside");
  await closeJob(page, job);
});

test("a bevel gear between shims: carried from side to side without the drawer, and both stacks known at the next visit", async ({
  page,
}) => {
  const job = await beginJob(page, "Folder-gluer", "cross drive", "Whines");
  await readRound(page, ["0.03", "0.04", "0.05", "0.03", "0.04", "0.05", "0.03", "0.04", ""]);
  await expect(nextMove(page)).toContainText(/Shims behind the gear: take out .* mm of shim/);
  await page.getByLabel("What lies in it now").fill("0.45 + 0.25 + 0.12");
  await page.getByText("It lies between shims on both sides").click();
  await page.getByLabel("What lies on the other side").fill("0.35 + 2 × 0.12");
  await page.keyboard.press("Tab");
  await expect(page.getByRole("img", { name: /^Other side, \d pieces? of/ })).toBeVisible();
  await page.getByRole("button", { name: "Carry these over, and log it" }).click();
  await expect(tape(page)).toContainText(/Shims behind the gear 0\.\d+ mm of shim taken out/);
  await closeJob(page, job);

  const next = await beginJob(page, "Folder-gluer", "cross drive", "Still whines");
  await readRound(page, ["0.03", "0.04", "0.05", "0.03", "0.04", "0.05", "0.03", "0.04"]);
  await page.getByRole("button", { name: /^Round done/ }).click();
  const [here, other] = [page.getByLabel("What lies in it now"), page.getByLabel("What lies on the other side")];
  const pieces = async () => `${await here.inputValue()} + ${await other.inputValue()}`;
  await expect(other).toBeVisible();
  const sum = (await pieces()).split("+").reduce((all, piece) => {
    const [count, size] = piece.includes("×") ? piece.split("×") : ["1", piece];
    return all + Number(count) * Number(size);
  }, 0);
  expect(sum).toBeCloseTo(0.45 + 0.25 + 0.12 + 0.35 + 2 * 0.12, 9);
  await closeJob(page, next);
});

test("a roller in a row of holes: with the barrels at hand both are one adjuster, and both are in the log", async ({
  page,
}) => {
  const job = await beginJob(page, "Strapper", "infeed belt", "Slips");
  await readRound(page, ["70", "71", "72", "71", ""]);
  await expect(nextMove(page)).toContainText(/Roller holes (one hole|\d+ holes) further in/);
  const pane = page.getByRole("region", { name: "Holes and barrels together" });
  await pane.getByLabel("Barrel on it now").fill("30");
  await pane.getByLabel("Barrels at hand").fill("28 wide");
  await expect(pane.getByText("“wide” is not a number", { exact: false }).or(pane.getByRole("alert"))).toBeVisible();
  await pane.getByLabel("Barrels at hand").fill("28 31 32");
  const best = pane.getByRole("list", { name: "The best of them" }).getByRole("listitem");
  await expect(best).toHaveCount(3);
  await best.filter({ hasText: "a barrel of" }).getByRole("button", { name: "Did this" }).first().click();
  await expect(tape(page)).toContainText(/Roller holes .*further in: .*barrel of \d\d\.0 mm/);
  await closeJob(page, job);
});
