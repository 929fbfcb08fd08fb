import { expect, type Page, test } from "@playwright/test";
import sharp from "sharp";
import { freePort } from "../../scripts/lib/cluster";
import { nameFirstLead, ownStart } from "./own-start";
import { acknowledgeAll, makeSafe, moreOf, visit, whole } from "./steps";

const own = ownStart();
test.afterAll(own.clear);

const fill = async (page: Page, texts: Record<string, string>) => {
  for (const [label, text] of Object.entries(texts)) await page.getByLabel(label, { exact: true }).fill(text);
};
const tape = (page: Page) => page.getByLabel("Tape");
const choose = (page: Page, legend: string, word: string) =>
  page.getByRole("radiogroup", { name: legend }).getByRole("radio", { name: word, exact: true }).click();
const press = (page: Page, name: string | RegExp) => page.getByRole("button", { name, exact: true }).click();

/** One part off by name, with its screws as "6 M4 12 6" or none. */
async function takeOff(page: Page, name: string, screws: string | null, words: readonly string[] = []): Promise<void> {
  await page.getByLabel(/^What comes off/).fill(name);
  if (screws === null) await choose(page, "Screws that came out", "No screws");
  else {
    await choose(page, "Screws that came out", "Count them");
    const [count, size, length, washers] = screws.split(" ");
    await fill(page, { "How many": count ?? "", Size: size ?? "", Length: length ?? "", Washers: washers ?? "" });
  }
  for (const word of words) await press(page, word);
  await press(page, "It is off");
  await expect(tape(page)).toContainText(`Off: ${name}`);
  await expect(page.getByRole("list", { name: "Still off" })).toContainText(name);
}

async function photograph(page: Page, name: string): Promise<void> {
  const jpeg = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#8b949b" } })
    .jpeg()
    .toBuffer();
  await page.getByLabel(`Photograph ${name}`).setInputFiles({ name: "part.jpg", mimeType: "image/jpeg", buffer: jpeg });
}

const turn = async (page: Page, how: string, feel: string) => {
  await page
    .getByRole("region", { name: "Turn by hand" })
    .getByRole("group", { name: how })
    .getByRole("button", { name: feel })
    .click();
  await expect(tape(page)).toContainText(`${how.toLowerCase()}: ${feel.toLowerCase()}`);
};
const isOn = async (page: Page, name: string, key: string | RegExp = "It is on") => {
  await expect(page.getByRole("form", { name: "Put on" })).toContainText(`Put on ${name}`);
  await press(page, key);
  await expect(page.getByRole("list", { name: "On again" })).toContainText(name);
};

