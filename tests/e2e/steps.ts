import { type Browser, expect, type Page } from "@playwright/test";

/** Opens a path and waits until the page's script is at work. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await awake(page);
}

export const awake = (page: Page) => page.locator("html[data-hydrated]").waitFor({ state: "attached" });

/** Acknowledges each thing that a signature leaves provisional. */
export async function acknowledgeAll(page: Page): Promise<void> {
  const form = page.getByRole("form", { name: "Sign" });
  // Looking for all of something does not wait for it.
  await expect(form.getByRole("button", { name: /^Sign as/ })).toBeEnabled();
  for (const tick of await form.getByRole("checkbox").all()) await tick.check();
}

/** A job's page that can be worked on without a network. */
export const whole = (page: Page) => page.locator("html[data-whole]").waitFor({ state: "attached" });

/** Signs in and goes on to a path; who is signed in already just goes there. */
export async function signIn(page: Page, to = "/"): Promise<void> {
  await visit(page, `/sign-in?to=${encodeURIComponent(to)}`);
  if (!new URL(page.url()).pathname.startsWith("/sign-in")) return visit(page, to);
  await page.getByLabel("Sign-in name").fill("lead");
  await page.getByLabel("Password").fill("carton works");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(to);
}

/** On the page of a machine with several stages that are free, the one to open a job on. */
export async function chooseStage(page: Page, stage: string): Promise<void> {
  // While a job is open the way to another one is folded up.
  const another = page.getByText("Start another job");
  await expect(another.or(page.getByRole("button", { name: "Start a job" })).first()).toBeVisible();
  if ((await another.isVisible()) && !(await another.evaluate((fold) => fold.closest("details")?.open)))
    await another.click();
  const choice = page.getByRole("radiogroup", { name: "A job on" }).getByText(new RegExp(`^${stage}$`, "i"));
  if ((await choice.count()) > 0) await choice.click();
}

/** Puts a lock on, acknowledges every caution by a press of its own, and confirms. */
export async function makeSafe(page: Page, lock: string): Promise<void> {
  await page.getByLabel("Number of the lock").fill(lock);
  for (const caution of await page.getByRole("list", { name: "Acknowledge each" }).getByRole("checkbox").all())
    if ((await caution.getAttribute("aria-checked")) === "false") await caution.click();
  await page.getByRole("button", { name: new RegExp(`: isolated, lock ${lock}$`) }).click();
}

/** Types as a hand does: nobody is as fast as an instrument, whose Enter does nothing here. */
export const typeByHand = async (page: Page, text: string): Promise<void> => {
  await page.keyboard.type(text, { delay: 60 });
  await page.waitForTimeout(60);
};

/** What lies behind a machine's quiet key. */
export const moreOf = (page: Page): Promise<void> => page.getByRole("button", { name: /^More of/ }).click();

/** Signs in, opens a job on a stage and makes it safe; the page stands at As found. */
export async function beginJob(page: Page, machine: string, stage: string, reason: string): Promise<string> {
  await signIn(page);
  return openJob(page, machine, stage, reason);
}

/** The same for who stands on the floor already. */
export async function openJob(page: Page, machine: string, stage: string, reason: string): Promise<string> {
  await page.getByRole("link", { name: machine }).click();
  await expect(page.getByRole("heading", { name: machine, level: 1 })).toBeVisible();
  await chooseStage(page, stage);
  await page.getByLabel(`Why look at the ${stage}?`).fill(reason);
  await page.keyboard.press("Enter");
  await makeSafe(page, "31");
  await expect(page.getByRole("button", { name: "Isolated, lock 31", exact: true })).toBeVisible();
  await expect(page).toHaveURL(/as-found$/);
  await expect(page.getByRole("textbox", { name: /^Reading at/ })).toBeFocused();
  return new URL(page.url()).pathname.split("/")[2] ?? "";
}

/** Signs what there is, with the PIN or password where it is asked for, so that the next test can open a job on the same stage. */
export async function closeJob(page: Page, jobId: string, secret?: string): Promise<void> {
  await visit(page, `/jobs/${jobId}/sign-off`);
  const sign = page.getByRole("button", { name: /^Sign as/ });
  await expect(sign).toBeVisible();
  const form = page.getByRole("form", { name: "Sign" });
  const signed = page.getByRole("heading", { name: /^Signed by/ });
  // What is provisional changes while an entry is still on its way to the server: then the form asks again.
  await expect(async () => {
    for (const tick of await form.getByRole("checkbox").all()) await tick.check();
    if (secret) await form.getByLabel("Your PIN or password").fill(secret);
    await sign.click();
    await expect(signed.or(form.getByRole("alert"))).toBeVisible();
    await expect(signed).toBeVisible({ timeout: 1000 });
  }).toPass({ timeout: 300_000 });
}

/** Types readings one after the other, as an instrument with a keyboard interface does. */
export async function readRound(page: Page, values: readonly string[]): Promise<void> {
  await expect(page.getByRole("textbox", { name: /^(Reading at|Every place)/ })).toBeFocused();
  for (const value of values) {
    await page.keyboard.type(value);
    await page.keyboard.press("Enter");
  }
}

/** Who is signed in, as the server says with every answer. */
export const personIdOf = async (page: Page): Promise<string> =>
  (await page.request.get("/status")).headers()["x-person"] ?? "";

/** Another person at another tablet. */
export async function anotherTablet(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  return context.newPage();
}

/** Acknowledges what is asked before power comes on, and puts it on. */
export async function goLive(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Go live" }).click();
  const dialog = page.getByRole("dialog", { name: "Before power comes on" });
  for (const tick of await dialog.getByRole("checkbox").all()) await tick.click();
  await dialog.getByRole("button", { name: "Go live" }).click();
  await expect(page.getByRole("button", { name: "Live", exact: true })).toBeVisible();
}
