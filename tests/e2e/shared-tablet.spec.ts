import { expect, test } from "@playwright/test";
import { acknowledgeAll, awake, beginJob, readRound, signIn, visit, whole } from "./steps";

test.use({ serviceWorkers: "allow" });

/** A photograph of a few grey points. */
const photograph = Buffer.from(
  "iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAACXBIWXMAAAPoAAAD6AG1e1JrAAAAD0lEQVQImWPowAEYhpYEANsRZgE07zdlAAAAAElFTkSuQmCC",
  "base64",
);

test("a tablet that several use, without a network: signed is not confirmed, a photograph waits; both go in once the signer shows who they are", async ({
  page,
  context,
}) => {
  await signIn(page, "/account");
  await page.getByRole("button", { name: "Several people use it" }).click();
  await expect(page.getByRole("button", { name: "It is mine alone" })).toBeVisible();
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Shared and away");
  const machine = await page.getByRole("link", { name: "Sheet feeder" }).getAttribute("href");
  await visit(page, machine ?? "");
  // A page that is left before it has said that it is to be kept is not kept.
  await expect
    .poll(() => page.evaluate(async (url) => (await caches.match(url)) !== undefined, machine ?? ""))
    .toBe(true);
  await visit(page, `/jobs/${job}/as-found`);
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);

  await whole(page);
  await context.setOffline(true);
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with 3/ }).click();
  await page.getByRole("link", { name: "Sign off" }).click();
  await acknowledgeAll(page);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByText("Signed, not confirmed.")).toBeVisible();
  await page.goto(machine ?? "");
  await awake(page);
  await page
    .getByLabel("Photograph or file")
    .setInputFiles({ name: "flange.png", mimeType: "image/png", buffer: photograph });
  await page.getByLabel("What it shows").fill("Oil at the flange, away");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByText("Kept on this tablet; it is sent when the server can be reached.")).toBeVisible();

  await context.setOffline(false);
  const strip = page.getByRole("region", { name: "Kept on this tablet" });
  await expect(strip.getByText("Signed, not confirmed.")).toBeVisible();
  const record = async () => (await page.request.get(`/jobs/${job}/record.json`)).json();
  const kinds = async () => (await record()).entries.map((entry: { kind: string }) => entry.kind);
  await expect.poll(kinds).toEqual(["job-opened", "isolated", "round"]);
  await strip.getByLabel("Your PIN or password").fill("not that one");
  await page.keyboard.press("Enter");
  await expect(strip.getByText("That is not the password.")).toBeVisible();
  await strip.getByLabel("Your PIN or password").fill("carton works");
  await page.keyboard.press("Enter");
  await expect(strip).toHaveCount(0);
  const signature = (await record()).entries.at(-1);
  expect(signature).toMatchObject({ kind: "signature", madeByName: "I. Varga", body: { provenBy: "password" } });
  expect(JSON.stringify(await record())).not.toContain("carton works");
  await page.reload();
  await awake(page);
  await expect(page.getByText("Oil at the flange, away").first()).toBeVisible();
  await visit(page, "/account");
  await page.getByRole("button", { name: "It is mine alone" }).click();
  await expect(page.getByRole("button", { name: "Several people use it" })).toBeVisible();
});

test("a tablet without room says in red that it is not kept, and sends it straight on when the server is there", async ({
  page,
  context,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "No room");
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...given: Parameters<typeof put>) {
      if (this.name === "outbox") throw new DOMException("full", "QuotaExceededError");
      return put.apply(this, given);
    };
  });
  await page.getByRole("link", { name: "Make safe" }).click();
  const note = async (text: string) => {
    await page.getByLabel("Note for the logbook").fill(text);
    await page.getByRole("button", { name: "Add to log" }).click();
  };
  await note("Straight on");
  await expect(page.getByLabel("Tape")).toContainText("Straight on");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  await whole(page);
  await context.setOffline(true);
  await note("Held in the page");
  await expect(page.getByRole("alert").filter({ hasText: "Not kept: this tablet has no room left" })).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole("alert").filter({ hasText: "Not kept" })).toHaveCount(0, { timeout: 60_000 });
  const record = await (await page.request.get(`/jobs/${job}/record.json`)).json();
  const notes = record.entries.filter((entry: { kind: string }) => entry.kind === "note");
  expect(notes.map((entry: { body: { text: string } }) => entry.body.text)).toEqual([
    "Straight on",
    "Held in the page",
  ]);
  await page.getByRole("link", { name: "As found" }).click();
  await readRound(page, ["0.11", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await page.getByRole("link", { name: "Sign off" }).click();
  await acknowledgeAll(page);
  await page.getByRole("button", { name: /^Sign as/ }).click();
  await expect(page.getByRole("heading", { name: /^Signed by/ })).toBeVisible();
});
