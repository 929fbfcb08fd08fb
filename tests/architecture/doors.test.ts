import { execFileSync } from "node:child_process";
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join, resolve } from "node:path";
import { afterEach, expect, test } from "vitest";

const root = resolve(import.meta.dirname, "../..");
const planted = join(root, "core/gears/planted-violation.ts");
const rooms = ["core", "calc", "data", "operations", "server", "ui", "app", "demo", "scripts", "workers"];

type Violation = { rule: { name: string }; from: string; to: string };

function violations(): string[] {
  const bin = join(root, "node_modules/dependency-cruiser/bin/dependency-cruise.mjs");
  const args = [bin, "--config", ".dependency-cruiser.cjs", "--output-type", "json", ...rooms];
  const output = execFileSync(process.execPath, args, { cwd: root, encoding: "utf8", maxBuffer: 64e6 });
  const { summary } = JSON.parse(output) as { summary: { violations: Violation[] } };
  return summary.violations.map(({ rule, from, to }) => `${rule.name}: ${from} -> ${to}`);
}

afterEach(() => rmSync(planted, { force: true }));

test("every room keeps to its doors, and nothing goes in a circle", () => {
  expect(violations()).toEqual([]);
});

test("a forbidden import is found", () => {
  writeFileSync(
    planted,
    'import { judge } from "../limits";\nimport { z } from "zod";\nexport const x = [judge, z];\n',
  );
  expect(violations().map((line) => line.split(":")[0])).toEqual(
    expect.arrayContaining(["element gears", "core has no packages"]),
  );
});

test("core knows neither the clock nor chance", () => {
  const guilty = readdirSync(join(root, "core"), { recursive: true, encoding: "utf8" })
    .filter((name) => name.endsWith(".ts") && !name.endsWith(".test.ts"))
    .filter((name) =>
      /Math\.random|Date\.now|new Date\b|process\.|setTimeout/.test(readFileSync(join(root, "core", name), "utf8")),
    );
  expect(guilty).toEqual([]);
});

test("every folder of the core says what it is about", () => {
  const folders = readdirSync(join(root, "core"), { withFileTypes: true }).filter((entry) => entry.isDirectory());
  const silent = folders
    .map((entry) => entry.name)
    .filter((name) => !existsSync(join(root, "core", name, "README.md")));
  expect(silent).toEqual([]);
});
