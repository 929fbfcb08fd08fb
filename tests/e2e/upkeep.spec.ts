import { expect, test } from "@playwright/test";
import sharp from "sharp";
import { chooseStage, closeJob, signIn } from "./steps";

test("grease that is overdue on the Floor is logged and no more due; damage seen between runs leads to a job", async ({
  page,
}) => {
  await signIn(page);
  const row = page.getByRole("listitem").filter({ has: page.getByRole("link", { name: "Pallet lift" }) });
  await expect(row).toContainText(/grease of lift screw, whole length/i);
  await page.getByRole("link", { name: "Pallet lift" }).click();
  await page.getByRole("link", { name: "Grease and look lists" }).click();
  await expect(page.getByRole("heading", { name: "Two are due" })).toBeVisible();
  await expect(page.getByRole("list", { name: "Not greased" })).toContainText("Counterweight cord: none here");
  const greased = page.getByRole("form", { name: "Greased" });
  await greased.getByRole("button", { name: "Greased: log it" }).click();
  await expect(greased.getByRole("alert")).toContainText("Tick what was greased");
  for (const place of [/^Lift screw/, /^Column guides/]) await greased.getByRole("checkbox", { name: place }).click();
  await greased.getByLabel("Grams, Lift screw, whole length").fill("2x");
  await greased.getByRole("button", { name: "Greased: log it" }).click();
  await expect(greased.getByRole("alert")).toBeVisible();
  await greased.getByLabel("Grams, Lift screw, whole length").fill("24,5");
  await greased.getByRole("checkbox", { name: /^Spread by a full turn/ }).click();
  await greased.getByRole("button", { name: "Greased: log it" }).click();
  await expect(page.getByRole("heading", { name: "Nothing is due" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Done" })).toContainText("Lift screw, whole length, 24.5 g");

  const looked = page.getByRole("form", { name: "Looked at" });
  await looked.getByRole("radio", { name: "Damage" }).click();
  await looked.getByLabel("What is wrong with Counterweight cord, end to end?").fill("frayed at the upper clamp");
  await looked.getByRole("button", { name: "Looked at: log it" }).click();
  await expect(page.getByRole("status").filter({ hasText: "It stands among the open points" })).toBeVisible();
  const jpeg = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#987" } })
    .jpeg()
    .toBuffer();
  await page
    .getByLabel("Photograph the damage")
    .setInputFiles({ name: "cord.jpg", mimeType: "image/jpeg", buffer: jpeg });
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByRole("link", { name: "Counterweight cord, end to end", exact: true })).toBeVisible();
  await page.getByRole("link", { name: "Start a job for it" }).click();
  await chooseStage(page, "motor coupling");
  await expect(page.getByLabel("Why look at the motor coupling?")).toHaveValue(
    "Damage: Counterweight cord, end to end",
  );
  await page.getByRole("button", { name: "Start a job", exact: true }).click();
  await expect(page).toHaveURL(/\/jobs\/.+\/make-safe$/);
  const jobId = new URL(page.url()).pathname.split("/")[2] ?? "";
  await page.getByRole("link", { name: "Apart", exact: true }).click();
  await page.getByLabel(/^What comes off/).fill("Cord");
  await page.getByRole("button", { name: "order one" }).click();
  await page.getByRole("button", { name: "It is off" }).click();
  await expect(page.getByLabel("Tape")).toContainText("Off: Cord");
  await page.getByRole("radio", { name: "Put on" }).click();
  await page.getByRole("button", { name: "It is on", exact: true }).click();
  await expect(page.getByLabel("Tape")).toContainText("On: Cord");
  await closeJob(page, jobId);
  await page.goto("/stores/orders");
  await expect(page.getByRole("main")).toContainText("To order: Cord");
  await page.getByRole("button", { name: "Close: To order: Cord" }).click();
  await page.getByLabel("How was it done?").fill("Ordered twice by mistake; one is in the drawer");
  await page.getByRole("button", { name: "Close this point" }).click();
  await expect(page.getByRole("main")).not.toContainText("To order: Cord");
});
