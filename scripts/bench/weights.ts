import { gzipSync } from "node:zlib";
import { type Browser, chromium, type Page, type Response } from "@playwright/test";
import { lead } from "../../demo/works";
import { measureKeys } from "./keys";

type Weighed = { files: number; kB: number };

/** The pages weighed, each with what has to be usable on it, and what it may weigh, kB gzip. */
const pages = ({ machineId, stageId, jobId }: { machineId: string; stageId: string; jobId: string }) => [
  { name: "job", most: 190, path: `/jobs/${jobId}`, usable: awake("[data-reading]") },
  { name: "floor", most: 140, path: "/", usable: awake("main") },
  { name: "machine", most: 170, path: `/machines/${machineId}`, usable: awake("main") },
  { name: "stage", most: 210, path: `/stages/${stageId}`, usable: awake("main") },
  { name: "Bench tool", most: 190, path: "/bench/gear-pair", usable: awake("main") },
];

/** What a key in the reading field costs, and all JavaScript that a browser with an empty cache asks for until the main thing of a page can be used, gzip. */
export async function measureWeights(
  base: string,
  demo: { machineId: string; stageId: string; jobId: string },
): Promise<void> {
  const browser = await openBrowser();
  try {
    const cookies = await signedIn(browser, base);
    say("sign-in", 125, await weigh(browser, base, "/sign-in", awake("main")));
    for (const { name, most, path, usable } of pages(demo))
      say(name, most, await weigh(browser, base, path, usable, cookies));
    await measureKeys(browser, cookies, base, `/jobs/${demo.jobId}/set`);
  } finally {
    await browser.close();
  }
}

const openBrowser = () =>
  chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: process.getuid?.() === 0 ? ["--no-sandbox"] : [],
  });

/** A browser with a page of somebody who is signed in. */
export async function browserFor(base: string): Promise<{ browser: Browser; page: Page }> {
  const browser = await openBrowser();
  const context = await browser.newContext({ baseURL: base, serviceWorkers: "block" });
  await context.addCookies(await signedIn(browser, base));
  return { browser, page: await context.newPage() };
}

const say = (name: string, most: number, { files, kB }: Weighed): void =>
  console.log(`${name} page, JavaScript until it can be used: ${files} files, ${kB} kB gzip (aim: ${most} at most)`);

/** In the page: whether it answers to a hand. The field of a job is made by the page's own script, so that it takes a key as soon as it is there. */
const awake = (main: string): string =>
  `document.documentElement?.dataset.hydrated !== undefined && document.querySelector(${JSON.stringify(main)}) !== null`;

const hydrated = (page: Page): Promise<void> => page.locator("html[data-hydrated]").waitFor({ state: "attached" });

type Cookies = Awaited<ReturnType<Awaited<ReturnType<Browser["newContext"]>>["cookies"]>>;

async function signedIn(browser: Browser, base: string): Promise<Cookies> {
  const context = await browser.newContext({ baseURL: base, serviceWorkers: "block" });
  const page = await context.newPage();
  await page.goto("/sign-in");
  await hydrated(page);
  await page.getByLabel("Sign-in name").fill(lead.signIn);
  await page.getByLabel("Password").fill(lead.password);
  await page.keyboard.press("Enter");
  await page.getByRole("link", { name: "Rotary die-cutter" }).waitFor();
  const cookies = await context.cookies();
  await context.close();
  return cookies;
}

async function weigh(
  browser: Browser,
  base: string,
  path: string,
  usable: string,
  cookies: Cookies = [],
): Promise<Weighed> {
  const context = await browser.newContext({ baseURL: base, serviceWorkers: "block" });
  await context.addCookies(cookies);
  const page = await context.newPage();
  const scripts = new Map<string, Response>();
  page.on("response", (response) => {
    if (new URL(response.url()).pathname.endsWith(".js")) scripts.set(response.url(), response);
  });
  // Looked for at every change of the page, so that what is asked for afterwards does not count.
  await page.addInitScript({
    content: `new MutationObserver((_, watch) => {
      if (!(${usable})) return;
      performance.mark("usable");
      watch.disconnect();
    }).observe(document, { subtree: true, childList: true, attributes: true });`,
  });
  await page.goto(path);
  await page.waitForFunction(() => performance.getEntriesByName("usable").length > 0);
  const asked = await page.evaluate(() => {
    const usableAt = performance.getEntriesByName("usable")[0]?.startTime ?? 0;
    return performance
      .getEntriesByType("resource")
      .flatMap(({ name, startTime }) => (startTime <= usableAt ? [name] : []));
  });
  const counted = asked.flatMap((url) => scripts.get(url) ?? []);
  const sizes = await Promise.all(counted.map(async (script) => gzipSync(await script.body()).length));
  await context.close();
  return { files: sizes.length, kB: Math.round(sizes.reduce((sum, size) => sum + size, 0) / 1024) };
}
