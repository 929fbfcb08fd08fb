import { expect, type Page, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/cluster";
import { nameFirstLead, ownStart } from "./own-start";
import { acknowledgeAll, awake, makeSafe, readRound, whole } from "./steps";

const own = ownStart();
test.afterAll(own.clear);

const fill = async (page: Page, texts: Record<string, string>) => {
  for (const [label, text] of Object.entries(texts)) await page.getByLabel(label, { exact: true }).fill(text);
};

/** A job on the phone: read as found, nothing to move, signed. */
async function readOnly(page: Page, values: readonly string[], between?: () => Promise<void>) {
  await page.getByLabel(/^Why look at the .*\?/).fill("Routine");
  await page.keyboard.press("Enter");
  await makeSafe(page, "9");
  await expect(page.getByRole("textbox", { name: /^Reading at tooth/ })).toBeFocused();
  await readRound(page, values.slice(0, 4));
  await between?.();
  await readRound(page, values.slice(4));
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Tape")).toContainText("As found, 12 readings");
  await page.getByRole("link", { name: "Sign off" }).click();
  await acknowledgeAll(page);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
  await expect(page.getByRole("link", { name: "To the stage's trend" })).toBeVisible();
}

test("from an empty start: a machine and a stage of one's own, a job on the phone with the network gone half way, its record, the trend after three", async ({
  browser,
}) => {
  test.setTimeout(900_000);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const started = own.start(port, "--empty");
  await expect.poll(started.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  const context = await browser.newContext({ baseURL: base, viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await nameFirstLead(page);
  await expect(page.getByRole("heading", { name: "The floor is empty" })).toBeVisible();
  await page.getByRole("link", { name: "Add a machine" }).click();
  await fill(page, { Name: "Bundle press", Tag: "BP-1" });
  await page.getByRole("button", { name: /^Save, and enter/ }).click();

  await expect(page.getByRole("heading", { name: "A stage of the Bundle press" })).toBeVisible();
  await fill(page, { "Name of the stage": "Press drive", "Teeth of the pinion": "20", "Teeth of the gear": "48" });
  await fill(page, { "Module, or DP": "2", "Centre distance": "68,18" });
  await expect(page.getByRole("img", { name: /^The gear pair 20 : 48.*to scale$/ })).toBeVisible();
  await page.getByRole("button", { name: "Recommend: fill these in" }).click();
  await expect(page.getByLabel("Lower", { exact: true })).not.toHaveValue("");
  // A reload in the middle loses nothing typed.
  await page.reload();
  await awake(page);
  await expect(page.getByLabel("Centre distance")).toHaveValue("68,18");
  // Clamps may be left out; half said they are asked for, and the field is gone to.
  await fill(page, { "How many": "4" });
  await page.getByRole("button", { name: "Save the stage" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Look at: Bolt circle" })).toBeVisible();
  await expect(page.getByLabel("Bolt circle")).toBeFocused();
  await fill(page, { "Bolt circle": "90", Screw: "M8", "Full torque": "18" });
  await fill(page, { Called: "Motor slot", "+ is called": "out", "− is called": "in" });
  await page.getByRole("button", { name: "Save the stage" }).click();
  await expect(page.getByRole("heading", { name: "Bundle press", level: 1 })).toBeVisible();

  const first = ["0.16", "0.17", "0.18", "0.18", "0.19", "0.2", "0.2", "0.19", "0.19", "0.18", "0.17", "0.16"];
  const opened = (by: number) => first.map((value) => (Number(value) + by).toFixed(2));
  await readOnly(page, first, async () => {
    await whole(page);
    await context.setOffline(true);
  });
  await expect(page.getByText("it goes into the logbook when the server can be reached")).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole("link", { name: "PDF" })).toBeVisible({ timeout: 120_000 });
  for (const by of [0.02, 0.04]) {
    await page.getByRole("link", { name: "To the machine's logbook" }).click();
    await readOnly(page, opened(by));
  }

  await page.getByRole("link", { name: "Print" }).click();
  await expect(page.getByRole("heading", { name: "Bundle press, BP-1" })).toBeVisible();
  await expect(page.getByRole("table", { name: "Entries" })).toContainText("As found, 12 readings");
  const pdf = await page.request.get(`${new URL(page.url()).pathname}.pdf`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe("%PDF-");

  await page.getByRole("link", { name: "Back" }).click();
  await page.getByRole("link", { name: "To the stage's trend" }).click();
  await expect(page.getByRole("heading", { name: /^It (will be too loose|does not drift)/ })).toBeVisible();
  await page.getByText("Why, and the figures").click();
  await expect(page.getByRole("row")).toHaveCount(4);
  await context.close();
  started.child.kill("SIGINT");
  await started.ends;
});
