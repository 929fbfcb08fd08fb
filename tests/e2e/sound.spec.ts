import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, type Locator, type Page, test } from "@playwright/test";
import { pluckSound, recordedIn, seededRandom } from "../../core/practice";
import { writeWav } from "../../core/sound";
import config from "../../playwright.config";
import { beginJob, closeJob, signIn, visit } from "./steps";

const rate = 22_050;
/** A belt that sounds at that pitch, in a works. */
const pluckAt = (stringHz: number, seed: number): Float64Array => {
  const string = {
    stringHz,
    stiffness: 0,
    decayS: 60 / stringHz,
    decayRise: 6,
    sharpening: 0.002,
    pluckAt: 0.4,
    hearAt: 0.3,
  };
  const sound = pluckSound({ ...string, plucks: [{ atS: 0.5, strength: 1 }] }, rate, 2.5);
  return recordedIn(sound, rate, { signalToNoiseDb: 20, mainsHz: 50, hum: 0.2, knocksS: [] }, seededRandom(seed));
};
const wav = (samples: Float64Array): Buffer => Buffer.from(writeWav(samples, rate));

const folder = mkdtempSync(join(tmpdir(), "harmostat-plucks-"));
const microphone = join(folder, "microphone.wav");
writeFileSync(microphone, wav(pluckAt(92, 7)));
test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

// The browser's own stand-in for a microphone plays a file.
test.use({
  permissions: ["microphone"],
  launchOptions: {
    ...config.use?.launchOptions,
    args: [
      ...(config.use?.launchOptions?.args ?? []),
      "--use-fake-ui-for-media-stream",
      "--use-fake-device-for-media-stream",
      `--use-file-for-fake-audio-capture=${microphone}`,
    ],
  },
});

const file = (at: Page | Locator, name: string, buffer: Buffer) =>
  at.getByLabel("Or a sound file").setInputFiles({ name, mimeType: "audio/wav", buffer });

/** Plucks once or more in the box that is open, and takes them as readings at its place. */
async function listen(page: Page, hz: readonly number[]): Promise<void> {
  await page.getByRole("button", { name: "Listen to a pluck" }).click();
  const box = page.getByRole("dialog", { name: /^Pluck and listen/ });
  for (const [i, each] of hz.entries()) {
    await file(box, `pluck ${i + 1}.wav`, wav(pluckAt(each, i + 1)));
    await expect(box.getByRole("list", { name: "Plucks so far" }).getByRole("listitem")).toHaveCount(i + 1);
  }
  await box.getByRole("button", { name: /^Take/ }).click();
  await expect(box).toBeHidden();
}

test("a belt is set by sound alone: several plucks at a place are readings of the microphone, judged in newtons", async ({
  page,
}) => {
  const job = await beginJob(page, "Rotary die-cutter", "blower belt", "Squeals, and no meter at hand");
  await page.getByRole("button", { name: "Listen to a pluck" }).click();
  const box = page.getByRole("dialog", { name: /^Pluck and listen/ });
  const expected = (await box.getByText(/^Expected: /).textContent()) ?? "";
  const [lo, hi] = [...expected.matchAll(/(\d+\.\d) Hz/g)].map(([, hz]) => Number(hz)) as [number, number];
  await page.keyboard.press("Escape");

  await listen(page, [0.8 * lo, 0.802 * lo, 0.797 * lo]);
  const list = page.getByRole("list", { name: "Readings" });
  await expect(list.getByText(/Hz/)).toHaveCount(3);
  await expect(page.getByText("Microphone, span frequency")).toBeVisible();
  await listen(page, [0.81 * lo]);
  await listen(page, [0.79 * lo]);
  await listen(page, [0.8 * lo]);
  await page.getByRole("button", { name: "Round done" }).click();
  const tape = page.getByLabel("Tape");
  const next = page.getByRole("region", { name: "Next move" });
  await expect(next).toContainText(/outside/);
  await page.getByRole("button", { name: "Done as said" }).click();
  await expect(tape).toContainText("Motor base screws");

  await visit(page, `/jobs/${job}/set`);
  await listen(page, [Math.sqrt(lo * hi)]);
  await page
    .getByRole("button", { name: /^(Log|Done|Reading|Round)/ })
    .first()
    .click();
  await expect(next).toContainText(/inside|near the edge/);
  await closeJob(page, job);
});

test("what is no pluck is said in words, and what was heard before stands; the microphone hears as a file does", async ({
  page,
}) => {
  await signIn(page);
  await visit(page, "/bench/pluck");
  const own = page.getByRole("region", { name: "Your own belt" });
  const plucks = own.getByRole("list", { name: "Plucks so far" }).getByRole("listitem");
  await own.getByRole("button", { name: "Listen" }).click();
  await expect(plucks).toHaveCount(1);
  await expect(own.getByRole("status")).toContainText(/9[12]\.\d Hz by one pluck/);

  const hum = Float64Array.from({ length: 2 * rate }, (_, i) => 0.4 * Math.sin((2 * Math.PI * 100 * i) / rate));
  for (const [name, buffer, said] of [
    ["silence.wav", wav(new Float64Array(rate)), /There is no sound in it/],
    ["hum.wav", wav(hum), /Nothing rings in it|It does not fade/],
    [
      "clipped.wav",
      wav(pluckAt(92, 2).map((value) => Math.max(-0.15, Math.min(0.15, value)))),
      /too loud for the recorder/,
    ],
    ["cut off.wav", wav(pluckAt(92, 3)).subarray(0, 70_000), /ends before it says so/],
  ] as const) {
    await file(own, name, buffer);
    await expect(own.getByRole("status")).toContainText(said);
  }
  await expect(plucks).toHaveCount(5);
  await file(own, "letter.txt", Buffer.from("Not a sound."));
  await expect(own.getByRole("alert")).toContainText("not a recording");
  await file(own, "long.wav", Buffer.alloc(41 * 2 ** 20));
  await expect(own.getByRole("alert")).toContainText("40 MB fit");
  await expect(plucks).toHaveCount(5);

  // A person moves the pick by keys, and strikes a pluck out.
  await own.getByRole("slider", { name: "Pitch that is picked" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(plucks.last()).toContainText("picked by hand");
  await own.getByRole("button", { name: "Strike out pluck 1" }).click();
  await expect(plucks).toHaveCount(4);
});