test("on a phone, from an empty workshop: a gearbox taken apart, a bearing found too narrow and shimmed from the drawer, built up by the reversed list, everything counted; its guide leads the mirrored twin", async ({
  browser,
}) => {
  test.setTimeout(900_000);
  const port = await freePort();
  const started = own.start(port, "--empty");
  await expect.poll(started.output, { timeout: 180_000 }).toContain("name the first lead");
  await expect.poll(started.output, { timeout: 180_000 }).toContain("Ctrl-C stops it");
  const context = await browser.newContext({
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 390, height: 844 },
    serviceWorkers: "block",
  });
  const page = await context.newPage();
  await nameFirstLead(page);
  await visit(page, "/stores/sheets");
  await page
    .getByLabel("Or the lines themselves")
    .fill(
      "kind;name;nominal mm;measured mm;count;place;bore mm\nshim;Shim 0,3;0,3;;4;Drawer 1;20\nshim;Shim 0,1;0,1;;9;Drawer 1;20",
    );
  await press(page, "Look what it would do");
  await press(page, "Take all of it in");
  await expect(page.getByRole("heading", { name: "Taken in" })).toBeVisible();

  await visit(page, "/machines/new");
  await fill(page, { Name: "Strap feeder", Tag: "SF-1" });
  await press(page, /^Save, and enter/);
  await page.getByLabel("Name of the stage").fill("Gearbox");
  await page.getByRole("radiogroup", { name: "It is a" }).getByText("gap", { exact: true }).click();
  await fill(page, { "Diameter of the faces": "40" });
  await fill(page, { "How many": "4", "Bolt circle": "80", Screw: "M6", "Full torque": "9" });
  await fill(page, { Called: "Shims at the cover", "+ is called": "thicker", "− is called": "thinner" });
  await page.getByText("closes the gap", { exact: true }).click();
  await fill(page, { Lower: "0,05", Upper: "0,15", "Source, in words": "Plate" });
  await press(page, "Save the stage");
  await page.getByLabel("Why look at the gearbox?").fill("Knocks");
  await page.keyboard.press("Enter");
  await makeSafe(page, "7");
  await page.getByRole("link", { name: "Apart", exact: true }).click();
  await whole(page);

  // Apart, one by one; a photograph without a network waits, and goes when there is one.
  await takeOff(page, "Cover", "6 M4 12 6", ["dirty", "clean it"]);
  await context.setOffline(true);
  await photograph(page, "Cover");
  await expect(page.getByText("A photograph waits on this tablet")).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText("A photograph waits on this tablet")).toHaveCount(0);
  await expect(page.getByRole("list", { name: "Photographs of Cover" }).getByRole("link")).toHaveCount(1);
  await takeOff(page, "Slider", null, ["good"]);
  // The same name twice would be confused later.
  await page.getByLabel(/^What comes off/).fill("slider");
  await press(page, "It is off");
  await expect(page.getByRole("alert").filter({ hasText: "Slider is off already, by L. Orban" })).toBeVisible();
  await page.getByText("How it sat").click();
  await fill(page, { Side: "left", "Mark that keeps its place": "dot to dot" });
  await takeOff(page, "Bearing", null, ["turning in its seat", "exchange it"]);

  await page.getByText("A bearing narrower than its seat?").click();
  const seat = page.getByRole("region", { name: "In its seat" });
  await seat.getByLabel("Part", { exact: true }).selectOption({ label: "Bearing" });
  await seat.getByLabel(/^Depth of the seat/).fill("8,31 8,31");
  await seat.getByLabel(/^Width of the part/).fill("8,0O");
  await expect(seat.getByRole("alert")).toBeVisible();
  await seat.getByLabel(/^Width of the part/).fill("8,00");
  await expect(seat).toContainText("too narrow for its seat by 0.3");
  await press(page, "Laid in: 0.300 mm");
  await expect(tape(page)).toContainText("Bearing in its seat: too narrow for its seat");

  // Built up by the reversed list, turned by hand after each part.
  await choose(page, "Now", "Put on");
  await expect(page.getByRole("form", { name: "Put on" })).toContainText("dot to dot");
  await page.getByLabel("A new one in its place").click();
  await isOn(page, "Bearing");
  await turn(page, "As built so far", "Free");
  await isOn(page, "Slider");
  await turn(page, "As built so far", "Stiff");
  const turning = page.getByRole("region", { name: "Turn by hand" });
  await expect(turning).toContainText("Suspect: Slider. Next: turn it alone, off its seat.");
  await turn(page, "Alone", "Free");
  await turn(page, "Pushed home at that end only", "Stiff");
  await expect(turning).toContainText("fouled at that end");
  await choose(page, "Now", "Take off");
  await takeOff(page, "Slider", null, ["burr", "take off the burr"]);
  await choose(page, "Now", "Put on");
  await isOn(page, "Slider");
  await page.getByText("What was found and done").click();
  await page.getByRole("button", { name: "filed", exact: true }).click();
  await turn(page, "As built so far", "Free");

  // A screw is left over: said before power, and on the page that is signed.
  await page.getByLabel("Not all of its screws are in").click();
  await page.getByLabel("M4 × 12 in, of 6").fill("5");
  await isOn(page, "Cover", "It is on, screws started as counted");
  await expect(page.getByRole("list", { name: "Does not close" })).toContainText("1 × M4 × 12 of Cover not in");
  await page.getByRole("button", { name: "Isolated, lock 7", exact: true }).click();
  await expect(page.getByRole("dialog")).toContainText("1 × M4 × 12 of Cover not in");
  await page.keyboard.press("Escape");
  await press(page, "Cover: the missing ones are in now");
  await press(page, "Cover: all snug");
  await press(page, "Cover: all firm");
  await expect(
    page.getByRole("status").filter({ hasText: "Back: 3 of 3 parts, 6 of 6 screws, 6 of 6 washers" }),
  ).toBeVisible();
  await turn(page, "As built so far", "Free");
  await page.getByText("Keep it as the guide of this machine").click();
  await fill(page, { "Name of the assembly": "Gearbox" });
  await press(page, "Keep it as the guide");
  await expect(page.getByText("Kept as the guide of this machine.")).toBeVisible();
  const jobId = new URL(page.url()).pathname.split("/")[2];
  await visit(page, `/jobs/${jobId}/sign-off`);
  const onPage = page.getByRole("region", { name: "Taken apart" });
  await expect(onPage).toContainText(
    "Bearing turning in its seat; to do: exchange it; too narrow for its seat by 0.31 mm; a new one is on",
  );
  await expect(onPage).toContainText("Back: 3 of 3 parts, 6 of 6 screws, 6 of 6 washers");
  await acknowledgeAll(page);
  await press(page, /^Sign as/);
  await expect(page.getByRole("heading", { name: /^Signed by L. Orban/ })).toBeVisible();

  // Its mirror image has the guide, for the other hand.
  await visit(page, "/");
  await page.getByRole("link", { name: "Strap feeder" }).click();
  await moreOf(page);
  await page.getByRole("link", { name: "Copy", exact: true }).click();
  await fill(page, { Name: "Strap feeder, other hand", Tag: "SF-2" });
  await page.getByText("its mirror image").click();
  await press(page, "Make the copy");
  await expect(page.getByRole("heading", { name: /^Strap feeder, other hand/, level: 1 })).toBeVisible();
  await moreOf(page);
  await page.getByRole("link", { name: "Guides", exact: true }).click();
  await page.getByRole("link", { name: "Gearbox" }).click();
  await page.getByLabel("To reach", { exact: true }).selectOption({ label: "Bearing" });
  await expect(page.getByRole("status").filter({ hasText: "To reach" })).toContainText("nothing has to come off");
  // The cover waits for the slider and hides the bearing: said once, with the keyboard, and then it is in the way.
  await page.getByRole("link", { name: "Order and ties" }).click();
  await page.getByLabel("Part 3, It hides").fill("Bearing, Slider");
  await page.getByLabel("Part 1, On after").fill("Cover");
  await press(page, "Keep the guide");
  await expect(page.getByText(/wait for one another in a ring: Bearing → Cover/)).toBeVisible();
  await page.getByLabel("Part 1, On after").fill("");
  await page.getByRole("button", { name: "Move part 2" }).focus();
  // Each key once the one before is heard, as a hand does.
  await page.keyboard.press("Space");
  await expect(page.getByText(/^(Row 2 taken up|At place 2)\.$/)).toBeAttached();
  await page.keyboard.press("ArrowUp");
  await expect(page.getByText("At place 1.")).toBeAttached();
  await page.keyboard.press("Space");
  await expect(page.getByLabel("Part 1, Part")).toHaveValue("Slider");
  await press(page, "Keep the guide");
  await expect(page.getByRole("list", { name: "Parts as they come off" })).toContainText("Side: right");
  await page.getByLabel("To reach", { exact: true }).selectOption({ label: "Bearing" });
  await expect(page.getByRole("status").filter({ hasText: "To reach" })).toContainText("take off Cover, 6 screws");

  await visit(page, "/");
  await page.getByRole("link", { name: "Strap feeder, other hand" }).click();
  await page.getByLabel("Why look at the gearbox?").fill("The same on this side");
  await page.keyboard.press("Enter");
  await makeSafe(page, "8");
  await page.getByRole("link", { name: "Apart", exact: true }).click();
  await whole(page);
  await page.getByText("By the guide Gearbox, revision 2").click();
  await page.getByLabel("To reach", { exact: true }).selectOption({ label: "Bearing" });
  for (const part of ["Cover", "Bearing"]) {
    if (part === "Cover") await choose(page, "Screws that came out", "6 × M4 × 12 with 6 washers");
    await press(page, `${part} is off`);
    await expect(tape(page)).toContainText(`Off: ${part}`);
  }
  await expect(page.getByRole("status").filter({ hasText: "Back: 0 of 2 parts, 0 of 6 screws" })).toBeVisible();
  await context.close();
  started.child.kill("SIGINT");
  await started.ends;
});
