import { expect, test } from "@playwright/test";
import { awake, chooseStage, readRound, typeByHand, visit } from "./steps";

test("a whole job with only a keyboard: safe, read, moved, read, locked, checked, proved, signed, found in the logbook", async ({
  page,
}) => {
  const press = (key: string) => page.keyboard.press(key);
  const tabTo = async (name: RegExp) => {
    for (let i = 0; i < 40; i++) {
      const focused = await page.evaluate(() => {
        const at = document.activeElement;
        return at?.getAttribute("aria-label") ?? at?.textContent ?? "";
      });
      if (name.test(focused)) return;
      await press("Tab");
    }
    throw new Error(`${name} is not reached by Tab`);
  };

  await visit(page, "/");
  await page.keyboard.type("lead");
  await press("Tab");
  await page.keyboard.type("carton works");
  await press("Enter");
  await expect(page.getByRole("heading", { level: 1 })).toContainText("outside");
  await tabTo(/^Rotary die-cutter$/);
  await press("Enter");
  await expect(page.getByRole("heading", { name: "Rotary die-cutter", level: 1 })).toBeVisible();
  await chooseStage(page, "cutter drive");
  await page.getByLabel("Why look at the cutter drive?").focus();
  await page.keyboard.type("Rattles at start");
  await press("Enter");

  // Make safe: the lock's number has the focus.
  await expect(page.getByRole("heading", { name: "Make safe before anything is touched" })).toBeVisible();
  await expect(page.getByLabel("Number of the lock")).toBeFocused();
  await typeByHand(page, "12");
  await press("Enter");
  const cautions = page.getByRole("list", { name: "Acknowledge each" }).getByRole("checkbox");
  await expect(cautions.first()).toBeFocused();
  for (let i = 0; i < (await cautions.count()); i++) {
    await expect(cautions.nth(i)).toBeFocused();
    await press("Enter");
  }
  await expect(page.getByRole("button", { name: /: isolated, lock 12$/ })).toBeFocused();
  await press("Enter");
  await expect(page.getByRole("button", { name: "Isolated, lock 12", exact: true })).toBeVisible();

  // As found: the field keeps the focus; the advice follows every keystroke.
  await expect(page.getByLabel("Reading at tooth 1", { exact: true })).toBeFocused();
  await readRound(page, ["0.26", "0,255", "0.25", "10 thou", "0.24", "0.245"]);
  await page.keyboard.type("0.25");
  await expect(page.getByText("Next move, from 7 readings")).toBeVisible();
  await press("Enter");
  await readRound(page, ["0.25", "0.26", "0.265", "0.265", "0.26"]);
  await expect(page.getByRole("button", { name: "Round done" })).toBeVisible();
  await press("Enter");
  await expect(page.getByRole("button", { name: "Done as said" })).toBeFocused();
  await expect(page.getByLabel("Next move")).toContainText(/Bearing plate 0\.1\d mm inwards along its slots/);
  const sentence = await page.getByLabel("Next move").textContent();
  const expected = /It should then read ([\d.]+) there/.exec(sentence ?? "")?.[1] ?? "";
  const tooth = /tooth (\d+)/.exec(sentence ?? "")?.[1] ?? "";
  await press("Enter");

  // Set: read the tight spot again, and it is carried all round.
  await expect(page.getByLabel(`Reading at tooth ${tooth}`, { exact: true })).toBeFocused();
  await readRound(page, [expected]);
  await press("Enter");
  await expect(page.getByText("It reads inside all the way round. Leave it.")).toBeVisible();
  await tabTo(/^Lock up$/);
  await tabTo(/^Lock up$/);
  await press("Enter");

  // Lock up: every touch logs one, in the order, then the check round.
  await expect(page.getByText("1 – 4 – 2 – 5 – 3 – 6")).toBeVisible();
  for (const pass of [1, 2, 3]) {
    for (const clamp of [1, 4, 2, 5, 3, 6]) {
      await expect(
        page.getByRole("button", { name: `Clamp ${clamp} ${pass === 3 ? "firm" : "snug"}`, exact: true }),
      ).toBeFocused();
      await press("Enter");
    }
  }
  await expect(page.getByText("Every clamp is firm.")).toBeVisible();
  await tabTo(/^Read the check round$/);
  await press("Enter");
  await expect(page.getByLabel("Reading at tooth 1", { exact: true })).toBeFocused();
  await readRound(page, Array(12).fill(expected));
  await press("Enter");
  // What the check round says is seen before one goes on.
  await expect(page.getByLabel("Next move")).toContainText("It reads inside all the way round. Leave it.");
  await expect(page.getByRole("link", { name: "Prove it" })).toBeFocused();
  await press("Enter");

  // Prove: going live asks first, and says no until all is acknowledged.
  await expect(page).toHaveURL(/prove$/);
  await tabTo(/^Go live$/);
  await press("Enter");
  const dialog = page.getByRole("dialog", { name: "Before power comes on" });
  await expect(dialog).toBeVisible();
  await tabTo(/^Go live$/);
  await press("Enter");
  await expect(dialog.getByRole("alert")).toHaveText("Every point has to be acknowledged before power comes on.");
  await dialog.getByRole("checkbox").first().focus();
  for (const tick of await dialog.getByRole("checkbox").all()) {
    await expect(tick).toBeFocused();
    await press("Enter");
  }
  await expect(dialog.getByRole("button", { name: "Go live" })).toBeFocused();
  await press("Enter");
  await expect(page.getByRole("button", { name: "Live", exact: true })).toBeVisible();
  await page.getByLabel("Current").focus();
  await page.keyboard.type("1,4");
  await press("Tab");
  await page.keyboard.type("86 °F");
  await press("Tab");
  await typeByHand(page, "even hum");
  await press("Enter");
  await expect(page.getByRole("button", { name: /^Forwards, slow:/ })).toContainText("1.4 A, 30 °C, even hum");

  // Sign off: one page; nothing is left provisional.
  await tabTo(/^Sign off$/);
  await tabTo(/^Sign off$/);
  await press("Enter");
  await expect(page.getByRole("article", { name: "The job on one page" })).toContainText("6 of 6 clamps firm");
  await page.getByLabel("Remark").focus();
  await typeByHand(page, "Runs quietly");
  await tabTo(/^Sign as I\. Varga$/);
  await press("Enter");
  await expect(page.getByRole("heading", { name: /^Signed by I\. Varga/ })).toBeVisible();

  // Signed, its stations take nothing more; the logbook has it, and a correction stands beside what it names.
  await page.reload();
  await awake(page);
  await expect(page.getByRole("heading", { name: /^Signed by I\. Varga/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Sign as/ })).toHaveCount(0);
  await tabTo(/^To the machine's logbook$/);
  await press("Enter");
  const logbook = page.getByRole("region", { name: "Logbook" });
  await expect(logbook.getByText("Runs quietly")).toBeVisible();
  await logbook
    .getByRole("button", { name: /Signed/ })
    .first()
    .focus();
  await press("Enter");
  await page.getByRole("button", { name: /^Correct entry/ }).focus();
  await press("Enter");
  await page.getByLabel("What is right?").focus();
  await page.keyboard.type("The hum was the fan");
  await tabTo(/^Add the correction$/);
  await press("Enter");
  await expect(page.getByText("The hum was the fan").first()).toBeVisible();
});
