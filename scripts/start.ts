/**
 * Starts Harmostat: private cluster (unless DATABASE_URL names a server), migrations, the demo on an empty
 * database, build when sources changed, the server on loopback. Ctrl-C stops everything it started.
 *
 *   ./start            with the demo when the database is empty
 *   ./start --empty    without demo data
 *   ./start --dev      with live reload
 *
 * PORT=…               another port than 4780
 * DATABASE_URL=…       a PostgreSQL that is already there, as the owner of the database
 * APP_DATABASE_URL=…   the same as the role that the app works as
 * docs/operating.md tells the others.
 */
import { execFileSync } from "node:child_process";
import { randomBytes } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import type { Server } from "node:http";
import { join, resolve } from "node:path";
import { pathToFileURL } from "node:url";
import { openPool } from "../data/postgres";
import { databaseComplaint } from "../data/postgres/complaint";
import { fillStandings } from "../operations/refresh-standing";
import { nobodyYet } from "../operations/set-up-workshop";
import type { Service, ServiceOptions } from "../server/app";
import { removeOldLogs } from "../server/log";
import { keepBackups, lastGoodBackup } from "./lib/backup";
import { buildApp } from "./lib/build-app";
import { buildIsCurrent } from "./lib/build-stamp";
import { type Cluster, openCluster, portIsFree } from "./lib/cluster";
import { applyMigrations, databaseName, ensureDatabase, homeFolder } from "./lib/database";
import { fillEmptyDatabase } from "./lib/fill";
import { keptSecret } from "./lib/kept-secret";
import { noteLastSeal } from "./lib/last-seal-file";
import { sealKeyPem } from "./lib/seal-key-file";

const root = resolve(import.meta.dirname, "..");
const dev = process.argv.includes("--dev");
const empty = process.argv.includes("--empty");
const port = Number(process.env.PORT ?? 4780);
process.env.NODE_ENV = dev ? "development" : "production";
process.env.PUBLIC_URL ??= `http://127.0.0.1:${port}`;
// Whoever reads along may go.
for (const stream of [process.stdout, process.stderr]) stream.on("error", () => {});

class Complaint extends Error {}

const stopping: (() => Promise<unknown> | unknown)[] = [];
let ended = false;
async function stop(code: number): Promise<void> {
  if (ended) return;
  ended = true;
  for (const step of stopping.reverse()) {
    try {
      await step();
    } catch {
      // The others are stopped all the same.
    }
  }
  process.exit(code);
}

