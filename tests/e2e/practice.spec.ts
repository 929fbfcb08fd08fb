import { expect, type Page, test } from "@playwright/test";
import { makeSafe, signIn, visit } from "./steps";

const begin = async (page: Page, lesson: string) => {
  await page.getByRole("button", { name: `Begin: ${lesson}` }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Practice machine");
};
const bench = (page: Page) => page.getByRole("complementary", { name: "Practice machine" });

/** Taps as the lamp lights up, as somebody does who watches it: faster than anybody could ask for it from outside. */
const tapWithLamp = async (page: Page, taps: number) => {
  const tap = await page.getByRole("button", { name: "Tap with the noise" }).elementHandle();
  await bench(page)
    .getByRole("img")
    .evaluate(
      (lamp, { tap: key, taps: wanted }) =>
        new Promise<void>((done) => {
          let tapped = 0;
          const watch = new MutationObserver(() => {
            if (lamp.getAttribute("aria-label") !== "Knock") return;
            key?.dispatchEvent(new PointerEvent("pointerdown", { bubbles: true }));
            tapped++;
            if (tapped < wanted) return;
            watch.disconnect();
            done();
          });
          watch.observe(lamp, { attributes: true, attributeFilter: ["aria-label"] });
        }),
      { tap, taps },
    );
};

test("from the help to the first lesson: read with simulated instruments, moved as advised, compared with an expert; and nothing of it is real", async ({
  page,
}) => {
  await signIn(page);
  await visit(page, "/");
  await page.keyboard.press("?");
  await page.getByRole("link", { name: "New to it? Practise where nothing is real" }).click();
  await begin(page, "The first round");
  await expect(page.getByRole("region", { name: "Practice" })).toContainText("Nothing here is real");
  await page.getByLabel(/^Why look at/).fill("Rattles");
  await page.keyboard.press("Enter");
  await makeSafe(page, "7");
  const reading = page.getByRole("button", { name: "Take a reading" });
  await expect(reading).toBeVisible();
  for (let place = 1; place <= 12; place++) {
    await reading.click();
    if (place < 12) await expect(page.getByText(new RegExp(`${place + 1} of 12`)).first()).toBeVisible();
  }
  await page.getByRole("button", { name: /^Round done/ }).click();
  // The same deed again after the bench lost its network is done once.
  await page.context().setOffline(true);
  await bench(page).getByRole("button", { name: "Wait 15 minutes" }).click();
  await expect(bench(page).getByRole("alert")).toBeVisible();
  await page.context().setOffline(false);
  await bench(page).getByRole("button", { name: "Wait 15 minutes" }).click();
  await expect(bench(page).getByRole("status").first()).toHaveText("15 minutes later.");

  // Nothing of it leaves: the sheet of the job is not to be had.
  const job = page.url().replace(/(\/jobs\/[^/]+).*/, "$1");
  await page.goto(`${job}/record`);
  await expect(page.getByRole("alert")).toContainText("nothing of a practice leaves it");
  await page.getByRole("button", { name: "It is set right: what came of it" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("It is not right yet");
  const compared = page.getByRole("region", { name: "How it went" });
  await expect(compared.getByRole("row", { name: /^Readings 12/ })).toBeVisible();
  await expect(compared.getByRole("row", { name: /^Minutes of work 27/ })).toBeVisible();
  await expect(compared).toContainText("Left outside of its limits");
  await expect(page.getByRole("region", { name: "What was hidden" })).toContainText("slipped by");
  await expect(page.getByRole("region", { name: "What somebody who knows the trade does" })).toContainText(
    "Reads 12 places round",
  );

  await page.getByRole("button", { name: "Leave practice" }).click();
  await expect(page.getByRole("link", { name: "Rotary die-cutter", exact: true }).first()).toBeVisible();
  await expect(page.getByRole("region", { name: "Practice" })).toBeHidden();
  await expect(page.getByText("Practice machine")).toBeHidden();
  await visit(page, "/records?words=Rattles&person=");
  await expect(page.getByText("practising")).toBeHidden();
  await visit(page, "/practice");
  await page.getByText("What came of one try").click();
  await expect(page.getByRole("list", { name: "Tries" })).toContainText("The first round");
});

test("a knock is timed by its lamp, traced to its part, renewed, and quiet then", async ({ page }) => {
  await signIn(page, "/practice");
  await begin(page, "A knock in the line");
  await visit(page, `${new URL(page.url()).pathname}/why`);
  await bench(page).getByRole("button", { name: "Run it and listen" }).click();
  await expect(bench(page).getByRole("button", { name: "Stop it" })).toBeVisible();
  await tapWithLamp(page, 6);
  await expect(page.getByRole("form", { name: "What does it do?" })).toContainText("a minute, ±");
  await bench(page).getByRole("button", { name: "Stop it" }).click();
  await page.getByRole("button", { name: "knock", exact: true }).click();
  await page.getByRole("button", { name: "Keep it, and go after it" }).click();
  await expect(page.getByRole("heading", { name: "Knock", level: 1 })).toBeVisible();

  // Opened and looked at, one part after the other, until it is seen.
  await bench(page).getByLabel("What to try").selectOption("Isolate, open, and look: 15 minutes");
  const parts = bench(page).getByLabel("Part of the line");
  const all = await parts.getByRole("option").allInnerTexts();
  let seen = "";
  for (const part of all) {
    await parts.selectOption(part);
    const told = page.waitForResponse((response) => response.url().endsWith("/acts"));
    await bench(page).getByRole("button", { name: "Try it" }).click();
    const { answer } = await (await told).json();
    if (!answer.yes) continue;
    seen = part;
    break;
  }
  expect(seen).not.toBe("");
  await expect(bench(page)).toContainText("There: a broken place on");
  await bench(page).getByRole("button", { name: "Renew a part" }).click();
  await bench(page).getByLabel("Which part").selectOption(seen);
  await bench(page)
    .getByRole("button", { name: /^Have it renewed/ })
    .click();
  await expect(bench(page)).toContainText("is new");
  await bench(page).getByRole("button", { name: "Run it and listen" }).click();
  await expect(bench(page)).toContainText("It runs quietly");
  await page.getByRole("link", { name: "The lesson" }).click();
  await page.getByRole("button", { name: "It is set right: what came of it" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Set right");
  await expect(page.getByRole("region", { name: "How it went" })).toContainText("Nothing that would have cost");
  await page.getByRole("button", { name: "Leave practice" }).click();
  await expect(page.getByRole("region", { name: "Practice" })).toBeHidden();
});
