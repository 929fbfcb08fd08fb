import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { TestProject } from "vitest/node";
import { openCluster } from "~/scripts/lib/cluster";
import { applyMigrations, ensureDatabase } from "~/scripts/lib/database";

declare module "vitest" {
  interface ProvidedContext {
    clusterFolder: string;
  }
}

/** One throwaway cluster for all database tests, with a migrated template to copy. */
export default async function setup(project: TestProject) {
  const folder = mkdtempSync(join(tmpdir(), "harmostat-test-"));
  const cluster = await openCluster(folder, { throwaway: true });
  await cluster.start();
  await ensureDatabase(cluster, "migrated");
  await applyMigrations(cluster.url("migrated"));
  project.provide("clusterFolder", folder);
  return async () => {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