async function main(): Promise<void> {
  const unknown = process.argv.slice(2).find((arg) => arg !== "--dev" && arg !== "--empty");
  if (unknown) throw new Complaint(`"${unknown}" is not known here. There are --empty and --dev.`);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Complaint(`PORT=${process.env.PORT} is not a port.`);
  if (!(await portIsFree(port)))
    throw new Complaint(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4781 ./start`);
  if (!URL.canParse(process.env.PUBLIC_URL ?? ""))
    throw new Complaint("PUBLIC_URL is no address, as https://harmostat.example.org is.");
  mkdirSync(homeFolder, { recursive: true });
  removeOldLogs(homeFolder);
  process.on("SIGINT", () => stop(0));
  process.on("SIGTERM", () => stop(0));
  process.on("SIGHUP", () => stop(0));

  const { url, appUrl } = await database();
  const applied = await applyMigrations(url, appUrl);
  if (applied.length > 0)
    say(`Database: ${applied.length} ${applied.length === 1 ? "migration" : "migrations"} applied.`);
  const complaint = appUrl === url ? null : await databaseComplaint("APP_DATABASE_URL", appUrl);
  if (complaint) throw new Complaint(complaint);
  if (appUrl === url)
    say(
      "The app works as the owner of its tables: whoever takes it over can change the log. APP_DATABASE_URL names another role.",
    );
  const signIn = await fillEmptyDatabase(url, empty, homeFolder);
  await standingsKept(appUrl);
  const made = () => randomBytes(32).toString("base64url");
  process.env.SESSION_SECRET ??= keptSecret(
    process.env.SESSION_SECRET_FILE ?? join(homeFolder, "session-secret"),
    made,
  );

  if (!dev && !buildIsCurrent()) {
    say("Building …");
    await buildApp("pipe");
  }
  const { service, close } = await (dev ? devService : builtService)(serviceOptions(appUrl));
  stopping.push(() => service.end(), close);
  const server = await listen(service);
  stopping.push(() => closeServer(server));
  stopping.push(keepBackups(url));
  say(`\nHarmostat stands at ${process.env.PUBLIC_URL}`);
  if (await nobodyYet(service.pool)) say("Nobody works here yet: open it and name the first lead.");
  else if (signIn) say(`Sign in as "${signIn.name}" with the password "${signIn.password}".`);
  say("Ctrl-C stops it.");
}

const say = (text: string) => console.log(text);

/** A database of an earlier release kept no standings of its stages. */
async function standingsKept(url: string): Promise<void> {
  const pool = openPool(url);
  await fillStandings(pool).finally(() => pool.end());
}

/** The database as its owner and as the role that the app works as. */
async function database(): Promise<{ url: string; appUrl: string }> {
  const given = process.env.DATABASE_URL;
  if (given === undefined) return ownDatabase();
  const complaint = await databaseComplaint("DATABASE_URL", given);
  if (complaint) throw new Complaint(complaint);
  return { url: given, appUrl: process.env.APP_DATABASE_URL ?? given };
}

async function ownDatabase(): Promise<{ url: string; appUrl: string }> {
  claimFolder();
  stopping.push(() => rmSync(ownerFile, { force: true }));
  const cluster = await openCluster(join(homeFolder, "cluster"));
  // Before it is there, so that one that starts too slowly is stopped as well.
  let watch: NodeJS.Timeout | undefined;
  stopping.push(async () => {
    clearInterval(watch);
    await cluster.stop();
  });
  await cluster.start();
  watch = keepRunning(cluster);
  await ensureDatabase(cluster, databaseName);
  return { url: cluster.url(databaseName), appUrl: cluster.appUrl(databaseName) };
}

const ownerFile = join(homeFolder, "owner.pid");

/** Two starts in one folder would stop each other's database. A number left by a killed start is of nobody. */
function claimFolder(): void {
  const owner = existsSync(ownerFile) ? Number(readFileSync(ownerFile, "utf8")) : 0;
  const command =
    owner > 0 && existsSync(`/proc/${owner}/cmdline`) ? readFileSync(`/proc/${owner}/cmdline`, "utf8") : "";
  if (owner !== process.pid && command.includes("scripts/start.ts") && processFolder(owner) === root) {
    throw new Complaint(`Harmostat already runs from this folder (process ${owner}).`);
  }
  writeFileSync(ownerFile, String(process.pid));
}

function processFolder(pid: number): string {
  try {
    return execFileSync("readlink", [`/proc/${pid}/cwd`], { encoding: "utf8" }).trim();
  } catch {
    return "";
  }
}

/** A database server that dies is started again; requests in between are told to wait. */
function keepRunning(cluster: Cluster): NodeJS.Timeout {
  let starting = false;
  return setInterval(async () => {
    if (starting || ended || cluster.isRunning()) return;
    starting = true;
    await cluster.start().catch((error: Error) => console.error(error.message));
    starting = false;
  }, 1500);
}

const serviceOptions = (databaseUrl: string): ServiceOptions => ({
  databaseUrl,
  sealKeyPem: sealKeyPem(),
  onSeal: noteLastSeal,
  home: homeFolder,
  logFolder: join(homeFolder, "log"),
  lastBackup: lastGoodBackup,
  publicUrl: process.env.PUBLIC_URL ?? "",
  trustedProxies: process.env.TRUSTED_PROXIES,
});

type Running = { service: Service; close: () => Promise<void> };

async function builtService(options: ServiceOptions): Promise<Running> {
  const built = (await import(
    pathToFileURL(join(root, "build/server/index.js")).href
  )) as typeof import("../server/app");
  const service = await built.createService({
    ...options,
    clientFolder: join(root, "build/client"),
    paperWorker: join(root, "build/server/paper-worker.js"),
  });
  return { service, close: async () => {} };
}

async function devService(options: ServiceOptions): Promise<Running> {
  const vite = await (await import("vite")).createServer({ root, server: { middlewareMode: true } });
  const loaded = (await vite.ssrLoadModule("./server/app.ts")) as typeof import("../server/app");
  const service = await loaded.createService(options);
  const app = (await import("express")).default();
  app.use(vite.middlewares);
  app.use(service.app);
  return { service: { ...service, app }, close: () => vite.close() };
}

const listen = ({ app }: Service): Promise<Server> =>
  new Promise((done, fail) => {
    const server = app.listen(port, "127.0.0.1", () => done(server));
    server.once("error", fail);
  });

const closeServer = (server: Server): Promise<void> =>
  new Promise((done) => {
    server.close(() => done());
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  });

main().catch((error: Error & { code?: string; stderr?: Buffer }) => {
  if (error.code === "EADDRINUSE") console.error(`Port ${port} is taken. Choose another: PORT=4781 ./start`);
  else
    console.error(
      error instanceof Complaint ? error.message : `It did not start: ${error.message}\n${error.stderr ?? ""}`,
    );
  return stop(1);
});
