import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { judgedBy, type StageElement, sensitivityOf } from "~/core/stages";
import { everyKind } from "~/tests/elements";
import { sensitivityWords } from "./index";

const reader = readerOf();

const tan = (deg: number) => Math.tan((deg * Math.PI) / 180);
const middle: Record<string, number> = {
  backlash: 0.15,
  "lost-motion": 5,
  tension: 200,
  sag: 12,
  elongation: 0.5,
  gap: 0.1,
};

/** The formula as it stands in the sentence, worked out by hand. */
function worked(words: string): number | null {
  const numbers = [...words.matchAll(/−?\d+(?:\.\d+)?/g)].map(([text]) => Number(text.replace("−", "-")));
  if (words.startsWith("2·tan") && words.includes("·sin")) {
    const [, alpha = 0, delta = 0, beta = 0] = numbers;
    return (2 * tan(alpha) * Math.sin((delta * Math.PI) / 180)) / Math.cos((beta * Math.PI) / 180);
  }
  if (words.startsWith("2·tan")) return 2 * tan(numbers[1] ?? 0);
  return null;
}

const cases = everyKind.flatMap((element: StageElement, i) => {
  const value = middle[judgedBy(element)] ?? 0.1;
  const sensitivity = sensitivityOf(element, value, value);
  return sensitivity === null ? [] : [[element.kind, i, element, sensitivity] as const];
});

test.each(cases)("%s (%i): the formula that is said gives the number that is said", (_, __, element, sensitivity) => {
  const words = sensitivityWords(reader, element, sensitivity);
  expect(words).not.toMatch(/NaN|undefined|Infinity/);
  const byHand = worked(words);
  if (byHand !== null) expect(Math.abs(byHand)).toBeCloseTo(Math.abs(sensitivity), 2);
  else expect(words).toMatch(/for each mm/);
});

test("every kind that can be adjusted has a formula, and each kind that has one names where it is from", () => {
  expect(new Set(cases.map(([kind]) => kind))).toEqual(
    new Set(["gear-pair", "worm", "bevel", "toothed-belt", "v-belt", "chain", "gap"]),
  );
  for (const [kind, , element, sensitivity] of cases) {
    if (kind === "gap" || kind === "toothed-belt") continue;
    expect(sensitivityWords(reader, element, sensitivity)).toMatch(/\(.*(ISO|Handbook|common practice)/);
  }
});
