import { expect, type Page, test } from "@playwright/test";
import { awake, signIn, visit } from "./steps";

/*
 * Every figure of the screens in both systems: what a reader of inches is told is the same length or force, never another number under
 * the other unit's name.
 */
type Figure = { value: number; unit: string; text: string };
const perUnit: Record<string, number> = { mm: 25.4, N: 4.4482216 };
const inches: Record<string, string> = { mm: "in", N: "lbf" };

/** Figures with their unit, both ends of a range, in the order in which they stand. */
function figuresIn(text: string): Figure[] {
  const found = text.matchAll(/([−-]?\d+(?:\.\d+)?)(?: to ([−-]?\d+(?:\.\d+)?))?[  ](mm|in|N|lbf)\b(?!·)/g);
  return [...found].flatMap(([all, from, to, unit = ""]) =>
    [from, to].flatMap((figure) =>
      figure === undefined ? [] : [{ value: Number(figure.replace("−", "-")), unit, text: all }],
    ),
  );
}

/** Figures as somebody else gave them, in the unit in which they were given: limits and their source, a pitch, a certificate, a model, an answer of the Bench. */
const asGiven =
  /^(Limits|Revise|\d+(\.\d+)? to \d.*aim|.*(, serial |pitch |long\.|certificate|span of|make over|Set it up slack|The movable shaft stands)|V-belt|Toothed belt)/;

/** What a move does for each millimetre or inch of it: lengths to lengths are the same in both. */
const perMove = /\b(an?|each) (mm|in)\b/;

/** The key under which a dial's divisions are typed, for a reader of inches too. */
const aKey = "0.01 mm";

const fetchedWhenOpened = [
  ["Numbers behind this", "Uncertainty of a reading"],
  ["Also measure:", "A reading by the"],
  [", at the pitch circle", "Tip at radius"],
] as const;

/** Opens every fold, and those that lie in them: what is in one is made when it is opened. */
async function openFolds(page: Page): Promise<void> {
  await expect(async () => {
    const left = await page.evaluate(() => {
      const folds = [...document.querySelectorAll("details")];
      const notYet = folds.filter((fold) => !fold.open || fold.childNodes.length < 2);
      for (const fold of notYet) fold.open = true;
      return notYet.length;
    });
    expect(left).toBe(0);
  }).toPass();
}

async function read(page: Page, path: string): Promise<Figure[]> {
  await visit(page, path);
  await expect(
    page
      .getByRole("main")
      .or(page.getByRole("region", { name: "Next move" }))
      .first(),
  ).toBeVisible();
  await expect(page.getByText("Looking for what was typed before")).toHaveCount(0);
  await expect(page.locator("[aria-busy=true]")).toHaveCount(0);
  await openFolds(page);
  // What lies in some folds is fetched when they are opened.
  await expect(page.locator("[aria-busy=true]")).toHaveCount(0);
  for (const [fold, part] of fetchedWhenOpened)
    if ((await page.getByText(fold).count()) > 0) await expect(page.getByText(part).first()).toBeVisible();
  // biome-ignore lint/performance/useDomNodeTextContent: only what is seen counts, and line by line
  const lines = (await page.locator("body").innerText()).split("\n");
  return lines
    .filter((line) => !asGiven.test(line.trim()) && !perMove.test(line) && line.trim() !== aKey)
    .flatMap(figuresIn);
}

async function speakIn(page: Page, units: "metric" | "inch" | "machine"): Promise<void> {
  await visit(page, "/account");
  await page.getByLabel("Units").selectOption(units);
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("Kept.")).toBeVisible();
}

// As it was, whatever came of it.
test.afterEach(({ page }) => speakIn(page, "machine"));

test("every figure of floor, machine, stage, job and record is the same in millimetres and in inches", async ({
  page,
}) => {
  await signIn(page);
  await awake(page);
  await expect(page.getByRole("link", { name: "Rotary die-cutter" })).toBeVisible();
  const links = await page.getByRole("link").evaluateAll((all) => all.map((link) => link.getAttribute("href") ?? ""));
  const some = (start: string, count: number) =>
    [...new Set(links.filter((href) => href.startsWith(start)))].slice(0, count);
  const paths = ["/", ...some("/machines/", 2), ...some("/stages/", 8), ...some("/jobs/", 1)];
  const metric = new Map<string, Figure[]>();
  await speakIn(page, "metric");
  for (const path of paths) metric.set(path, await read(page, path));
  await speakIn(page, "inch");
  let compared = 0;
  for (const path of paths) {
    const there = await read(page, path);
    const here = metric.get(path) ?? [];
    expect(
      there.map(({ unit, text }) => (unit === "mm" || unit === "N" ? text : unit)),
      path,
    ).toEqual(here.map(({ unit }) => inches[unit] ?? unit));
    for (const [i, { value, unit, text }] of here.entries()) {
      const other = there[i] as Figure;
      // Each is rounded for its own system: half of the last digit of either.
      const step = (figure: string) => 10 ** -(/\.(\d+)/.exec(figure)?.[1]?.length ?? 0);
      const off = Math.abs(other.value * (perUnit[unit] ?? 1) - value);
      expect(off, `${path}: ${text} and ${other.text}`).toBeLessThanOrEqual(
        0.51 * (step(String(text)) + step(String(other.text)) * (perUnit[unit] ?? 1)) + 1e-9,
      );
      compared++;
    }
  }
  expect(compared).toBeGreaterThan(200);
});
