import { execFileSync } from "node:child_process";
import { join, resolve } from "node:path";
import type { Pool } from "../../data/postgres";
import { people } from "../../demo/people";
import { lead } from "../../demo/works";
import { personHeader, personOf } from "./as-person";

const root = resolve(import.meta.dirname, "../..");

/** Who may: nobody need be signed in, anybody who is, those who do jobs, leads alone; null: there is no such thing. */
type Who = "anyone" | "signed-in" | "work" | "lead" | null;

/** Pages that whoever is signed in may look at, and that take nothing. */
const pages = (under: string, names: readonly string[]) =>
  Object.fromEntries(names.map((name) => [`${under}/${name}`, { look: "signed-in", send: null }] as const));

const benchTools = [
  "gear-identify",
  "gear-pair",
  "gear-span",
  "worm-pair",
  "bevel-pair",
  "planetary",
  "belt-drive",
  "belt-path",
  "belt-tension",
  "idler-set",
  "chain-drive",
  "chain-condition",
  "shaft-align",
  "coupling",
  "train",
  "hole-grid",
  "index-plan",
  "steps-per-unit",
  "shim-stack",
  "shaft-stack",
  "verdict",
  "fit",
  "fasten-order",
  "feel-round",
  "paper-strip",
  "contact-print",
  "go-no-go",
  "advise",
  "response",
  "round-plan",
  "shift-travel",
  "stop-spacer",
  "force-sweep",
  "made-bore",
  "fit-series",
  "swap-pairs",
  "ratio-for-speed",
  "flatness",
  "part-runout",
  "housing-line",
  "wheel-align",
  "frame-pull",
  "strip-order",
  "grease-due",
  "tension-first",
  "strands",
  "belt-width",
  "roller-grid",
  "hand-slack",
  "open-run",
  "axis-travel",
  "counterbalance",
  "index-error",
  "closure",
  "heard-period",
  "warm-up",
  "thermal-mesh",
  "trend",
  "pluck",
];

