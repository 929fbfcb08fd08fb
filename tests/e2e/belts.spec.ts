import { expect, type Page, test } from "@playwright/test";
import { beginJob, closeJob, readRound, signIn, visit } from "./steps";

const prove = async (page: Page, job: string) => {
  await visit(page, `/jobs/${job}/prove`);
  await page.getByRole("button", { name: "Go live" }).click();
  const dialog = page.getByRole("dialog", { name: "Before power comes on" });
  for (const tick of await dialog.getByRole("checkbox").all()) await tick.click();
  await dialog.getByRole("button", { name: "Go live" }).click();
  await expect(page.getByRole("button", { name: "Live", exact: true })).toBeVisible();
};

test("a belt's idler is moved in its drawing and placed by the strand; what follows goes with it", async ({ page }) => {
  await signIn(page);
  await page.getByRole("link", { name: "Folder-gluer" }).first().click();
  await page
    .getByRole("link", { name: /^Transport belt/ })
    .first()
    .click();
  await page.getByRole("link", { name: "Revise the geometry" }).click();
  const stage = page.getByRole("region", { name: "The stage" });
  await expect(stage).toContainText("Path1119.65 mm");
  const idler = page.getByRole("button", { name: /^Idler 1 at/ });
  await idler.focus();
  await page.keyboard.press("ArrowUp");
  await expect(page.getByLabel("Idler 1, y")).toHaveValue("-19");
  await expect(stage).toContainText(/Tension so[\d.]+ N by EA and the stretch alone/);
  const from = await idler.boundingBox();
  if (!from) throw new Error("not drawn");
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + 30, from.y + from.height / 2 + 200, { steps: 5 });
  // Off the belt it says so, and can still be brought back.
  await expect(page.getByText(/The belt has no path: it does not touch idler 1/)).toBeVisible();
  await page.mouse.up();
  await page.getByLabel("Idler 1, x").fill("217");
  await page.getByLabel("Idler 1, y").fill("");
  await page.getByLabel("Idler 1, or pressed in").fill("43.2");
  await expect(idler).toHaveAccessibleName(/x 217\.0 mm, y −20\.0 mm/);
  await page.getByLabel("Idler 1, x").fill("600");
  await expect(page.getByText(/No free strand passes there: it leaves the wheels between x/)).toBeVisible();
});

test("tight enough for no clunk: run by run with the current, and not against what was measured", async ({ page }) => {
  const job = await beginJob(page, "Folder-gluer", "transport belt", "Clunks at reversal");
  await readRound(page, ["42", "43", "42", "41", ""]);
  await page.getByText("New or run in, warm, and in its frame").click();
  await page.getByLabel("The frame is of").selectOption({ label: "aluminium" });
  await page.getByLabel("The belt pulls by").selectOption({ label: "glass cord" });
  await page.getByLabel("Now it is").fill("20");
  await page.getByLabel("Running it gets").fill("45,5");
  // 60 000 N · 18e-6 · 25.5 K.
  await expect(page.getByRole("region", { name: "When it runs warm" })).toContainText(
    /281 to 309 N becomes 308 to 336 N/,
  );
  await prove(page, job);
  const search = page.getByRole("region", { name: "Tight enough for no clunk, and no tighter" });
  await expect(search).toContainText("No fast run had its noise noted yet");
  const fastRun = async (noise: string, current: string) => {
    await page.getByRole("button", { name: /^Forwards, fast:/ }).click();
    await page.getByLabel("Current").fill(current);
    await page
      .getByRole("radiogroup", { name: "Noises" })
      .or(page.getByRole("group", { name: "Noises" }))
      .getByText(noise, { exact: true })
      .click();
    await page.getByRole("button", { name: "Ran as it should" }).click();
  };
  await fastRun("clunk at reversal", "2.1");
  await expect(search.getByRole("row").last()).toContainText(/as found\s*clunk at reversal\s*2\.10 A/);
  await expect(search).toContainText("Next: Eccentric idler 2° counter-clockwise, then run it fast again.");
  await fastRun("quiet", "2.2");
  await expect(search).toContainText(/Next|Found/);
  await closeJob(page, job);
});

test("what a belt pulls at its place stands in the drive line, and a turn of an output is divided", async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole("link", { name: "Folder-gluer" }).first().click();
  await page.getByText("Speeds, torque, directions, lost motion").click();
  await page.getByText("What its belts and chains have to pull").click();
  await expect(page.getByRole("listitem").filter({ hasText: "Transport belt:" })).toContainText(
    /262 N; 15 teeth in mesh; 6\.9 N on each mm of its 38 mm/,
  );
  const rolls = page.getByRole("region", { name: "Fold rolls" });
  await rolls.getByText("Divide a turn of it").click();
  await rolls.getByLabel("Divisions").fill("7");
  await rolls.getByLabel("Motor steps a turn").fill("200");
  await expect(rolls.getByRole("status")).toContainText(/A division is 600\/7 steps/);
  await rolls.getByRole("link", { name: /Put the runout of its wheels in as well/ }).click();
  await expect(page.getByLabel("Divisions")).toHaveValue("7");
  await expect(page.getByLabel("Steps a turn")).toHaveValue("600/1");
});

test("a belt is set by hand alone: felt slack, tightened by the adjuster's own steps, felt firm, and signed", async ({
  page,
}) => {
  const job = await beginJob(page, "Folder-gluer", "transport belt", "No meter about");
  await page.getByRole("button", { name: "By feel" }).click();
  const pane = page.getByRole("region", { name: "Feel", exact: true });
  const enough = pane.getByText("Enough places are felt");
  /** One place with a key of its own: the tightest. */
  const feelAll = async (key: string, done: string, tightest = key) => {
    await expect(pane).toBeVisible();
    for (let i = 0; i < 14 && !(await enough.isVisible()); i++) await page.keyboard.press(i === 2 ? tightest : key);
    await expect(enough).toBeVisible();
    await pane.getByRole("button", { name: done }).click();
  };
  await feelAll("1", "Round done", "2");
  const says = page.getByRole("region", { name: "What it says" });
  await expect(says).toContainText(
    /Too loose, by feel\.\s*Stand it at .+, the tightest place\. Tighten it a little there/,
  );
  await says.getByRole("link", { name: "Set it" }).click();
  const step = page.getByRole("region", { name: "Next step" });
  await expect(step).toContainText(/Stand it at .+\. Eccentric idler: \d+° counter-clockwise\./);
  await step.getByRole("button", { name: "Did it so" }).click();
  await feelAll("3", "Reading done");
  await expect(says).toContainText("Right by feel.");
  await closeJob(page, job);
  await page.getByRole("link", { name: "To the machine's logbook" }).click();
  await expect(page.getByRole("region", { name: "Logbook" })).toContainText("nothing measured as found, right by feel");
});
