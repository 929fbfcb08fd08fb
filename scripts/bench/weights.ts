import { gzipSync } from "node:zlib";
import { type Browser, chromium, type Page, type Response } from "@playwright/test";
import { lead } from "../../demo/works";
import { measureKeys } from "./keys";

type Weighed = { files: number; kB: number };

/** The pages weighed, each with what has to be usable on it, and what it may weigh, kB gzip. */
const pages = ({ machineId, stageId, jobId }: { machineId: string; stageId: string; jobId: string }) => [
  { name: "job", most: 190, path: `/jobs/${jobId}`, usable: takesAKey },
  { name: "floor", most: 140, path: "/", usable: hydrated },
  { name: "machine", most: 170, path: `/machines/${machineId}`, usable: hydrated },
  { name: "stage", most: 210, path: `/stages/${stageId}`, usable: hydrated },
  { name: "Bench tool", most: 190, path: "/bench/gear-pair", usable: hydrated },
];

/** What a key in the reading field costs, and all JavaScript that a browser with an empty cache asks for until the main thing of a page can be used, gzip. */
export async function measureWeights(
  base: string,
  demo: { machineId: string; stageId: string; jobId: string },
): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: process.getuid?.() === 0 ? ["--no-sandbox"] : [],
  });
  try {
    const cookies = await signedIn(browser, base);
    say("sign-in", 125, await weigh(browser, base, "/sign-in", hydrated));
    for (const { name, most, path, usable } of pages(demo))
      say(name, most, await weigh(browser, base, path, usable, cookies));
    await measureKeys(browser, cookies, base, `/jobs/${demo.jobId}/set`);
  } finally {
    await browser.close();
  }
}

const say = (name: string, most: number, { files, kB }: Weighed): void =>
  console.log(`${name} page, JavaScript until it can be used: ${files} files, ${kB} kB gzip (aim: ${most} at most)`);

const hydrated = (page: Page): Promise<void> => page.locator("html[data-hydrated]").waitFor({ state: "attached" });

async function takesAKey(page: Page): Promise<void> {
  const field = page.getByRole("textbox", { name: /^Reading at/ });
  await field.waitFor();
  // A key before the page is awake is lost: it is pressed until one counts.
  await hydrated(page);
  await field.press("1");
}

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
  usable: (page: Page) => Promise<void>,
  cookies: Cookies = [],
): Promise<Weighed> {
  const context = await browser.newContext({ baseURL: base, serviceWorkers: "block" });
  await context.addCookies(cookies);
  const page = await context.newPage();
  const scripts: Response[] = [];
  page.on("response", (response) => {
    if (new URL(response.url()).pathname.endsWith(".js")) scripts.push(response);
  });
  await page.goto(path);
  await usable(page);
  const sizes = await Promise.all(scripts.map(async (script) => gzipSync(await script.body()).length));
  await context.close();
  return { files: sizes.length, kB: Math.round(sizes.reduce((sum, size) => sum + size, 0) / 1024) };
}