/** Who may look at each route and who may send to it, as the workshop's rules say; not as the code does. */
const rules: Record<string, { look: Who; send: Who }> = {
  "/": { look: "signed-in", send: null },
  "/sign-in": { look: "anyone", send: "anyone" },
  "/sign-out": { look: null, send: "anyone" },
  "/first": { look: "anyone", send: "anyone" },
  "/account": { look: "signed-in", send: "signed-in" },
  "/account/switch": { look: "signed-in", send: "signed-in" },
  "/account/unlock": { look: null, send: "anyone" },
  "/account/data.json": { look: "signed-in", send: null },
  "/people": { look: "lead", send: "lead" },
  "/people/:personId/data.json": { look: "lead", send: null },
  "/room": { look: null, send: "anyone" },
  "/offline": { look: "anyone", send: null },
  "/points": { look: null, send: "work" },
  "/trials": { look: null, send: "work" },
  "/stages/:stageId/options": { look: "signed-in", send: "work" },
  "/rules": { look: "signed-in", send: "lead" },
  "/practice": { look: "signed-in", send: "signed-in" },
  "/practice/at/:machineId": { look: "signed-in", send: null },
  "/practice/:lessonId": { look: "signed-in", send: "signed-in" },
  "/practice/:lessonId/acts": { look: null, send: "signed-in" },
  "/records": { look: "signed-in", send: null },
  "/records.csv": { look: "signed-in", send: null },
  "/records.json": { look: "signed-in", send: null },
  "/plan": { look: "signed-in", send: null },
  "/plan/walk": { look: "signed-in", send: null },
  "/plan/give": { look: null, send: "work" },
  "/calendar.ics": { look: "signed-in", send: null },
  "/jobs": { look: "signed-in", send: null },
  "/jobs/open": { look: null, send: "work" },
  "/jobs/:jobId/entries": { look: "signed-in", send: "work" },
  "/jobs/:jobId/draft": { look: null, send: "work" },
  "/jobs/:jobId/countersign": { look: null, send: "lead" },
  "/jobs/:jobId/beside": { look: "signed-in", send: null },
  "/jobs/:jobId/record": { look: "signed-in", send: null },
  "/jobs/:jobId/record.pdf": { look: "signed-in", send: null },
  "/jobs/:jobId/record.csv": { look: "signed-in", send: null },
  "/jobs/:jobId/record.json": { look: "signed-in", send: null },
  "/jobs/:jobId": { look: "signed-in", send: null },
  ...pages("/jobs/:jobId", ["make-safe", "as-found", "apart", "put-right", "set", "lock-up", "prove", "sign-off"]),
  "/machines/new": { look: "lead", send: "lead" },
  "/machines/:machineId": { look: "signed-in", send: "work" },
  "/machines/:machineId/kit": { look: "signed-in", send: null },
  "/machines/:machineId/record": { look: "signed-in", send: null },
  "/machines/:machineId/record.pdf": { look: "signed-in", send: null },
  "/machines/:machineId/record.csv": { look: "signed-in", send: null },
  "/machines/:machineId/record.json": { look: "signed-in", send: null },
  "/machines/:machineId/label": { look: "signed-in", send: null },
  "/machines/:machineId/files": { look: null, send: "work" },
  "/machines/:machineId/corrections": { look: null, send: "work" },
  "/machines/:machineId/edit": { look: "lead", send: "lead" },
  "/machines/:machineId/copy": { look: "lead", send: "lead" },
  "/machines/:machineId/stages/new": { look: "lead", send: "lead" },
  "/machines/:machineId/drive-line": { look: "lead", send: "lead" },
  "/machines/:machineId/upkeep": { look: "signed-in", send: "work" },
  "/machines/:machineId/upkeep/edit": { look: "work", send: "work" },
  "/machines/:machineId/guides": { look: "signed-in", send: "work" },
  "/machines/:machineId/guides/new": { look: "work", send: "work" },
  "/stores/orders": { look: "signed-in", send: null },
  "/machines/:machineId/options": { look: "signed-in", send: "work" },
  "/machines/:machineId/why": { look: "signed-in", send: "work" },
  "/machines/:machineId/proof-plan": { look: "signed-in", send: "work" },
  "/stages/:stageId/paper": { look: "work", send: "work" },
  "/stages/:stageId/twins": { look: "signed-in", send: null },
  "/stages/:stageId/proof-plan": { look: "signed-in", send: "work" },
  "/machines/:machineId/shafts": { look: "signed-in", send: null },
  "/machines/:machineId/shafts/new": { look: "work", send: "work" },
  "/shafts/:shaftId": { look: "signed-in", send: "work" },
  "/shafts/:shaftId/edit": { look: "work", send: "work" },
  "/guides/:guideId": { look: "signed-in", send: "work" },
  "/guides/:guideId/kit": { look: "signed-in", send: null },
  "/guides/:guideId/edit": { look: "work", send: "work" },
  "/stages/:stageId": { look: "signed-in", send: "work" },
  "/stages/:stageId/swap": { look: "signed-in", send: "work" },
  "/stages/:stageId/:what": { look: "lead", send: "lead" },
  "/bench": { look: "signed-in", send: null },
  "/bench/keep": { look: null, send: "work" },
  "/bench/stages": { look: "signed-in", send: null },
  ...pages("/bench", benchTools),
  "/at/:machineId": { look: "signed-in", send: null },
  "/files/:entryId": { look: "signed-in", send: null },
  "/stores": { look: "signed-in", send: null },
  "/stores/new": { look: "lead", send: "lead" },
  "/stores/items/:itemId": { look: "signed-in", send: "work" },
  "/stores/items/:itemId/label": { look: "signed-in", send: null },
  "/stores/instruments": { look: "signed-in", send: null },
  "/stores/instruments/:instrumentId": { look: "signed-in", send: "lead" },
  "/stores/instruments/:instrumentId/certificates": { look: null, send: "lead" },
  "/stores/certificates/:certificateId": { look: "signed-in", send: null },
  "/stores/sheets": { look: "signed-in", send: null },
  "/stores/sheets/:sheet": { look: "signed-in", send: "lead" },
  "/status": { look: "signed-in", send: null },
};

type Listed = { path?: string; index?: boolean; children?: Listed[] };

/** Every address of the app, as it lists its own routes. */
function routes(): string[] {
  const bin = join(root, "node_modules/.bin/react-router");
  const listed = JSON.parse(
    execFileSync(bin, ["routes", "--json"], { cwd: root, encoding: "utf8", stdio: ["ignore", "pipe", "ignore"] }),
  ) as Listed[];
  const walk = (list: readonly Listed[], above: string): string[] =>
    list.flatMap(({ path = "", children }) => {
      const here = [above, path].filter(Boolean).join("/");
      return [`/${here}`, ...walk(children ?? [], here)];
    });
  // An optional part is the same page.
  return [...new Set(walk(listed, ""))].filter((path) => !path.includes("?"));
}

const roles = ["nobody", "reader", "technician", "lead"] as const;
type Role = (typeof roles)[number];

const lets = (who: Who, role: Role): boolean =>
  who === "anyone" ||
  (who === "signed-in" && role !== "nobody") ||
  (who === "work" && (role === "technician" || role === "lead")) ||
  (who === "lead" && role === "lead");

