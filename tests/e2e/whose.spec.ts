import { expect, type Page, test } from "@playwright/test";
import { v7 } from "uuid";
import { awake, beginJob, closeJob, personIdOf, readRound, signIn, visit } from "./steps";

/** Who a record says made each of its entries of a kind. */
async function namesOf(page: Page, job: string, kind: string): Promise<string[]> {
  const record = await (await page.request.get(`/jobs/${job}/record.json`)).json();
  return record.entries.flatMap((entry: { kind: string; madeByName: string }) =>
    entry.kind === kind ? [entry.madeByName] : [],
  );
}

const note = async (page: Page, text: string) => {
  await page.getByLabel("Note for the logbook").fill(text);
  await page.getByRole("button", { name: "Add to log" }).click();
};

test("handed over in another tab: this one loads anew, and what is written is the new one's; behind its back it is refused and kept", async ({
  page,
  context,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Two tabs");
  await page.getByRole("link", { name: "Make safe" }).click();
  const lead = await personIdOf(page);
  const other = await context.newPage();
  await visit(other, "/");
  await other.getByRole("button", { name: /hand over, account/ }).click();
  await other.getByRole("button", { name: "M. Sandor" }).click();
  await other.getByLabel("Their PIN").fill("2468");
  await other.keyboard.press("Enter");
  await expect(other.getByRole("button", { name: /^M. Sandor: hand over/ })).toBeVisible();
  // Told by the browser itself.
  await expect(page.getByRole("button", { name: /^M. Sandor: hand over/ })).toBeVisible();
  await awake(page);
  await note(page, "Written by Sandor");
  await expect(page.getByLabel("Tape")).toContainText("Written by Sandor");
  await expect.poll(() => namesOf(page, job, "note")).toEqual(["M. Sandor"]);

  // The session changes without this tab's browser saying so.
  const sandor = await personIdOf(page);
  const unlocked = await page.request.post("/account/unlock", { data: { personId: lead, secret: "carton works" } });
  expect(unlocked.status()).toBe(200);
  // Already what is being typed is refused.
  await page.getByLabel("Note for the logbook").fill("Written behind the back");
  const lock = page.getByRole("dialog", { name: "Somebody else is signed in now" });
  await expect(lock).toBeVisible();
  expect(await namesOf(page, job, "note")).toEqual(["M. Sandor"]);
  // What a page posts under another name is refused, whatever it is.
  const forged = { id: v7(), kind: "note", text: "x", stageId: v7(), madeAt: new Date().toISOString() };
  const refused = await page.request.post(`/jobs/${job}/entries`, { data: forged, headers: { "X-Person": sandor } });
  expect([refused.status(), (await refused.json()).refusal.code]).toEqual([409, "other-person"]);
  expect((await page.request.post(`/jobs/${job}/entries`, { data: forged })).status()).toBe(409);

  await lock.getByLabel("Password of M. Sandor").fill("carton works");
  await page.keyboard.press("Enter");
  await expect(lock).toHaveCount(0);
  await page.getByRole("button", { name: "Add to log" }).click();
  await expect(page.getByLabel("Tape")).toContainText("Written behind the back");
  await expect(page.getByLabel("Tape")).not.toContainText("waiting");
  await expect.poll(() => namesOf(page, job, "note")).toEqual(["M. Sandor", "M. Sandor"]);
  await other.close();
  await page.getByRole("link", { name: "As found" }).click();
  await readRound(page, ["0.10", "0.12", "0.11"]);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await expect(page.getByLabel("Tape")).toContainText("As found, 3 readings");
  // This tablet is shared from the hand-over on: the signature asks who it is, with the password too.
  await closeJob(page, job, "carton works");
  expect(await namesOf(page, job, "signature")).toEqual(["M. Sandor"]);
});

test("a draft is its writer's: who signs in after them finds their own, and the first finds it again", async ({
  page,
}) => {
  const job = await beginJob(page, "Sheet feeder", "cam drive", "Drafts");
  await readRound(page, ["0.10"]);
  await page.getByRole("textbox", { name: /^Reading at/ }).fill("0.1");
  const signOut = async () => {
    await page.getByRole("button", { name: /hand over, account/ }).click();
    await page.getByRole("button", { name: "Sign out" }).click();
    await expect(page.getByRole("heading", { name: "Who is at the machine?" })).toBeVisible();
  };
  await signOut();
  await page.getByLabel("Sign-in name").fill("ferro");
  await page.getByLabel("Password").fill("carton works");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("link", { name: "Sheet feeder" })).toBeVisible();
  await visit(page, `/jobs/${job}/as-found`);
  await expect(page.getByRole("list", { name: /^Readings so far/ })).not.toContainText("0.10");
  await signOut();
  await signIn(page, `/jobs/${job}/as-found`);
  await expect(page.getByRole("list", { name: /^Readings so far/ })).toContainText("0.10");
  await closeOut(page, job);
});

/** Nothing was read: the job is closed by a round. */
async function closeOut(page: Page, job: string): Promise<void> {
  await page.getByRole("textbox", { name: /^Reading at/ }).fill("");
  await page.getByRole("textbox", { name: /^Reading at/ }).click();
  await readRound(page, ["0.11", "0.12"]);
  await page.getByRole("button", { name: /^Round done with/ }).click();
  await expect(page.getByLabel("Tape")).toContainText("As found");
  await closeJob(page, job);
}

test("odd addresses and ids that are none are answered, never with a broken server", async ({ page }) => {
  await signIn(page);
  for (const path of [
    "/machines/%00",
    "/jobs?after=x",
    "/jobs?before=x%20y",
    "/stores?after=1",
    "/machines/not-an-id",
    "/files/not-an-id",
    "/stores/items/x",
    "/stores/certificates/x",
    "/people/x/data.json",
    "/stages/00000000-0000-0000-0000-000000000000",
    "/jobs/00000000-0000-0000-0000-000000000000/record.pdf",
    "/?after=%27",
    "/%E0%A4%A",
  ]) {
    const { status } = await page.evaluate(async (url) => ({ status: (await fetch(url)).status }), path);
    expect(status, path).toBeLessThan(500);
  }
  for (const to of ["/%09/elsewhere.example", "//elsewhere.example", "/%0a/elsewhere.example"]) {
    const answer = await page.request.post("/sign-in", {
      form: { signIn: "lead", password: "carton works", to: decodeURIComponent(to) },
      maxRedirects: 0,
    });
    expect(new URL(answer.headers().location ?? "", "http://here").host, to).toBe("here");
  }
});
