import { expect, test } from "@playwright/test";
import { moreOf, signIn, visit } from "./steps";

test("a knock once a wheel turn: timed at a slow run, its suspects gone after one by one, the tooth found, and found again next time", async ({
  page,
}) => {
  await signIn(page);
  await visit(page, "/");
  await page.getByRole("link", { name: "Rotary die-cutter", exact: true }).first().click();
  await moreOf(page);
  await page.getByRole("link", { name: "Why does it do that?" }).click();
  const form = page.getByRole("form", { name: "What does it do?" });
  await form.getByRole("button", { name: "knock" }).click();
  // Said before anything was timed: suspects stand there already.
  const suspects = page.getByRole("region", { name: "Suspects" });
  await expect(suspects.getByRole("listitem").first()).toBeVisible();
  // Tapped too seldom to tell; then typed, at a run slow enough: the motor at 300, belt 24 : 48, gears 21 : 63.
  const tap = form.getByRole("button", { name: "Tap with the noise" });
  await tap.focus();
  await page.keyboard.press("Space");
  await expect(form).toContainText("Too few to tell: tap at least 5 times");
  await form.getByLabel("Comes so often", { exact: true }).fill("nought");
  await form.getByRole("button", { name: "Keep it, and go after it" }).click();
  await expect(form.getByRole("alert").first()).toBeVisible();
  await form.getByLabel("Comes so often", { exact: true }).fill("50,3");
  await form.getByLabel("The motor turns", { exact: true }).fill("300");
  // Timed again at twice the speed: it goes with it, so it is of the drive.
  await form.getByText("Timed again at another speed").click();
  await form.getByLabel("Comes so often then").fill("50");
  await form.getByLabel("The motor turns then").fill("600");
  await expect(suspects).toContainText("nothing that turns with this motor makes it");
  await form.getByLabel("Comes so often then").fill("100");
  await expect(suspects).toContainText("It goes with the speed");
  await form.getByRole("radio", { name: "both ways" }).click();
  await form.getByRole("radio", { name: "at one place of the turn" }).click();
  await expect(suspects).toContainText("of First reduction");
  await form.getByRole("button", { name: "Keep it, and go after it" }).click();
  await expect(page.getByRole("heading", { name: "Knock", level: 1 })).toBeVisible();

  const list = page.getByRole("region", { name: "Suspects" });
  const wheel = list.getByRole("listitem").filter({ hasText: "The driven wheel of First reduction" });
  await expect(wheel).toContainText("comes round 50.0 times a minute");
  await expect(wheel).toContainText(/For: comes as often, off by 0\.\d %; shows so: knock/);
  await expect(wheel).toContainText("put a paint mark on it");
  // What sits on the same shaft comes as often: told apart by the mark, not by the ear.
  const gear = list.getByRole("listitem").filter({ hasText: "The driving wheel of Speed gear" });
  await gear.getByLabel("What came of it").fill("Mark comes by, gear is clean");
  await gear.getByRole("button", { name: "Not that: ruled out" }).click();
  await expect(list.getByRole("status")).toContainText("1 ruled out");
  await wheel.getByLabel("What came of it").fill("Chip in the gap at tooth 14");
  await wheel.getByRole("button", { name: "Found it" }).click();
  await expect(list.getByRole("status")).toContainText(
    /Found: a damaged or dirty tooth, the driven wheel of First reduction, Chip in the gap at tooth 14/,
  );
  await page.getByRole("link", { name: "Something else it does" }).click();
  // A hum as often as the fan beside the drive is the fan's, and is found there.
  await form.getByRole("button", { name: "hum" }).click();
  await form.getByLabel("Comes so often", { exact: true }).fill("1430");
  await form.getByLabel("May be off by", { exact: true }).fill("1");
  await form.getByLabel("The motor turns", { exact: true }).fill("900");
  await form.getByRole("button", { name: "Keep it, and go after it" }).click();
  const fan = list.getByRole("listitem").first();
  await expect(fan).toContainText("Extractor fan, beside the drive");
  await fan.getByLabel("What came of it").fill("Off, and it is quiet");
  await fan.getByRole("button", { name: "Found it" }).click();
  await expect(list.getByRole("status")).toContainText(/Extractor fan, beside the drive, Off, and it is quiet/);
  await page.getByRole("link", { name: "Something else it does" }).click();
  await expect(page.getByRole("region", { name: "What it did before" })).toContainText("Chip in the gap at tooth 14");
});

test("a rule of the house is written, ranked beside the others on the stage it is asked of, and taken back", async ({
  page,
}) => {
  await signIn(page, "/rules");
  const form = page.getByRole("form", { name: "A rule of the house" });
  await form.getByRole("button", { name: "Keep the rule" }).click();
  await expect(form.getByRole("alert").first()).toBeVisible();
  await form.getByLabel("What is wrong then").fill("Brake lining glazed");
  await form.getByRole("toolbar", { name: "It shows as" }).getByRole("button", { name: "squeal" }).click();
  await form
    .getByRole("toolbar", { name: /On these stages/ })
    .getByRole("button", { name: "gear pair", exact: true })
    .click();
  await form.getByRole("toolbar", { name: "For it speaks" }).getByRole("button", { name: "warm", exact: true }).click();
  await form.getByLabel("From where one knows").fill("Slitter, last winter");
  await form.getByRole("button", { name: "Keep the rule" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("One rule of the house");

  await visit(page, "/");
  await page.getByRole("link", { name: "Slitter-rewinder", exact: true }).first().click();
  await page
    .getByRole("link", { name: /^Knife gears/ })
    .first()
    .click();
  await page.getByRole("link", { name: /Why does it do that/ }).click();
  await expect(page.getByText("Suspects of Knife gears alone.")).toBeVisible();
  // What its runs say already: the demo's knife draws more one way.
  await expect(page.getByRole("region", { name: "Which runs differ" })).toContainText("Knife gears");
  const symptom = page.getByRole("form", { name: "What does it do?" });
  await symptom.getByRole("button", { name: "squeal" }).click();
  await symptom.getByRole("radio", { name: "warm", exact: true }).click();
  const suspects = page.getByRole("region", { name: "Suspects" });
  await expect(suspects).toContainText("Brake lining glazed");
  await expect(suspects).not.toContainText("Rewind");
  await visit(page, "/rules");
  await page.getByRole("button", { name: "Take back: Brake lining glazed" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("No rule of the house yet");
});
