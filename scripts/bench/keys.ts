import type { Browser, CDPSession, Page } from "@playwright/test";

type Cookies = Parameters<Awaited<ReturnType<Browser["newContext"]>>["addCookies"]>[0];

/** What one key in the reading field costs: components that were rendered for it, and time of scripts, ms. */
type KeyCost = { components: number; scriptMs: number };

const readings = ["0.158", "0.171", "0.183", "0.196", "0.188", "0.176", "0.163", "0.151"];

/**
 * Types a round into the reading field of a job that stands open, and takes what a key of it costs until everything it set going is done, the
 * picture and the next move with it. Enter is typed and not counted.
 */
export async function measureKeys(browser: Browser, cookies: Cookies, base: string, jobPath: string): Promise<void> {
  const components = await each(browser, cookies, base, jobPath, countRenders, (reading) => [...reading]);
  // Counting takes time of its own, so the time is taken without.
  const time = await each(browser, cookies, base, jobPath, "globalThis.rendered = 0;", (reading) => [reading]);
  console.log(
    `a key of a reading: ${mean(components.map(({ components }) => components)).toFixed(1)} components rendered (aim: 15 at most); ` +
      `typed as fast as an instrument types, scripts run ${((100 * median(time.map(({ scriptMs }) => scriptMs))) / frameMs).toFixed(0)} % of a frame`,
  );
}

const frameMs = 1000 / 60;

async function each(
  browser: Browser,
  cookies: Cookies,
  base: string,
  jobPath: string,
  script: string,
  pieces: (reading: string) => string[],
): Promise<KeyCost[]> {
  const context = await browser.newContext({ baseURL: base, serviceWorkers: "block" });
  try {
    await context.addCookies(cookies);
    const page = await context.newPage();
    await page.addInitScript({ content: script });
    await page.goto(jobPath);
    await page.locator("html[data-hydrated]").waitFor({ state: "attached" });
    const field = page.getByRole("textbox", { name: /^Reading at/ });
    await field.click();
    // What comes once the page stands is no key's.
    await page.locator("html[data-whole]").waitFor({ state: "attached" });
    await page.getByRole("region", { name: "Next move" }).waitFor();
    const session = await context.newCDPSession(page);
    await session.send("Performance.enable");
    const costs: KeyCost[] = [];
    for (const reading of readings) {
      for (const typed of pieces(reading)) {
        await settled(page);
        const before = await spent(page, session);
        await page.keyboard.type(typed);
        await settled(page);
        const after = await spent(page, session);
        costs.push({
          components: (after.components - before.components) / typed.length,
          scriptMs: (after.scriptMs - before.scriptMs) / typed.length,
        });
      }
      // Not taken: the next reading is for the same place, and nothing stays behind.
      await field.fill("");
    }
    return costs;
  } finally {
    await context.close();
  }
}

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

const median = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[values.length >> 1] ?? 0;

/** Two frames and a pause: what was put off until later has been done. */
const settled = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((done) =>
        requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(() => done(), 260))),
      ),
  );

async function spent(page: Page, session: CDPSession): Promise<KeyCost> {
  const { metrics } = await session.send("Performance.getMetrics");
  return {
    components: await page.evaluate(() => (globalThis as typeof globalThis & { rendered: number }).rendered),
    scriptMs: 1000 * (metrics.find(({ name }) => name === "ScriptDuration")?.value ?? 0),
  };
}

/**
 * In the page, before React: counts function components that did work, commit by commit, as React tells its tools. A text, because what
 * runs this file names functions by a helper that a page does not have.
 */
const countRenders = `
  globalThis.rendered = 0;
  const functionTags = new Set([0, 11, 15]);
  const walk = (first) => {
    for (let at = first; at; at = at.sibling) {
      if (functionTags.has(at.tag) && (at.flags & 1) === 1) globalThis.rendered++;
      // A fiber whose children are those of before was passed by with everything under it.
      if (!at.alternate || at.child !== at.alternate.child) walk(at.child);
    }
  };
  globalThis.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
    supportsFiber: true,
    renderers: new Map(),
    inject: () => 1,
    onCommitFiberUnmount() {},
    onCommitFiberRoot: (_, root) => walk(root.current),
  };
`;
