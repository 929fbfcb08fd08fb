import { expect, type Page, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/cluster";
import { nameFirstLead, ownStart } from "./own-start";
import { acknowledgeAll, makeSafe, personIdOf, readRound, visit } from "./steps";

const own = ownStart();
test.afterAll(own.clear);

const fill = async (page: Page, texts: Record<string, string>) => {
  for (const [label, text] of Object.entries(texts)) await page.getByLabel(label, { exact: true }).fill(text);
};

const drawer = [
  "kind;name;nominal mm;measured mm;count;place;bore mm",
  "shim;Shim 0,05;0,05;0,051;4;Drawer 1;20",
  "shim;Shim 0,1;0,1;;4;Drawer 1;20",
  "shim;Shim 0,2;0,2;;4;Drawer 1;20",
  "shim;Shim 0,5;0,5;;2;Drawer 1;20",
];

/** Opens an account; the next person signs in by it. */
async function openAccount(page: Page, name: string, signIn: string, role: string): Promise<void> {
  const form = page.getByRole("form", { name: "Add a person" });
  await form.getByLabel("Name", { exact: true }).fill(name);
  await form.getByLabel("Sign-in name").fill(signIn);
  await form.getByLabel("Role").selectOption(role);
  await form.getByLabel("First password").fill("a shim is never alone");
  await form.getByRole("button", { name: "Add this person" }).click();
  await expect(page.getByRole("list", { name: "Accounts" })).toContainText(name);
}

test("a new workshop makes its people, instruments and drawer, sets an end float with a stack from it, and a reader can see but not change any of it", async ({
  browser,
}) => {
  test.setTimeout(900_000);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const started = own.start(port, "--empty");
  await expect.poll(started.output, { timeout: 180_000 }).toContain("name the first lead");
  await expect.poll(started.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  const context = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await nameFirstLead(page);

  await page.getByRole("button", { name: /hand over, account/ }).click();
  await page.getByRole("link", { name: "People" }).click();
  await expect(page.getByRole("heading", { name: "One person works here" })).toBeVisible();
  await openAccount(page, "T. Weiler", "weiler", "technician");
  await openAccount(page, "R. Moss", "moss", "reader");
  await expect(page.getByRole("heading", { name: "3 people work here" })).toBeVisible();

  await page.getByRole("link", { name: "Stores" }).click();
  await page.getByRole("link", { name: "Instruments" }).click();
  await page.getByRole("link", { name: "Enter an instrument" }).click();
  await fill(page, {
    Name: "Depth gauge 0.01",
    Kind: "depth gauge",
    Resolution: "0,01",
    "Expanded uncertainty": "0,006",
  });
  await fill(page, { "Calibrated on": "2026-03-01", "Due again on": "2026-02-01" });
  await page.getByRole("button", { name: "Save the instrument" }).click();
  await expect(page.getByText("It cannot be due before it was calibrated.")).toBeVisible();
  await fill(page, { "Due again on": "2026-04-01" });
  await page.getByRole("button", { name: "Save the instrument" }).click();
  const gauge = page.getByRole("row").filter({ hasText: "Depth gauge 0.01" });
  await expect(gauge).toContainText("Overdue since 1 April 2026");

  await page.getByRole("link", { name: "CSV in and out" }).click();
  const lines = page.getByLabel("Or the lines themselves");
  await lines.fill([...drawer, "shim;Shim 0,3;thin;;1;;"].join("\n"));
  await page.getByRole("button", { name: "Look what it would do" }).click();
  await expect(page.getByRole("row").filter({ hasText: "nominal mm: “thin” is not a number" })).toContainText(
    "not taken",
  );
  await lines.fill(drawer.join("\n"));
  await page.getByRole("button", { name: "Look what it would do" }).click();
  await expect(page.getByRole("heading", { name: "All of it can be taken in" })).toBeVisible();
  await page.getByRole("button", { name: "Take all of it in" }).click();
  await expect(page.getByRole("heading", { name: "Taken in" })).toBeVisible();

  await page.getByRole("link", { name: "Floor" }).click();
  await page.getByRole("link", { name: "Add a machine" }).click();
  await fill(page, { Name: "Box erector", Tag: "BE-1" });
  await page.getByRole("button", { name: /^Save, and enter/ }).click();
  await page.getByLabel("Name of the stage").fill("Shaft float");
  await page.getByRole("radiogroup", { name: "It is a" }).getByText("gap", { exact: true }).click();
  await fill(page, { "Diameter of the faces": "40" });
  await fill(page, { "How many": "4", "Bolt circle": "80", Screw: "M6", "Full torque": "9" });
  await fill(page, { Called: "Shims at the cover", "+ is called": "thicker", "− is called": "thinner" });
  await page.getByText("closes the gap", { exact: true }).click();
  await fill(page, { Lower: "0,05", Upper: "0,15", "Source, in words": "Plate" });
  await page.getByRole("button", { name: "Save the stage" }).click();
  await expect(page.getByRole("heading", { name: /^Box erector/ })).toBeVisible();

  await page.getByLabel("Why look at the shaft float?").fill("New cover");
  await page.keyboard.press("Enter");
  await makeSafe(page, "5");
  await expect(page).toHaveURL(/as-found$/);
  await page.getByText("Feelers 0.03 to 1.00", { exact: false }).first().click();
  await page.getByRole("combobox", { name: /^Instrument/ }).selectOption({ label: "Depth gauge 0.01, overdue" });
  await page.getByRole("textbox", { name: /^Reading at/ }).click();
  await readRound(page, ["0,84", ""]);
  await expect(page.getByLabel("Tape")).toContainText("an instrument was overdue");
  const pane = page.getByRole("region", { name: "From the drawer" });
  // 0.84 less the middle of 0.05 to 0.15: 0.74; the measured 0.051 lies nearest with 0.5 and 0.2.
  await expect(pane.getByRole("img", { name: /^Stack, 3 pieces in a gap of 0.840 mm/ })).toBeVisible();
  await expect(pane).toContainText("from Drawer 1");
  await pane.getByRole("button", { name: "Take these, and log it" }).click();
  await expect(page.getByLabel("Tape")).toContainText("0.500 + 0.200 + 0.051 mm in it now, nothing before");
  await readRound(page, ["0,09", ""]);
  await expect(page.getByRole("region", { name: "Next move" })).toContainText("It reads inside");
  await page.getByRole("link", { name: "Sign off" }).click();
  await acknowledgeAll(page);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by L. Orban/ })).toBeVisible();

  await visit(page, "/stores");
  const shim = page.getByRole("row").filter({ hasText: "Shim 0,5" });
  await expect(shim).toContainText("1");
  await page.getByRole("link", { name: "Shim 0,5" }).click();
  await expect(page.getByRole("table", { name: "Taken and put back" })).toContainText("Box erector: Shaft float");

  const reader = await (await browser.newContext({ baseURL: base })).newPage();
  await visit(reader, "/sign-in");
  await fill(reader, { "Sign-in name": "moss", Password: "a shim is never alone" });
  await reader.keyboard.press("Enter");
  await expect(reader.getByRole("link", { name: "Box erector" })).toBeVisible();
  await expect(reader.getByRole("link", { name: "Add a machine" })).toHaveCount(0);
  await visit(reader, "/stores");
  await expect(reader.getByRole("link", { name: "Shim 0,5" })).toBeVisible();
  await expect(reader.getByRole("button", { name: /^Take/ })).toHaveCount(0);
  const item = new URL(page.url()).pathname;
  await visit(reader, item);
  await expect(reader.getByRole("table", { name: "Taken and put back" })).toContainText("Box erector");
  await expect(reader.getByLabel("Name", { exact: true })).toHaveCount(0);
  expect((await reader.request.get("/stores/sheets/stores")).status()).toBe(200);
  const forged = {
    data: { id: crypto.randomUUID(), change: -1, why: "" },
    headers: { Origin: base, "X-Person": await personIdOf(reader) },
  };
  expect((await reader.request.post(`${item}.data`, forged)).status()).toBe(403);
  for (const path of ["/people", "/stores/new", "/machines/new"])
    expect((await reader.request.get(path)).status(), path).toBe(403);
  await context.close();
  started.child.kill("SIGINT");
  await started.ends;
});
