import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { freePort, openCluster, waitUntil } from "./cluster";
import { ensureDatabase } from "./database";

export type ThrowawayApp = { base: string; port: number; pid: number; databaseUrl: string; clusterFolder: string };

/** The built app on the demo, on a cluster of its own; both are gone when `work` is done. For tests, bench and pictures; `nodeOptions` to look into it (--cpu-prof). */
export async function withThrowawayApp<T>(
  work: (app: ThrowawayApp) => Promise<T>,
  nodeOptions: readonly string[] = [],
): Promise<T> {
  const clusterFolder = mkdtempSync(join(tmpdir(), "harmostat-throwaway-"));
  const cluster = await openCluster(clusterFolder, { throwaway: true });
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  try {
    await cluster.start();
    await ensureDatabase(cluster, "throwaway");
    const databaseUrl = cluster.url("throwaway");
    const app = spawn(process.execPath, [...nodeOptions, "--import", "tsx", "scripts/start.ts"], {
      cwd: resolve(import.meta.dirname, "../.."),
      stdio: ["ignore", "ignore", "inherit"],
      env: {
        ...process.env,
        DATABASE_URL: databaseUrl,
        APP_DATABASE_URL: cluster.appUrl("throwaway"),
        HARMOSTAT_HOME: join(clusterFolder, "home"),
        PORT: String(port),
      },
    });
    try {
      await waitUntil(() => answers(base), 120_000, "the app did not start");
      return await work({ base, port, pid: app.pid ?? 0, databaseUrl, clusterFolder });
    } finally {
      app.kill("SIGTERM");
      if (app.exitCode === null) await new Promise((done) => app.once("exit", done));
    }
  } finally {
    await cluster.stop();
    rmSync(clusterFolder, { recursive: true, force: true });
  }
}

const answers = (base: string): Promise<boolean> =>
  fetch(`${base}/health`).then(
    (response) => response.ok,
    () => false,
  );
