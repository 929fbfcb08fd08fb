import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join, resolve } from "node:path";

const root = resolve(import.meta.dirname, "../..");
const sources = ["app", "ui", "core", "calc", "data", "operations", "server", "workers", "public"];
const files = ["package-lock.json", "vite.config.ts", "react-router.config.ts", "tsconfig.json"];
const stampFile = join(root, "build", "stamp");

/** Whether the built app is that of the sources as they are now, by their content. */
export const buildIsCurrent = (): boolean => existsSync(stampFile) && readFileSync(stampFile, "utf8") === sourceHash();

export const stampBuild = (): void => writeFileSync(stampFile, sourceHash());

function sourceHash(): string {
  const hash = createHash("sha256");
  for (const path of [
    ...sources.flatMap((folder) => below(join(root, folder))),
    ...files.map((file) => join(root, file)),
  ]) {
    hash.update(path.slice(root.length)).update(readFileSync(path));
  }
  return hash.digest("hex");
}

function below(folder: string): string[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && !entry.name.endsWith(".test.ts"))
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();
}
