import { readdirSync, readFileSync } from "node:fs";
import { join, resolve } from "node:path";
import { expect, test } from "vitest";
import { refusalWords } from "./refusal";

const root = resolve(import.meta.dirname, "../../..");
const wordless = refusalWords({ code: "no such code", path: [], facts: {} });

/** Every code by which the core, the operations or the forms refuse something that a person did. */
function codes(): string[] {
  const found = ["core/quantity", "core/gears", "core/stages", "operations", "app"].flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: "utf8" })
      .filter((name) => /\.tsx?$/.test(name) && !name.includes(".test."))
      .flatMap((name) => {
        const text = readFileSync(join(root, folder, name), "utf8");
        const direct = [...text.matchAll(/(?:refuse|refusalResponse)\((?:\d+, )?"([a-z-]+)"/g)];
        const asParameter = [...text.matchAll(/params: \{ code: "([a-z-]+)"/g)];
        const wanted = [...text.matchAll(/\.want\([^;]*?"([a-z-]+)"\)/g)];
        const literal = [...text.matchAll(/code: "([a-z-]+)", path/g)];
        return [...direct, ...asParameter, ...wanted, ...literal].map((match) => match[1] ?? "");
      }),
  );
  return [...new Set(found)].sort();
}

/** What only a program can get wrong, never a person at a machine. */
const ofPrograms = ["cross-site"];

test("every refusal is told in words of its own", () => {
  const all = codes();
  expect(all.length).toBeGreaterThan(50);
  const silent = all.filter(
    (code) => !ofPrograms.includes(code) && refusalWords({ code, path: [], facts: {} }) === wordless,
  );
  expect(silent).toEqual([]);
});

const numbers = [
  "last",
  "reading",
  "least",
  "most",
  "given",
  "count",
  "tooth",
  "teeth",
  "clamp",
  "leastMm",
  "pinion",
  "megabytes",
  "idler",
  "sum",
  "centreMm",
  "fits",
  "line",
  "comma",
  "point",
  "minutes",
];
const texts = ["text", "name", "by", "tag", "unit", "says", "is", "wanted", "gear", "nearest", "words"];
const facts = {
  ...Object.fromEntries(numbers.map((name) => [name, 3])),
  ...Object.fromEntries(texts.map((name) => [name, "x"])),
};

test("no word of a programmer's stands in any of them", () => {
  for (const code of codes()) {
    const words = refusalWords({ code, path: [], facts });
    expect([code, /undefined|null|NaN|\[object|JSON|server error|input/i.test(words)]).toEqual([code, false]);
    expect(words).toMatch(/[.?]$/);
  }
});
