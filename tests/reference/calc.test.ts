import { execFileSync, spawnSync } from "node:child_process";
import { resolve } from "node:path";
import { expect, test } from "vitest";
import { tools } from "~/calc";

const root = resolve(import.meta.dirname, "../..");
const calc = (args: readonly string[], input = "") =>
  spawnSync("npm", ["run", "--silent", "calc", "--", ...args], { cwd: root, input, encoding: "utf8" });

test("the command line: a result, a refusal with its path and exit 2, many lines, the list", () => {
  const good = calc(["gear-pair"], '{"teeth":[20,40],"moduleMm":1,"centreDistanceMm":30.1}');
  expect(good.status).toBe(0);
  expect(JSON.parse(good.stdout).backlash.circumferentialMm).toBeCloseTo(0.0739450102, 10);

  const lines = calc(
    ["verdict", "--lines"],
    '{"value":1,"limits":{"hi":2},"expandedUncertainty":0.1}\n{"value":"x"}\nnonsense\n',
  );
  expect(lines.status).toBe(2);
  const [first, second, third] = lines.stdout
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  expect(first).toEqual({ verdict: "conforms", marginToNearest: 1 });
  expect(second.error.path).toEqual(["value"]);
  expect(third.error.code).toBe("not-json");

  expect(calc(["no-such-tool"], "{}").status).toBe(2);
  const listed = execFileSync("npm", ["run", "--silent", "calc", "--", "--list"], { cwd: root, encoding: "utf8" });
  expect(listed.split("\n").filter(Boolean)).toHaveLength(tools.length);
  const schema = JSON.parse(calc(["advise", "--schema"]).stdout);
  expect(schema.input.properties.adjuster).toBeDefined();
  expect(schema.output.properties.steps).toBeDefined();
});
