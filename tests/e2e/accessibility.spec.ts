import AxeBuilder from "@axe-core/playwright";
import { type BrowserContext, expect, type Page, test } from "@playwright/test";
import { openPool } from "../../data/postgres";
import { openCluster } from "../../scripts/lib/cluster";
import { awake, beginJob, closeJob, moreOf, readRound, signIn, visit } from "./steps";

const rooms = ["bright", "dark"] as const;

/** Signed in, in a bright or a dark room, with a way to check a view and all that the browser said and asked for meanwhile. */
async function inRoom(page: Page, context: BrowserContext, room: (typeof rooms)[number]) {
  const outside: string[] = [];
  const complaints: string[] = [];
  page.on("request", (request) => {
    if (new URL(request.url()).hostname !== "127.0.0.1" && /^https?:/.test(request.url())) outside.push(request.url());
  });
  page.on("console", (message) => {
    if (message.type() === "error") complaints.push(message.text());
  });
  await visit(page, "/sign-in");
  await context.addCookies([{ name: "room", value: room, url: page.url() }]);
  await page.reload();
  await awake(page);
  const check = async (view: string) => {
    // Of the dark room only the colours are others.
    const axe = new AxeBuilder({ page });
    const { violations } = await (room === "dark" ? axe.withRules(["color-contrast"]) : axe).analyze();
    expect(violations.map((v) => `${view}: ${v.id} ${v.nodes.map((n) => n.target).join(" ")}`)).toEqual([]);
  };
  const quiet = () => {
    expect(outside).toEqual([]);
    expect(complaints).toEqual([]);
  };
  await check("sign-in");
  await signIn(page);
  return { check, quiet };
}

