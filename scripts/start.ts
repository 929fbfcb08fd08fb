/**
 * Starts Harmostat: private cluster (unless DATABASE_URL names a server), migrations, the demo on an empty
 * database, build when sources changed, the server on loopback. Ctrl-C stops everything it started.
 *
 *   ./start            with the demo when the database is empty
 *   ./start --empty    without demo data
 *   ./start --dev      with live reload
 *   DATABASE_URL=…     a PostgreSQL that is already there;  PORT=…  another port than 4780
 */
import { execFileSync } from "node:child_process";
import { randomBytes } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import type { Server } from "node:http";
import { join, resolve } from "node:path";
import { pathToFileURL } from "node:url";
import { openPool } from "../data/postgres";
import { fillStandings } from "../operations/refresh-standing";
import { nobodyYet } from "../operations/set-up-workshop";
import type { Service } from "../server/app";
import { buildApp } from "./lib/build-app";
import { buildIsCurrent } from "./lib/build-stamp";
import { type Cluster, openCluster, portIsFree } from "./lib/cluster";
import { applyMigrations, databaseName, ensureDatabase, homeFolder } from "./lib/database";
import { fillEmptyDatabase } from "./lib/fill";

const root = resolve(import.meta.dirname, "..");
const dev = process.argv.includes("--dev");
const empty = process.argv.includes("--empty");
const port = Number(process.env.PORT ?? 4780);
process.env.NODE_ENV = dev ? "development" : "production";

class Complaint extends Error {}

async function main(): Promise<void> {
  const unknown = process.argv.slice(2).find((arg) => arg !== "--dev" && arg !== "--empty");
  if (unknown) throw new Complaint(`"${unknown}" is not known here. There are --empty and --dev.`);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Complaint(`PORT=${process.env.PORT} is not a port.`);
  if (!(await portIsFree(port)))
    throw new Complaint(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4781 ./start`);
  mkdirSync(homeFolder, { recursive: true });

  const stopping: (() => Promise<unknown> | unknown)[] = [];
  let ended = false;
  const stop = async (code: number) => {
    if (ended) return;
    ended = true;
    for (const step of stopping.reverse()) await Promise.resolve(step()).catch?.(() => {});
    process.exit(code);
  };
  process.on("SIGINT", () => stop(0));
  process.on("SIGTERM", () => stop(0));
  process.on("SIGHUP", () => stop(0));

  const url = process.env.DATABASE_URL ?? (await ownDatabase(stopping));
  const applied = await applyMigrations(url);
  if (applied.length > 0)
    say(`Database: ${applied.length} ${applied.length === 1 ? "migration" : "migrations"} applied.`);
  const signIn = await fillEmptyDatabase(url, empty, homeFolder);
  await standingsKept(url);
  process.env.SESSION_SECRET ??= keptSecret();

  if (!dev && !buildIsCurrent()) {
    say("Building …");
    await buildApp("pipe");
  }
  const { service, close } = dev ? await devService(url) : await builtService(url);
  stopping.push(() => service.pool.end(), close);
  const server = await listen(service);
  stopping.push(() => closeServer(server));
  say(`\nHarmostat stands at http://127.0.0.1:${port}`);
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

async function ownDatabase(stopping: (() => Promise<unknown> | unknown)[]): Promise<string> {
  claimFolder();
  stopping.push(() => rmSync(ownerFile, { force: true }));
  const cluster = await openCluster(join(homeFolder, "cluster"));
  await cluster.start();
  const watch = keepRunning(cluster);
  stopping.push(async () => {
    clearInterval(watch);
    await cluster.stop();
  });
  await ensureDatabase(cluster, databaseName);
  return cluster.url(databaseName);
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
    if (starting || cluster.isRunning()) return;
    starting = true;
    await cluster.start().catch((error: Error) => console.error(error.message));
    starting = false;
  }, 1500);
}

/** Signs the session cookie; made once, readable by the owner only. */
function keptSecret(): string {
  const file = join(homeFolder, "session-secret");
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString("base64url"), { mode: 0o600 });
  return readFileSync(file, "utf8");
}

type Running = { service: Service; close: () => Promise<void> };

async function builtService(url: string): Promise<Running> {
  const built = (await import(
    pathToFileURL(join(root, "build/server/index.js")).href
  )) as typeof import("../server/app");
  const service = built.createService(url, join(homeFolder, "server.log"), join(root, "build/client"));
  return { service, close: async () => {} };
}

async function devService(url: string): Promise<Running> {
  const vite = await (await import("vite")).createServer({ root, server: { middlewareMode: true } });
  const loaded = (await vite.ssrLoadModule("./server/app.ts")) as typeof import("../server/app");
  const service = loaded.createService(url, join(homeFolder, "server.log"));
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
  process.exit(1);
});
