import { expect, test } from "@playwright/test";
import { signIn } from "./steps";

test("a steep chain is taken up between two runs on one screen, in eight taps, felt before and after", async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole("link", { name: "Pallet lift" }).first().click();
  await page
    .getByRole("link", { name: /^Column chain/ })
    .first()
    .click();
  await page.getByRole("link", { name: "Re-tension" }).click();
  // Set twice before, and found slack each time after it.
  await expect(page.getByRole("note")).toContainText(/Slack again after about \d+ days/);
  let taps = 0;
  const tap = async (name: string | RegExp, within = page.getByRole("main")) => {
    await within.getByRole("button", { name }).or(within.getByRole("radio", { name })).first().click();
    taps++;
  };
  await page.getByRole("checkbox", { name: /^Safe:/ }).click();
  taps++;
  await tap(/No lock: the plug is out/);
  await tap("claps", page.getByRole("group", { name: "As it was" }));
  await tap("Loosened");
  await tap("Pushed");
  await tap("Tightened");
  await tap("firm", page.getByRole("group", { name: "As it is now" }));
  await tap(/^Tensioned: sign as/);
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
  expect(taps).toBeLessThanOrEqual(8);
  // It goes entry by entry; who leaves before that looks at a logbook that does not have all of it yet.
  await expect(page.getByText("Signed, not confirmed.")).toHaveCount(0);
  await page.getByRole("link", { name: "To the machine's logbook" }).click();
  const logbook = page.getByRole("region", { name: "Logbook" });
  await expect(logbook).toContainText("how far was not measured");
  await expect(logbook).toContainText(/Job opened: Re-tensioned|Re-tensioned/);
});