async function cookieOf(base: string, role: Role): Promise<string> {
  if (role === "nobody") return "";
  const signIn = role === "lead" ? lead.signIn : (people.find((person) => person.role === role)?.signIn ?? "");
  const body = new URLSearchParams({ signIn, password: lead.password });
  const answer = await fetch(`${base}/sign-in`, {
    method: "POST",
    body,
    redirect: "manual",
    headers: { Origin: base },
  });
  return answer.headers
    .getSetCookie()
    .map((cookie) => cookie.split(";")[0])
    .join("; ");
}

/** How an answer stands to the question whether this person may. */
function verdictOf(response: Response): "sign in" | "no" | "none" | "yes" | "broken" {
  const to = response.headers.get("location") ?? "";
  if (response.status === 401 || (response.status >= 300 && response.status < 400 && to.startsWith("/sign-in")))
    return "sign in";
  if (response.status === 403) return "no";
  if (response.status >= 500) return "broken";
  return response.status === 405 ? "none" : "yes";
}

export type Matrix = { asked: number; wrong: string[] };

/**
 * Asks every route, and sends to every route, as nobody and in each role. An answer is as it should be when who may is answered (or told
 * what is wrong with the empty thing they sent), who may not is refused, and nobody is sent to sign in.
 *
 * @param ids of things that are there, by the names of the parameters
 */
export async function roleMatrix(base: string, ids: Record<string, string>): Promise<Matrix> {
  const wrong: string[] = [];
  let asked = 0;
  const all = routes();
  for (const path of all) if (!rules[path]) wrong.push(`${path}: nobody has said who may`);
  for (const path of Object.keys(rules)) if (!all.includes(path)) wrong.push(`${path}: there is no such route`);
  for (const role of roles) {
    let cookie = await cookieOf(base, role);
    const personId = await personOf(base, cookie);
    for (const path of all) {
      const rule = rules[path];
      if (!rule) continue;
      const url = base + path.replace(/:(\w+)/g, (_, name: string) => ids[name] ?? name);
      for (const [method, who] of [
        ["GET", rule.look],
        ["HEAD", rule.look],
        ["POST", rule.send],
        ["PUT", rule.send],
        ["PATCH", rule.send],
        ["DELETE", rule.send],
      ] as const) {
        const sends = method !== "GET" && method !== "HEAD";
        asked++;
        const headers = {
          Origin: base,
          cookie,
          [personHeader]: personId,
          ...(sends ? { "Content-Type": contentOf(path) } : {}),
        };
        const body = sends ? (contentOf(path) === "application/json" ? "{}" : "") : undefined;
        const response = await fetch(url, { method, headers, body, redirect: "manual" });
        await response.arrayBuffer();
        // Signing out leads to the sign-in page: that is its answer.
        const is = ends.test(path) ? "yes" : verdictOf(response);
        const want = lets(who, role) ? "yes" : role === "nobody" ? "sign in" : "no";
        // What there is none of may be refused before that is known, but never done.
        if (who === null) {
          if (response.status < 400 || response.status >= 500)
            wrong.push(`${role} ${method} ${path}: ${response.status}, and there is no such thing`);
          continue;
        }
        if (ends.test(path)) cookie = await cookieOf(base, role);
        if (is !== want) wrong.push(`${role} ${method} ${path}: ${response.status}, wanted ${want}`);
      }
    }
  }
  return { asked, wrong };
}

const ends = /^\/sign-out$/;

/** One thing of each kind that is there, by the names of the parameters. */
export async function idsForRoles(
  pool: Pool,
  known: { machineId: string; stageId: string; jobId: string },
): Promise<Record<string, string>> {
  const { rows } = await pool.query(
    `select (select id from store_item limit 1) as "itemId", (select id from instrument limit 1) as "instrumentId",
      (select entry_id from attachment limit 1) as "entryId", (select id from person limit 1) as "personId",
      (select guide_id from guide_revision limit 1) as "guideId",
      (select shaft_id from shaft_revision limit 1) as "shaftId",
      (select s.id from stage s where s.kind = 'gear-pair' and s.retired_at is null limit 1) as "stageId"`,
  );
  return { ...known, ...rows[0], what: "limits", tool: "fit", sheet: "stores", certificateId: rows[0].itemId };
}

/** Forms of a page, or what its script sends. */
const contentOf = (path: string): string =>
  /^\/(sign-in|sign-out|first|account|people|room|points|trials|machines\/:machineId(\/files)?|stages\/:stageId|guides\/:guideId|shafts\/:shaftId|stores\/instruments\/:instrumentId\/certificates)$/.test(
    path,
  )
    ? "application/x-www-form-urlencoded"
    : "application/json";
