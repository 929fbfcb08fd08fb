import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { readdirSync } from "node:fs";
import { join, resolve } from "node:path";
import { build } from "vite";
import { stampBuild } from "./build-stamp";
import { compressFiles } from "./compress-files";

const root = resolve(import.meta.dirname, "../..");
const client = join(root, "build/client");

/** The production build: the app, and after it the service worker, which has to know the names of the app's files. */
export async function buildApp(output: "inherit" | "pipe"): Promise<void> {
  execFileSync(process.execPath, [join(root, "node_modules/@react-router/dev/bin.js"), "build"], {
    cwd: root,
    stdio: output,
    env: { ...process.env, NODE_ENV: "production" },
  });
  await buildServiceWorker();
  await buildPaperWorker();
  compressFiles(client);
  stampBuild();
}

/** The thread that makes papers, with the same words as the pages. */
const buildPaperWorker = () =>
  build({
    root,
    configFile: false,
    logLevel: "error",
    publicDir: false,
    resolve: { tsconfigPaths: true },
    define: { "process.env.NODE_ENV": JSON.stringify("production") },
    build: {
      ssr: join(root, "app/background/paper-worker.ts"),
      outDir: join(root, "build/server"),
      emptyOutDir: false,
      rolldownOptions: { output: { entryFileNames: "paper-worker.js", chunkFileNames: "paper/[name]-[hash].js" } },
    },
  });

async function buildServiceWorker(): Promise<void> {
  const files = readdirSync(join(client, "assets"))
    .filter((name) => !name.endsWith(".map"))
    .map((name) => `/assets/${name}`);
  const name = createHash("sha256").update(files.join("\n")).digest("hex").slice(0, 12);
  await build({
    root,
    configFile: false,
    logLevel: "error",
    publicDir: false,
    define: {
      BUILT_FILES: JSON.stringify([...files, "/mark.svg", "/app.webmanifest"]),
      BUILD_NAME: JSON.stringify(name),
    },
    build: {
      outDir: client,
      emptyOutDir: false,
      lib: {
        entry: join(root, "app/service-worker/sw.ts"),
        formats: ["iife"],
        name: "harmostat",
        fileName: () => "sw.js",
      },
    },
  });
}
