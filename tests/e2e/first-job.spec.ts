import { expect, type Page, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/cluster";
import { ownStart } from "./own-start";
import { acknowledgeAll, makeSafe } from "./steps";

const own = ownStart();
test.afterAll(own.clear);

/** Fills fields and counts them. */
const counted = (page: Page) => {
  let count = 0;
  return {
    fill: async (texts: Record<string, string>) => {
      for (const [label, text] of Object.entries(texts)) {
        await page.getByLabel(label, { exact: true }).fill(text);
        count++;
      }
    },
    type: async (text: string) => {
      await page.keyboard.type(text);
      await page.keyboard.press("Enter");
      count++;
    },
    count: () => count,
  };
};

/** From the machine's page: the only thing that is asked is why. */
async function begin(page: Page, why: string): Promise<void> {
  await page.getByLabel(/^Why look at the .*\?$/).fill(why);
  await page.getByRole("button", { name: "Start a job" }).click();
  await makeSafe(page, "7");
  await expect(page.getByRole("textbox", { name: /^Reading at/ })).toBeFocused();
}

async function sign(page: Page): Promise<void> {
  await page.getByRole("link", { name: "Sign off" }).last().click();
  await acknowledgeAll(page);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
}

test("from an empty start to the first signed job fewer than twenty fields are filled in; a stage without limits is read and signed too", async ({
  browser,
}) => {
  const port = await freePort();
  const started = own.start(port, "--empty");
  await expect.poll(started.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  const page = await browser.newPage({ baseURL: `http://127.0.0.1:${port}`, viewport: { width: 1280, height: 800 } });
  await page.goto("/");
  await page.locator("html[data-hydrated]").waitFor({ state: "attached" });
  const form = counted(page);
  await form.fill({
    Workshop: "Carton works",
    "Your name": "N. Petrov",
    "Sign-in name": "lead",
    Password: "gear and rack",
  });
  await page.keyboard.press("Enter");
  await page.getByRole("link", { name: "Add a machine" }).first().click();
  await form.fill({ Name: "Strapper", Tag: "STR-4" });
  await page.getByRole("button", { name: /^Save, and enter/ }).click();
  await expect(page.getByRole("heading", { name: /^A stage of the/ })).toBeVisible();
  await form.fill({ "Teeth of the pinion": "22", "Teeth of the gear": "57", "Module, or DP": "1.5" });
  await page.getByRole("button", { name: "Save the stage" }).click();
  await expect(page.getByRole("heading", { name: "Strapper", level: 1 })).toBeVisible();
  await begin(page, "First readings");
  for (const read of ["0.15", "0.17", "0.16"]) await form.type(read);
  await page.getByRole("button", { name: /^Round done/ }).click();
  await expect(page.getByText("It reads inside where it was read. Read on round the turn.")).toBeVisible();
  await sign(page);
  // The reason and the number of the lock besides.
  expect(form.count() + 2).toBeLessThan(20);

  await page.getByRole("link", { name: "To the machine's logbook" }).click();
  await page.getByRole("link", { name: "Add a stage" }).click();
  await page.getByRole("radiogroup", { name: "It is a" }).getByText("planetary set", { exact: true }).click();
  await form.fill({
    "Teeth of the sun": "12",
    "Teeth of a planet": "24",
    "Teeth of the ring": "60",
    "How many planets": "3",
  });
  await page.getByRole("button", { name: "Save the stage" }).click();
  await expect(page.getByRole("list", { name: "Stages" })).toContainText("no limits yet");
  await page.getByRole("radiogroup", { name: "A job on" }).getByText("Planetary set").click();
  await begin(page, "Knocks");
  for (const read of ["9", "12", "11"]) await form.type(read);
  await page.getByRole("button", { name: /^Round done/ }).click();
  await expect(page.getByRole("region", { name: "Next move" })).toContainText("Nobody has said its limits yet");
  await sign(page);
  await expect(page.getByText("Its limits are not known: what was read was not judged")).toBeVisible();
  await page.getByRole("link", { name: "To the machine's logbook" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("no limits yet");
  started.child.kill("SIGINT");
  await started.ends;
});