for (const room of rooms) {
  test(`every place passes the accessibility check in the ${room} room, and asks nothing of the network outside`, async ({
    page,
    context,
  }) => {
    test.setTimeout(900_000);
    const { check, quiet } = await inRoom(page, context, room);
    await check("floor");
    await page.getByRole("link", { name: "Rotary die-cutter" }).click();
    await expect(page.getByRole("heading", { name: "Logbook" })).toBeVisible();
    await check("machine");
    const machine = new URL(page.url()).pathname;
    for (const path of [
      "/edit",
      "/copy",
      "/label",
      "/stages/new",
      "/drive-line",
      "/guides",
      "/guides/new",
      "/shafts/new",
      "/options",
      "/upkeep/edit",
      "/why",
      "/proof-plan",
    ]) {
      await visit(page, `${machine}${path}`);
      await check(`machine${path}`);
    }
    await visit(page, machine.replace("/machines/", "/at/"));
    await check("quick touch");
    for (const path of [
      "/jobs",
      "/plan",
      "/plan/walk",
      "/records?q=knock",
      "/rules",
      "/practice",
      "/machines/new",
      "/bench",
      "/offline",
      "/stores",
      "/stores/new",
      "/stores/instruments",
      "/stores/instruments/new",
      "/stores/sheets",
      "/stores/orders",
      "/account",
      "/people",
    ]) {
      await visit(page, path);
      await check(path);
    }
    await visit(page, "/");
    await page.getByRole("link", { name: "Strapper" }).click();
    await moreOf(page);
    await page.getByRole("link", { name: "Guides", exact: true }).click();
    await page.getByRole("link", { name: "Tensioner gearbox" }).click();
    await page.getByLabel("To reach", { exact: true }).selectOption({ label: "Sliding gear" });
    await check("guide");
    await page.getByRole("link", { name: "Edit Cover" }).click();
    await expect(page.getByRole("form", { name: "Cover" })).toBeVisible();
    await check("part of a guide");
    await visit(page, "/");
    await page.getByRole("link", { name: "Sheet feeder" }).click();
    await moreOf(page);
    await page.getByRole("link", { name: "Shafts", exact: true }).click();
    await check("shafts of a machine");
    await page.getByRole("link", { name: "Feed roll shaft" }).click();
    await expect(page.getByRole("region", { name: "As it stands" })).toBeVisible();
    await check("shaft");
    await page.getByRole("link", { name: "Edit the shaft" }).click();
    await expect(page.getByRole("form", { name: "The shaft" })).toBeVisible();
    await check("form of a shaft");
    await visit(page, "/");
    await page.getByRole("link", { name: "Slitter-rewinder" }).click();
    await page.getByRole("link", { name: "Grease and look lists" }).click();
    await expect(page.getByRole("form", { name: "Looked at" })).toBeVisible();
    await page.getByRole("radio", { name: "Damage" }).first().click();
    await page.getByRole("checkbox").first().click();
    await check("grease and looks");
    await visit(page, "/");
    await page.getByRole("link", { name: "Slitter-rewinder" }).click();
    await page
      .getByRole("link", { name: /^Knife gears/ })
      .first()
      .click();
    await expect(page.locator("[data-picture=trend] svg").first()).toBeVisible();
    await check("stage");
    const stage = new URL(page.url()).pathname;
    for (const what of ["geometry", "adjuster", "limits", "stage", "swap", "proof-plan"]) {
      await visit(page, `${stage}/${what}`);
      await check(`revise ${what}`);
    }
    quiet();
  });

  test(`who was away too long is asked on a page that passes it in the ${room} room`, async ({ page, context }) => {
    const folder = process.env.E2E_CLUSTER;
    test.skip(!folder, "needs the cluster that ./test starts");
    const { check } = await inRoom(page, context, room);
    const pool = openPool((await openCluster(folder ?? "", { throwaway: true })).url("throwaway"));
    const rest = () => pool.query("update session set seen_at = now() - interval '2 hours'");
    await visit(page, "/people");
    await page.getByText("K. Ferro").click();
    await check("people");
    await visit(page, "/account");
    await rest();
    await page.getByRole("button", { name: "Keep" }).click();
    await expect(page.getByRole("dialog", { name: "Still you?" })).toBeVisible();
    await check("still you?");
    await page.getByLabel("Password of I. Varga").fill("carton works");
    await page.keyboard.press("Enter");
    // What was held is sent, and nothing had to be typed again.
    await expect(page.getByText("Kept.")).toBeVisible();
    await rest();
    await visit(page, "/jobs");
    await expect(page.getByRole("heading", { name: "Still I. Varga?" })).toBeVisible();
    await check("still, on a page of its own");
    await page.getByRole("form", { name: "Go on" }).getByLabel("Password").fill("carton works");
    await page.keyboard.press("Enter");
    await expect(page).toHaveURL(/\/jobs$/);
    await pool.end();
  });

  test(`every station of a job passes it in the ${room} room`, async ({ page, context }) => {
    const { check, quiet } = await inRoom(page, context, room);
    const job = await beginJob(page, "Sheet feeder", "cam drive", "Check");
    await page.getByRole("link", { name: "Make safe" }).click();
    await check("make safe");
    await page.getByRole("button", { name: /^Left in and loose/ }).click();
    await check("ledger");
    await page.keyboard.press("Escape");
    await page.getByRole("link", { name: "Apart", exact: true }).click();
    await page.getByLabel(/^What comes off/).fill("cover");
    await page.getByRole("radio", { name: "Count them" }).click();
    await check("apart");
    await page.getByRole("radio", { name: "No screws" }).click();
    await page.getByRole("button", { name: "It is off" }).click();
    await page.getByText("A bearing narrower than its seat?").click();
    await page.getByRole("radio", { name: "Put on" }).click();
    await page.getByRole("button", { name: "It is on" }).click();
    await page.getByRole("button", { name: "Stiff" }).click();
    await check("apart, built up and binding");
    await page.getByRole("button", { name: "Free" }).last().click();
    await page.getByRole("link", { name: "As found" }).click();
    await readRound(page, ["0.10", "0.12", "0.11", "0.30", "0.17", "0.09"]);
    await page.getByText("Numbers behind this").click();
    await check("as found");
    await page.getByRole("button", { name: "By feel" }).click();
    await page.getByRole("button", { name: /small click/ }).click();
    await check("by feel");
    await page.getByRole("button", { name: "Read numbers instead" }).click();
    await page.getByRole("button", { name: /^Round done with/ }).click();
    await page.getByRole("button", { name: /^Did something else|^Moved it/ }).click();
    await check("next move");
    await page.getByRole("link", { name: "Lock up" }).first().click();
    await check("lock up");
    await page.getByRole("link", { name: "Prove" }).click();
    await check("prove");
    await page.getByRole("button", { name: "Go live" }).click();
    await check("going live");
    await page.keyboard.press("Escape");
    await page.getByRole("link", { name: "Sign off" }).click();
    await check("sign off");
    await closeJob(page, job);
    await check("signed");
    await page.getByRole("link", { name: "Print" }).click();
    await expect(page.getByRole("table", { name: "Entries" })).toBeVisible();
    await check("record");
    quiet();
  });
}

test("every page of the Bench and the form of every kind of stage pass it", async ({ page, context }) => {
  test.setTimeout(900_000);
  const { check, quiet } = await inRoom(page, context, "bright");
  await visit(page, "/bench");
  const tools = await page
    .getByRole("main")
    .getByRole("link")
    .evaluateAll((links) => links.map((link) => link.getAttribute("href") ?? ""));
  expect(tools.length).toBeGreaterThan(15);
  for (const tool of tools) {
    await visit(page, tool);
    await check(tool);
  }
  await visit(page, "/");
  await page.getByRole("link", { name: "Pallet lift" }).first().click();
  await page.getByRole("link", { name: "Add a stage" }).click();
  const kinds = page.getByRole("radiogroup", { name: "It is a" });
  for (const kind of [
    "worm and wheel",
    "bevel pair",
    "planetary set",
    "toothed belt",
    "V-belt",
    "roller chain",
    "coupling",
    "gap",
    "axis",
  ]) {
    await kinds.getByText(kind, { exact: true }).click();
    await check(kind);
  }
  quiet();
});
