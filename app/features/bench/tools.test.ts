import { describe, expect, test } from "vitest";
import { callTool, type Tool, tools } from "~/calc";
import type { Texts } from "../stage-form/reader";
import { benchTools } from "./tools";

const benchOf = (name: string) => {
  const bench = benchTools.find((item) => item.tool === name);
  const tool = tools.find((item) => item.name === name) as Tool;
  if (!bench) throw new Error(name);
  const say = (texts: Texts): string => {
    const read = bench.read(texts);
    if (!read.input)
      return Object.entries(read.problems)
        .map(([field, { code }]) => `${field}: ${code}`)
        .join(", ");
    const answer = callTool(tool, read.input);
    return answer.ok ? bench.say(answer.result as never, texts) : answer.refused.error.code;
  };
  return { bench, say };
};

test.each(benchTools.map((bench) => bench.tool))("%s answers its own example by the calc tool of that name", (name) => {
  const { bench, say } = benchOf(name);
  const read = bench.read(bench.example);
  expect(read.problems).toBeNull();
  expect(callTool(tools.find((item) => item.name === name) as Tool, read.input).ok).toBe(true);
  expect(say(bench.example)).not.toBe("");
});

describe("what gear is this", () => {
  const { say } = benchOf("gear-identify");
  // Tip 42.9, root 39.5, 52 teeth: commonly taken as module 0.8; the honest answer is that 0.8 and 32 DP are not to be told.
  test.each<[Texts, string]>([
    [{ teeth: "52", tip: "42.9", root: "39.5" }, "32 DP or module 0.8, not to be told by this"],
    [{ teeth: "52", tip: "42.9 42.88 42,92", root: "39.5" }, "32 DP or module 0.8, not to be told by this"],
    // W over 6 and 8 teeth of module 0.8 at 20°: the base pitch decides.
    [
      { teeth: "52", tip: "43.1", "span1.teeth": "6", span1: "13.572", "span2.teeth": "8", span2: "18.295" },
      "It is module 0.8",
    ],
    [{ teeth: "20", tip: "33" }, "It is module 1.5"],
    [{ teeth: "2", tip: "33" }, "teeth: teeth-too-few"],
    [{ teeth: "20", tip: "wide" }, "tip: not-a-number"],
    [{ teeth: "20", tip: "33", span1: "5", "span1.teeth": "3" }, "span2: missing"],
  ])("%j: %s", (texts, said) => expect(say(texts)).toBe(said));
});

test.each<[string, Texts, string]>([
  ["gear-pair", { z1: "18", z2: "54", pitch: "1.5", centres: "53.9" }, "The teeth overlap by 0.072 mm: it jams"],
  ["gear-pair", { z1: "18", z2: "", pitch: "1.5" }, "z2: empty"],
  ["gear-span", { teeth: "52", pitch: "0.8" }, "13.572 mm over 6 teeth"],
  ["gear-span", { teeth: "52", pitch: "0.8", k: "0" }, "k: too-small"],
  ["fit", { nominal: "8", hole: "H7", shaft: "g6" }, "It always runs free: 0.005 to 0.029 mm of clearance"],
  ["fit", { nominal: "50", hole: "H7", shaft: "p6" }, "It is always tight: −0.042 to −0.001 mm of clearance"],
  ["fit", { nominal: "8", hole: "H7", "shaft.lo": "8.1", "shaft.hi": "8" }, "shaft.lo: window-upside-down"],
  ["fit", { nominal: "800", hole: "H7", shaft: "g6" }, "nominal: nominal-out-of-range"],
  ["verdict", { value: "0.155", lo: "0.12", hi: "0.16", u: "0.012" }, "This cannot decide it"],
  ["verdict", { value: "0.14", hi: "0.16", u: "0.012" }, "It conforms"],
  ["verdict", { value: "0.14", u: "0.012" }, "lo: one-limit"],
  ["fasten-order", { bolts: "4", passes: "2" }, "1, 3, 2, 4"],
  ["fasten-order", { bolts: "4.5" }, "bolts: not-whole"],
])("%s %j: %s", (name, texts, said) => expect(benchOf(name).say(texts)).toBe(said));
