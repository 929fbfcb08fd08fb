import { expect, type Locator, type Page, test } from "@playwright/test";
import QRCode from "qrcode";
import { awake, beginJob, closeJob, signIn } from "./steps";

/** How many times Tab has to be pressed, from where the focus stands on arrival, until the thing to do has it. */
async function tabsTo(page: Page, thing: Locator): Promise<number> {
  for (let tabs = 0; tabs <= 12; tabs++) {
    if (await thing.evaluate((element) => element === document.activeElement)) return tabs;
    await page.keyboard.press("Tab");
  }
  return Number.POSITIVE_INFINITY;
}

/** Whether it is wholly in sight without scrolling. */
async function inSight(page: Page, thing: Locator): Promise<boolean> {
  const box = await thing.boundingBox();
  const height = page.viewportSize()?.height ?? 0;
  return box !== null && box.y >= 0 && box.y + box.height <= height;
}

const sizes = { tablet: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const;

for (const [name, viewport] of Object.entries(sizes)) {
  test(`the thing to do now is in sight and at most five tabs away on every screen of a ${name}`, async ({ page }) => {
    await page.setViewportSize(viewport);
    await signIn(page);
    const at = async (screen: string, thing: Locator) => {
      await expect(thing).toBeVisible();
      expect(await inSight(page, thing), `${screen}: ${await thing.textContent()} is in sight`).toBe(true);
      expect(await tabsTo(page, thing), `${screen}: tabs`).toBeLessThanOrEqual(5);
    };
    const open = async (path: string) => {
      await page.goto(path);
      await awake(page);
      // What has the focus on arrival has it a moment after the page stands.
      await page.waitForTimeout(300);
    };
    await page.getByRole("link", { name: "Rotary die-cutter" }).click();
    const goOn = page.getByRole("link", { name: /^Go on with the job/ }).first();
    await expect(goOn).toBeFocused();
    await at("machine with an open job", goOn);
    const machine = page.url();
    await open("/");
    await page.getByRole("link", { name: "Folder-gluer" }).click();
    await expect(page.getByRole("heading", { name: "Logbook" })).toBeVisible();
    await at("machine", page.getByRole("button", { name: "Start a job" }));
    await page
      .getByRole("link", { name: /^Delivery drive/ })
      .first()
      .click();
    await expect(page.getByRole("heading", { name: /^Delivery drive/, level: 1 })).toBeVisible();
    await at("stage", page.getByRole("button", { name: "Start a job" }));
    await open(machine);
    await page
      .getByRole("link", { name: /^Go on with the job/ })
      .first()
      .click();
    const done = page.getByRole("button", { name: "Done as said" });
    await expect(done).toBeVisible();
    await at("job, at its next move", done);
  });
}

test("a round of twelve on a phone takes forty taps at most, with the key of hundredths", async ({ page }) => {
  await page.setViewportSize(sizes.phone);
  const job = await beginJob(page, "Folder-gluer", "delivery drive", "Read on a phone");
  let taps = 0;
  const tap = async (thing: Locator) => {
    await thing.click();
    taps++;
  };
  await page.getByRole("radio", { name: "0.01 mm" }).click();
  const key = (name: string) => page.getByRole("button", { name, exact: true });
  for (const value of ["16", "17", "18", "17", "16", "15", "16", "17", "18", "17", "16", "15"]) {
    for (const digit of value) await tap(key(digit));
    await tap(key("Next tooth"));
  }
  await tap(key("Round done"));
  await expect(page.getByLabel("Tape")).toContainText("As found, 12 readings: 0.15 to 0.18 mm");
  expect(taps).toBeLessThanOrEqual(40);
  // Machine and stage stay named, and no station is cropped.
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Folder-gluer");
  for (const station of await page.getByRole("navigation", { name: "Stations" }).getByRole("link").all()) {
    const box = await station.boundingBox();
    expect(box && box.x >= 0 && box.x + box.width <= sizes.phone.width).toBe(true);
  }
  await closeJob(page, job);
});

test("a label held before the camera leads to its machine; what is no label is said to be none", async ({ page }) => {
  await signIn(page);
  await page.getByRole("link", { name: "Strapper" }).click();
  await expect(page.getByRole("heading", { name: "Strapper", level: 1 })).toBeVisible();
  const machine = page.url();
  const picture = (text: string) => QRCode.toDataURL(text, { width: 320, margin: 4 });
  // A stand-in for the tablet's camera: it sees one picture, then another.
  await page.addInitScript(
    ({ first, second }) => {
      const canvas = document.createElement("canvas");
      [canvas.width, canvas.height] = [640, 480];
      const show = async (source: string) => {
        const image = new Image();
        image.src = source;
        await image.decode();
        const sheet = canvas.getContext("2d");
        if (!sheet) return;
        sheet.fillStyle = "#8899a0";
        sheet.fillRect(0, 0, 640, 480);
        sheet.drawImage(image, 150, 70);
      };
      navigator.mediaDevices.getUserMedia = async () => {
        await show(first);
        setTimeout(() => show(second), 2500);
        return canvas.captureStream(10);
      };
    },
    {
      first: await picture("a parcel"),
      second: await picture(machine.replace("/machines/", "/at/")),
    },
  );
  await page.goto("/");
  await awake(page);
  await page.getByRole("button", { name: "Scan a label with the camera" }).click();
  await expect(page.getByRole("dialog").getByRole("status")).toContainText(
    "That is no label of a machine: “a parcel”.",
  );
  await expect(page).toHaveURL(machine.replace("/machines/", "/at/"));
});
