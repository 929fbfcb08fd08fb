/**
 * Every check, on a throwaway cluster and an app of its own: typecheck, lint, architecture, unit, reference and database
 * tests, production build, browser tests. Ends with `N passed, N failed, N skipped`, counted from the runners' own reports;
 * typecheck, lint and build count as one each. Exit 1 on any failure.
 *
 *   ./test              everything
 *   ./test unit e2e     only these: typecheck lint architecture unit reference database build e2e
 */
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join, resolve } from "node:path";
import { buildApp } from "./lib/build-app";
import { buildIsCurrent } from "./lib/build-stamp";
import { withThrowawayApp } from "./lib/throwaway-app";

type Count = { passed: number; failed: number; skipped: number };

const root = resolve(import.meta.dirname, "..");
const reports = join(root, "reports");
const bin = (name: string) => join(root, "node_modules/.bin", name);

function run(command: string, args: readonly string[], env: NodeJS.ProcessEnv = {}): boolean {
  const result = spawnSync(command, [...args], { cwd: root, stdio: "inherit", env: { ...process.env, ...env } });
  return result.status === 0;
}

const asOne = (good: boolean): Count => ({ passed: good ? 1 : 0, failed: good ? 0 : 1, skipped: 0 });

const typecheck = () =>
  asOne(
    run(bin("react-router"), ["typegen"]) &&
      run(bin("tsc"), ["--noEmit"]) &&
      run(bin("tsc"), ["--noEmit", "-p", "core"]) &&
      run(bin("tsc"), ["--noEmit", "-p", "app/service-worker"]),
  );

const lint = () => asOne(run(bin("biome"), ["ci", "."]));

async function build(): Promise<Count> {
  if (!buildIsCurrent()) await buildApp("inherit");
  return asOne(true);
}

function vitest(project: string): Count {
  const file = join(reports, `${project}.json`);
  const good = run(bin("vitest"), [
    "run",
    "--project",
    project,
    "--reporter=default",
    "--reporter=json",
    `--outputFile.json=${file}`,
  ]);
  if (!existsSync(file)) return { passed: 0, failed: 1, skipped: 0 };
  const report = JSON.parse(readFileSync(file, "utf8")) as {
    numPassedTests: number;
    numFailedTests: number;
    numPendingTests: number;
    numTodoTests: number;
  };
  const failed = report.numFailedTests;
  return {
    passed: report.numPassedTests,
    // A file that could not be loaded has no failed test of its own.
    failed: !good && failed === 0 ? 1 : failed,
    skipped: report.numPendingTests + report.numTodoTests,
  };
}

const browser = (): Promise<Count> =>
  withThrowawayApp(async ({ port, clusterFolder }) => {
    const file = join(reports, "e2e.json");
    const good = run(bin("playwright"), ["test"], {
      E2E_PORT: String(port),
      E2E_CLUSTER: clusterFolder,
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    });
    return playwrightCount(file, good);
  });

function playwrightCount(file: string, good: boolean): Count {
  if (!existsSync(file)) return { passed: 0, failed: 1, skipped: 0 };
  const { stats } = JSON.parse(readFileSync(file, "utf8")) as {
    stats: { expected: number; unexpected: number; flaky: number; skipped: number };
  };
  // A flaky test has failed once; that is a failure here.
  const failed = stats.unexpected + stats.flaky;
  return { passed: stats.expected, failed: !good && failed === 0 ? 1 : failed, skipped: stats.skipped };
}

const steps: [name: string, step: () => Count | Promise<Count>][] = [
  ["typecheck", typecheck],
  ["lint", lint],
  ["architecture", () => vitest("architecture")],
  ["unit", () => vitest("unit")],
  ["reference", () => vitest("reference")],
  ["database", () => vitest("database")],
  ["build", build],
  ["e2e", browser],
];

const wanted = process.argv.slice(2);
const unknown = wanted.find((name) => !steps.some(([known]) => known === name));
if (unknown) {
  console.error(`"${unknown}" is no step. There are ${steps.map(([name]) => name).join(", ")}.`);
  process.exit(2);
}
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });
const total: Count = { passed: 0, failed: 0, skipped: 0 };
const failures: string[] = [];
for (const [name, step] of steps) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  console.log(`\n=== ${name}`);
  const count = await Promise.resolve()
    .then(step)
    .catch((error: Error): Count => {
      console.error(error.message);
      return { passed: 0, failed: 1, skipped: 0 };
    });
  total.passed += count.passed;
  total.failed += count.failed;
  total.skipped += count.skipped;
  if (count.failed > 0) failures.push(name);
}
if (failures.length > 0) console.log(`\nFailed in: ${failures.join(", ")}`);
console.log(`\n${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`);
process.exit(total.failed > 0 ? 1 : 0);
