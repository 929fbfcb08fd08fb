import { type BrowserContext, expect, type Page, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/cluster";
import { ownStart } from "./own-start";
import { acknowledgeAll, awake, chooseStage, makeSafe, readRound, signIn } from "./steps";

test.use({ serviceWorkers: "allow" });
const own = ownStart();
test.afterAll(own.clear);

const controlled = (page: Page) =>
  expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);

/** Opens the machine once, so that this tablet keeps its page and what a job on it needs. */
async function seeMachine(page: Page, machine: string): Promise<void> {
  await page.getByRole("link", { name: machine, exact: true }).click();
  await expect(page.getByRole("heading", { name: machine, level: 1 })).toBeVisible();
  await expect.poll(() => page.evaluate(async () => (await caches.match(location.href)) !== undefined)).toBe(true);
  await expect.poll(() => page.evaluate(keptMachines)).toBe(1);
}

/** How many machines this tablet keeps; runs in the page. */
const keptMachines = () =>
  new Promise<number>((done) => {
    const asked = indexedDB.open("harmostat");
    asked.onsuccess = () => {
      const keys = asked.result.transaction("snapshots").objectStore("snapshots").getAllKeys();
      keys.onsuccess = () => {
        asked.result.close();
        done(keys.result.filter((key) => String(key).includes(" machine ")).length);
      };
    };
  });

/** A whole job without the server, with a reload in the middle; gives its id. */
async function jobAway(page: Page, reason: string): Promise<string> {
  await chooseStage(page, "cam drive");
  await page.getByLabel("Why look at the cam drive?").fill(reason);
  await page.keyboard.press("Enter");
  await makeSafe(page, "5");
  await expect(page.getByRole("textbox", { name: /^Reading at tooth/ })).toBeFocused();
  await readRound(page, ["0.10", "0.12"]);
  // A page that the server never gave opens from what the tablet keeps, with what was typed.
  await page.reload();
  await awake(page);
  await expect(page.getByRole("list", { name: /^Readings so far/ }).getByText("0.12")).toBeVisible();
  await readRound(page, ["0.11"]);
  await page.getByRole("button", { name: /^Round done with 3/ }).click();
  await expect(page.getByLabel("Tape")).toContainText("As found, 3 readings");
  await page.getByRole("link", { name: "Sign off" }).click();
  await acknowledgeAll(page);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
  return new URL(page.url()).pathname.split("/")[2] ?? "";
}

async function kindsOf(context: BrowserContext, base: string, job: string): Promise<string[]> {
  const record = await (await context.request.get(`${base}/jobs/${job}/record.json`)).json();
  return record.entries.map((entry: { kind: string }) => entry.kind);
}

const wholeJob = ["job-opened", "isolated", "round", "signature"];

test("with the network cut: pages seen before open again, a whole job is done, and all of it arrives once and in order", async ({
  page,
  context,
  baseURL,
}) => {
  await signIn(page);
  await controlled(page);
  await seeMachine(page, "Sheet feeder");
  const machine = page.url();
  await context.setOffline(true);
  await page.reload();
  await awake(page);
  await expect(page.getByRole("heading", { name: "Sheet feeder", level: 1 })).toBeVisible();
  await page.goto("/bench");
  await expect(page.getByRole("heading", { name: "This page was not opened here before" })).toBeVisible();
  await page.goto(machine);
  await awake(page);
  const job = await jobAway(page, "No network in the cellar");
  await page.goto("/");
  await awake(page);
  const strip = page.getByRole("region", { name: "Kept on this tablet" });
  await expect(strip).toContainText("4 entries wait on this tablet");
  await strip.getByText("What waits").click();
  await expect(strip).toContainText("A job opened: No network in the cellar");

  await context.setOffline(false);
  await expect(strip).toHaveCount(0);
  expect(await kindsOf(context, baseURL ?? "", job)).toEqual(wholeJob);
});

test("from a job the search for a cause opens without a network; what was said goes once it is back", async ({
  page,
  context,
}) => {
  await signIn(page);
  await controlled(page);
  await page.getByRole("link", { name: /^Job open since/ }).click();
  await page.getByRole("link", { name: "Prove", exact: true }).click();
  const why = page.getByRole("link", { name: "It does something it should not: why?" });
  await expect(why).toBeVisible();
  const kept = async () => {
    const requests = await Promise.all((await caches.keys()).map(async (name) => (await caches.open(name)).keys()));
    return requests.flat().some(({ url }) => url.includes("/why.data"));
  };
  await expect.poll(() => page.evaluate(kept)).toBe(true);
  await context.setOffline(true);
  await why.click();
  await page.getByRole("button", { name: "rattle" }).click();
  await expect(page.getByRole("region", { name: "Suspects" }).getByRole("listitem").first()).toContainText("Next:");
  await page.getByRole("button", { name: "Keep it, and go after it" }).click();
  await expect(page.getByText("Not sent yet: there is no network.")).toBeVisible();
  // It goes by itself.
  await context.setOffline(false);
  await expect(page.getByRole("heading", { name: "Rattle", level: 1 })).toBeVisible();
});

test("with the server killed: the same, and after its next start all of it arrives once and in order", async ({
  browser,
}) => {
  test.setTimeout(900_000);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const first = own.start(port);
  await expect.poll(first.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  const context = await browser.newContext({
    baseURL: base,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: "allow",
  });
  const page = await context.newPage();
  await signIn(page);
  await controlled(page);
  await seeMachine(page, "Sheet feeder");
  first.child.kill("SIGKILL");
  await first.ends;
  const job = await jobAway(page, "The server went");
  const second = own.start(port);
  await expect.poll(second.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  await expect(page.getByRole("link", { name: "PDF" })).toBeVisible({ timeout: 120_000 });
  expect(await kindsOf(context, base, job)).toEqual(wholeJob);
  await context.close();
  second.child.kill("SIGINT");
  await second.ends;
});
