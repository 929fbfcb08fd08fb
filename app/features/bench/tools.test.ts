import { describe, expect, test } from "vitest";
import { tools } from "~/calc";
import { type CalcAnswer, callTool } from "~/calc/call";
import { rows } from "~/tests/rows";
import { flatTexts, nestedTexts, type Texts } from "../form/texts";
import { readerOf } from "../words/reader";
import { benchTools } from "./bench-list";
import type { BenchTool } from "./bench-tool";

const pages = import.meta.glob<{ tool: BenchTool }>("./tools/*.tsx", { eager: true });

const computing = new Map<string, (input: object) => CalcAnswer>();
for (const { tool } of Object.values(pages)) computing.set(tool.name, await tool.compute.load());
const computed = (name: string, input: object): CalcAnswer => {
  const compute = computing.get(name);
  if (!compute) throw new Error(name);
  return compute(input);
};

const reader = readerOf();
const pulleys = (said: string) => rows("pulleys", "x y d side", said);
const stages = (said: string) => rows("stages", "name driver driven lost efficiency", said);
const stock = (said: string) => rows("stock", "size count", said);
const items = (said: string) => rows("items", "name width at plane off", said);

const benchOf = (name: string) => {
  const bench = pages[`./tools/${name}.tsx`]?.tool;
  if (!bench) throw new Error(name);
  const say = (texts: Texts): string => {
    const read = bench.read(texts);
    if (!read.input)
      return Object.entries(read.problems)
        .map(([field, { code }]) => `${field}: ${code}`)
        .join(", ");
    const answer = computed(name, read.input);
    return answer.ok ? bench.say(reader, answer.result, texts) : answer.refused.error.code;
  };
  return { bench, say };
};

test("every page of the Bench is on its list", () => {
  expect(Object.keys(pages).sort()).toEqual(benchTools.map(({ tool }) => `./tools/${tool}.tsx`).sort());
});

test.each(benchTools.map((bench) => bench.tool))("%s answers its own example by the calc tool of that name", (name) => {
  const { bench, say } = benchOf(name);
  const read = bench.read(bench.example);
  expect(read.problems).toBeNull();
  const calc = tools.find((tool) => tool.name === name);
  if (!calc) throw new Error(name);
  expect(computed(name, read.input ?? {})).toEqual(callTool(calc, read.input));
  expect(say(bench.example)).not.toBe("");
  // What the form holds and what stands in the address are the same fields.
  expect(flatTexts(nestedTexts(bench.example))).toEqual(bench.example);
});

describe("what gear is this", () => {
  const { say, bench } = benchOf("gear-identify");

  test("it goes into the stores or onto an order by its name, and as one pitch only where it is known which", () => {
    const part = (texts: Texts) => {
      const read = bench.read(texts);
      const answer = read.input && computed("gear-identify", read.input);
      return answer?.ok ? bench.part(reader, answer.result, texts) : null;
    };
    const measured = { teeth: "52", tip: "42.9", root: "39.5" };
    expect(part(measured)).toEqual({ name: "Gear 32 DP or m 0.8 z 52", figures: { teeth: "52" } });
    expect(part({ ...measured, system: "diametral-pitch" })).toEqual({
      name: "Gear 32 DP z 52",
      figures: { teeth: "52", moduleMm: "0.79375" },
    });
    expect(part({ shape: "rack", pitches: "10", rack: "31.4" })).toBeNull();
  });
  // Tip 42.9, root 39.5, 52 teeth: commonly taken as module 0.8; the honest answer is that 0.8 and 32 DP are not to be told.
  test.each<[Texts, string]>([
    [{ teeth: "52", tip: "42.9", root: "39.5" }, "32 DP or module 0.8, not to be told by this"],
    [{ teeth: "52", tip: "42.9 42.88 42,92", root: "39.5" }, "32 DP or module 0.8, not to be told by this"],
    // W over 6 and 8 teeth of module 0.8 at 20°: the base pitch decides.
    [
      { teeth: "52", tip: "43.1", "span1.teeth": "6", "span1.mm": "13.572", "span2.teeth": "8", "span2.mm": "18.295" },
      "It is module 0.8",
    ],
    // One reading in inches is one, two are two.
    [{ teeth: "52", tip: "1.689 in", root: "39.5" }, "32 DP or module 0.8, not to be told by this"],
    [{ teeth: "52", tip: "1.689 1.690 in", root: "39.5" }, "32 DP or module 0.8, not to be told by this"],
    [{ teeth: "20", tip: "33" }, "It is module 1.5"],
    [
      { teeth: "52", tip: "42.9", root: "39.5", system: "diametral-pitch" },
      "32 DP or module 0.8, not to be told by this; by the system used here 32 DP",
    ],
    // Inside teeth: m(z − 2) and m(z + 2.5).
    [{ shape: "ring", teeth: "72", tip: "105", root: "111.75" }, "It is module 1.5"],
    [{ shape: "ring", teeth: "72", tip: "105", root: "104" }, "root: too-small"],
    [{ shape: "rack", pitches: "10", rack: "62.83 62.84" }, "It is module 2"],
    [{ shape: "rack", pitches: "1", rack: "6" }, "pitches: too-small"],
    [{ teeth: "2", tip: "33" }, "teeth: teeth-too-few"],
    [{ teeth: "20", tip: "wide" }, "tip: not-a-number"],
    [{ teeth: "20", tip: "33", "span1.mm": "5", "span1.teeth": "3" }, "span2.mm: missing"],
  ])("%j: %s", (texts, said) => expect(say(texts)).toBe(said));
});

test.each<[string, Texts, string | RegExp]>([
  ["gear-pair", { z1: "18", z2: "54", pitch: "1.5", centres: "53.9" }, "The teeth overlap by 0.072 mm: it jams"],
  ["gear-pair", { z1: "18", z2: "", pitch: "1.5" }, "z2: empty"],
  ["gear-span", { teeth: "52", pitch: "0.8" }, "13.572 mm over 6 teeth"],
  ["gear-span", { teeth: "52", pitch: "0.8", k: "0" }, "k: too-small"],
  [
    "fit",
    { nominal: "8", "hole.class": "H7", "shaft.class": "g6" },
    "It always runs free: 0.005 to 0.029 mm of clearance",
  ],
  [
    "fit",
    { nominal: "50", "hole.class": "H7", "shaft.class": "p6" },
    "It is always tight: −0.042 to −0.001 mm of clearance",
  ],
  // A shaft is read more than once, and all readings count.
  [
    "fit",
    { nominal: "8", "hole.class": "H7", "shaft.read": "7.99 8.00 7.995" },
    "It always runs free: 0.000 to 0.025 mm of clearance",
  ],
  [
    "fit",
    { "hole.read": "0.316 in", "shaft.read": "0.314 0.3145 in" },
    "It always runs free: 0.038 to 0.051 mm of clearance",
  ],
  ["fit", { nominal: "8", "hole.class": "H7", "shaft.read": "wide" }, "shaft.read: not-a-number"],
  ["fit", { nominal: "800", "hole.class": "H7", "shaft.class": "g6" }, "nominal: nominal-out-of-range"],
  ["verdict", { value: "0.155", lo: "0.12", hi: "0.16", u: "0.012" }, "This cannot decide it"],
  ["verdict", { value: "0.14", hi: "0.16", u: "0.012" }, "It conforms"],
  ["verdict", { value: "0.14", u: "0.012" }, "lo: one-limit"],
  ["fasten-order", { bolts: "4", passes: "2" }, "1, 3, 2, 4"],
  ["fasten-order", { bolts: "4.5" }, "bolts: not-whole"],
  // Handbook check values again, by what a person types.
  ["worm-pair", { starts: "2", z2: "30", pitch: "3", d1: "44", backlash: "0.1", float: "0.05" }, "11.5′ at the wheel"],
  [
    "bevel-pair",
    { z1: "20", z2: "40", pitch: "3" },
    "A tenth of shim: 0.065 mm of backlash behind the gear, 0.033 behind the pinion",
  ],
  ["planetary", { sun: "16", planetA: "16", ring1: "48", planets: "3" }, "It cannot be put together"],
  ["planetary", { sun: "12", planetA: "30", ring1: "72", planets: "4" }, "The planets would touch"],
  [
    "planetary",
    { planetary: "compound", sun: "12", planetA: "18", planetB: "15", ring1: "48", ring2: "45", planets: "3" },
    "It goes together: 45.000 to 1",
  ],
  ["train", { ...stages("a 1 3 20; b 1 4 10"), rpm: "1200" }, "12.000 to 1: 100.00 turns a minute"],
  ["train", stages("belt 0 3"), "stages.0.driver: is-zero"],
  ["train", {}, "stages: missing"],
  ["belt-drive", { pitch: "2", z1: "20", z2: "60", belt: "140" }, "Centres 99.182 mm, belt 280.00 mm, 140.00 teeth"],
  ["belt-drive", { pitch: "2", z1: "20", z2: "60", belt: "60" }, "Too short: the shortest that goes has 69 teeth"],
  ["belt-path", pulleys("0 0 40; 150 0 60; 70 90 30"), "525.68 mm of belt"],
  [
    "belt-path",
    pulleys("0 0 40; 200 0 40; 100 60 20 outside"),
    "The belt has no path: it does not touch a pulley, or crosses itself",
  ],
  ["idler-set", { ...pulleys("0 0 40; 100 0 40"), which: "2", throw: "2", length: "326.5" }, "Turn it to 78.5°"],
  ["idler-set", { ...pulleys("0 0 40; 100 0 40"), which: "3", throw: "2", length: "326.5" }, "which: no-such-idler"],
  ["belt-tension", { span: "150", mass: "0,008", hz: "120" }, "10.4 N in one strand"],
  [
    "chain-drive",
    { pitch: "1/2 in", z1: "17", z2: "51", by: "centres", centres: "500" },
    "113.49 links; take 114 at centres of 503.301 mm",
  ],
  [
    "chain-condition",
    { pitch: "12.7", z1: "17", z2: "51", centres: "500", sag: "20", target: "10" },
    "move the centres 0.82 mm apart",
  ],
  ["chain-condition", { pitch: "12.7", z1: "17", z2: "51", centres: "500", pitches: "20" }, "measured: missing"],
  [
    "shim-stack",
    { gap: "2,37", lo: "0.05", hi: "0.15", ...stock("0.05 4; 0.1 4; 0.2 4; 0.5 2; 1 2") },
    "2 × 1.000 + 0.200 + 0.050 mm: 0.120 mm is left",
  ],
  ["shim-stack", { gap: "0.08", lo: "0.05", hi: "0.1" }, "Nothing: the gap itself leaves 0.080 mm"],
  [
    "shim-stack",
    { gap: "1", lo: "0", hi: "0.01", ...stock("0.3 4") },
    "No stack reaches the window; the nearest leave −0.200 mm and 0.100 mm",
  ],
  [
    "shim-stack",
    { gap: "1", lo: "0.2", hi: "0.1", ...stock("thin") },
    "lo: window-upside-down, stock.0.size: not-a-number",
  ],
  [
    "shaft-stack",
    {
      length: "20",
      ...items("bearing 4; gear 6 9,5 3; bush 5"),
      ...rows("spacers", "size count", "0.5 4; 0.2 3; 1 3"),
      lo: "0.1",
      hi: "0.4",
    },
    "It goes together with 0.300 mm of end float",
  ],
  [
    "shaft-stack",
    {
      length: "20",
      ...items("bearing_608 5/32_in; gear 6_mm 9,5 0.118_in 0.5; bush 5"),
      ...rows("spacers", "size count", "0.5 4; 0.2 3; 1 3"),
      lo: "0.1",
      hi: "0.6",
    },
    "It goes together with 0.331 mm of end float",
  ],
  ["shaft-stack", { length: "9", ...items("a 4; b 6"), lo: "0", hi: "1" }, "The parts alone are 1.000 mm too long"],
  ["shaft-stack", { length: "9", ...items("a 4; a 2"), lo: "0", hi: "1" }, "items: part-twice"],
  [
    "hole-grid",
    { pitch: "8", module: "1", teeth: "12 20", lo: "0", hi: "0.3" },
    "1 place meshes, 2 more through an idler; drawn 12 : 20, 2 along and 0 across",
  ],
  // On a diagonal of 3 and 3 holes stand 33.94 mm: 34 of radii are 0.06 more than that, which is seen running.
  [
    "hole-grid",
    { pitch: "8", module: "1", teeth: "28 40", lo: "-0.1", hi: "-0.01" },
    "1 place meshes, 2 more through an idler; drawn 28 : 40, 3 along and 3 across",
  ],
  [
    "index-plan",
    { steps: "200", micro: "16", ratio: "40", divisions: "60" },
    "6400/3 steps each: never more than 3.4″ off",
  ],
  // By hand: the check values of the handbook by what a person types.
  [
    "go-no-go",
    { goes: "0.1", stops: "0.15", lo: "0.11", hi: "0.2", sizes: "0.12 mm 5 thou" },
    "Not decided yet: the gap is between 0.100 mm and 0.150 mm; try 0.12 mm next",
  ],
  [
    "go-no-go",
    { goes: "1/16 in", stops: "1/8 in", sizes: "1/16 5/64 3/32 in" },
    "The gap is between 1.587 mm and 3.175 mm; try 3/32 in next",
  ],
  ["go-no-go", { goes: "0.2", stops: "0.15" }, "stops: too-small"],
  ["paper-strip", { t: "0.1", off: "0.01" }, "It stands for 0.213 mm ± 0.025 mm of backlash"],
  ["paper-strip", { t: "0.1", pressed: "120" }, "pressed: too-large"],
  [
    "contact-print",
    {
      depth: "2.25",
      "drive.depth.from": "2",
      "drive.depth.to": "30",
      "drive.length.from": "10",
      "drive.length.to": "90",
    },
    "The print lies deep, near the root: too close.",
  ],
  [
    "contact-print",
    { depth: "2.25", "drive.depth.from": "30" },
    "drive.depth.to: empty, drive.length.from: empty, drive.length.to: empty",
  ],
  ["contact-print", { depth: "2.25" }, "drive.depth.from: missing"],
  [
    "feel-round",
    { places: "20", ...rows("words", "place grade", "1 3; 6 5; 11 3; 16 3") },
    "Too tight, by feel; the tight spot is at 6. Go apart a small step, then feel again",
  ],
  [
    "feel-round",
    { places: "20", ...rows("words", "place grade", "1 3; 6 3") },
    "Too few places felt to tell. Feel at 14 next",
  ],
  ["feel-round", { places: "20", ...rows("words", "place grade", "21 3") }, "words.0.place: no-such-place"],
  [
    "shift-travel",
    {
      "slider.from": "0",
      "slider.to": "8",
      "mate1.from": "-12",
      "mate1.to": "-4",
      "mate2.from": "10",
      "mate2.to": "18",
      stop1: "-10",
      stop2: "10",
    },
    "Left stop: spacer 2.00 mm thinner",
  ],
  [
    "stop-spacer",
    { ...rows("ends", "name read per spacer", "low 0.02_0.05 0.73 1.2"), lo: "0.05", hi: "0.15", u: "0.01" },
    "low: 0.089 mm thicker, 1.289 mm in all",
  ],
  [
    "stop-spacer",
    { ...rows("ends", "name read per spacer", "low 0.3 0.73 0.1"), lo: "0.05", hi: "0.15" },
    "low: no spacer is thin enough. Not every end can be held inside",
  ],
  [
    "force-sweep",
    { unit: "psi", ...rows("points", "force current", "30 1; 45 1.2; 60 1.41; 75 1.6") },
    "It rises by 60.2 %: the mesh feels the force",
  ],
  ["force-sweep", rows("points", "force current", "30 1; 45 1.2"), "points: too-few"],
  // The force falls while the current rises.
  [
    "force-sweep",
    rows("points", "force current", "60 1; 50 1.2; 40 1.4; 30 1.6"),
    /^Flat for the stop, but the current falls/,
  ],
  [
    "fit-series",
    { of: "hole", step: "0.05", ...rows("tries", "size felt", "5 presses; 5.2 falls") },
    "Make 5.10 mm next",
  ],
  [
    "fit-series",
    { of: "hole", step: "0.05", ...rows("tries", "size felt", "5 falls; 5.2 presses") },
    "Tries 1 and 2 cannot both be right: try 5.20 mm again",
  ],
  [
    "made-bore",
    { shaft: "4.98 4.99 5", by: "known", smaller: "0.2", sd: "0.005", lo: "0.02", hi: "0.08" },
    "Draw 5.24 mm: it will turn free",
  ],
  [
    "swap-pairs",
    {
      z1: "18",
      z2: "72",
      pitch: "0.5",
      centres: "22.6",
      lo: "0.03",
      hi: "0.1",
      part: "0.55",
      ...rows("gears", "name teeth", "pinion 19"),
    },
    "1 other pair goes; nearest 19 to 72, +5.6 % speed",
  ],
  ["ratio-for-speed", { rpm: "1400", wanted: "350", teeth: "14 15 56" }, "14 to 56: 4.0000 to 1, 0.000 %"],
  [
    "ratio-for-speed",
    { unit: "km/h", wanted: "100", scale: "20", rpm: "8000", wheel: "12", teeth: "10-40" },
    "11 to 40: 3.6364 to 1, −0.474 %",
  ],
  ["ratio-for-speed", { rpm: "1400", wanted: "350", teeth: "20-10" }, "teeth: window-upside-down"],
  ["round-plan", { z1: "20", z2: "60", positions: "6", turns: "1" }, /^Read at tooth [\d, ]+$/],
  ["round-plan", { z1: "20", z2: "60", positions: "99" }, "positions: too-many-positions"],
  [
    "response",
    { guess: "0.7", sd: "0.2", reading: "0.01", ...rows("moves", "amount change", "0.5 0.3") },
    "One unit does 0.602 ± 0.056, learnt from 1 move",
  ],
  [
    "advise",
    { readings: "0.2", lo: "0.05", hi: "0.15", u: "0.01", per1: "0.8", type: "screw", lead: "1", angle: "0" },
    "Move − one eighth of a turn, together",
  ],
  ["advise", { readings: "0.1", lo: "0.05", hi: "0.15", per1: "0.7" }, "It conforms: leave it"],
  ["advise", { readings: "0.2", lo: "0.05", hi: "0.15", per1: "0.7", angle: "90" }, "angle: cannot-move-the-centres"],
  ["steps-per-unit", { by: "test", old: "80", commanded: "200", measured: "199.2" }, "80.3213 steps a millimetre"],
  ["steps-per-unit", { steps: "200", micro: "16", ratio: "50/17", drum: "7.3", travel: "5" }, "travel: one-of-two"],
])("%s %j: %s", (name, texts, said) =>
  expect(benchOf(name).say(texts)).toEqual(typeof said === "string" ? said : expect.stringMatching(said)),
);

const frame = (heights: string) => rows("points", "x y z", heights);
const parts = (said: string) => rows("parts", "id after hides", said);
test.each<[string, Texts, string]>([
  ["strip-order", {}, "To reach Pinion take off Cover, 10 screws"],
  ["strip-order", { part: "Cover" }, "Nothing has to come off to reach Cover"],
  ["strip-order", { part: "Lid" }, "part: not-listed"],
  ["grease-due", {}, "To be greased: Cam bearing, Feeder chain, 3.3 g as far as known"],
  ["grease-due", { now: "26400", horizon: "" }, "points.1.last: too-large, points.2.last: too-large"],
  ["grease-due", { "points.0.here": "muddy" }, "points.0.here: not-listed"],
  [
    "grease-due",
    { "points.0.here": "100 °C, wet", "points.0.interval": "1000", "points.0.last": "27298" },
    "To be greased: Feeder chain",
  ],
  [
    "grease-due",
    { "points.0.takes": "a dab", "points.2.here": "40 of 0 days" },
    "points.0.takes: not-understood, points.2.here: not-understood",
  ],
  ["flatness", {}, "Flat within 0.20 mm; 0.40 mm under point 1 makes the four stand"],
  ["flatness", { rails: "x", a: "1, 2", b: "4, 5" }, "b: not-listed"],
  ["shaft-stack", { make: "bearing", u: "0.02" }, "It goes together with 0.300 mm of end float"],
  ["shaft-stack", { make: "lid" }, "make: not-listed"],
  ["part-runout", {}, "Runs out 0.20 mm in all; turned 99° on, 0.16 mm"],
  ["part-runout", { shaft: "0 0.1" }, "shaft: too-few"],
  ["part-runout", { face: "0 0.1 0" }, "diameter: missing"],
  ["housing-line", {}, "Housing 2 lies 0.31 mm low"],
  ["housing-line", { "housings.1.eased": "frees" }, "Housing 2 lies 0.31 mm low; housing 2 binds"],
  ["housing-line", { "housings.1.x": "0" }, "positions-undetermined"],
  ["fit-series", { hole: "8.1", shaft: "", u: "0.01" }, "shaft: empty"],
  ["wheel-align", {}, "Out of line by 0.36°, 0.11° beyond the limit; twist not looked at"],
  ["wheel-align", { rear: "85" }, "rear: window-upside-down"],
  ["frame-pull", {}, "Set it up slack at −0.41 mm and −0.205°, and tension pulls it true"],
  ["frame-pull", { "limit.offset": "0.2" }, "No pre-set holds it: brace the frame, 1.8 times as stiff"],
  ["frame-pull", { target: "800" }, "target: aim-outside"],
  ["belt-width", {}, "7.5 mm, take 9; behind the reduction 22.4 mm, take 25"],
  ["belt-width", { ratio: "", stock: "6" }, "7.5 mm, and no stock is so wide"],
  ["belt-width", { mesh: "1", stock: "6 wide" }, "stock: unknown-unit, mesh: too-small"],
  ["belt-width", { ratio: "", stock: "6,5 9,5" }, "7.5 mm, take 9.5"],
  ["belt-width", { ratio: "", stock: "1/4 3/8 in" }, "7.5 mm, take 9.5"],
  ["strands", {}, "They share the load: 16.4 % between outer and second"],
  ["strands", { "strands.0.read": "0" }, "They do not share the load: 141.2 % between outer and second"],
  ["strands", { "strands.1.name": "outer" }, "strands: part-twice"],
  ["strands", { mass: "" }, "mass: missing"],
  ["open-run", {}, "Shift it 9.5 mm towards the first side"],
  ["open-run", { forward: "200", back: "200" }, "It is 32.0 mm too short for both ways"],
  ["open-run", { forward: "", back: "", wheel: "cord", diameter: "40" }, "It turns 115° forward and 158° back"],
  ["open-run", { "second.end": "50" }, "second.end: too-small"],
  ["axis-travel", {}, "The high end runs 1.2 mm into the buffer"],
  ["axis-travel", { "high.switch": "905" }, "Both ends stop in time: 3.8 mm left, 18.2 mm to stop"],
  ["axis-travel", { "high.switch": "930" }, "The high end stands 3.0 mm behind the buffer"],
  ["axis-travel", { hi: "-5" }, "lo: window-upside-down"],
  ["counterbalance", {}, "At worst 112 N to lift, 0 mm below the top; 9 strands would leave 92 N"],
  ["counterbalance", { most: "400" }, "A strand would be stretched too far: the travel may be 280 mm"],
  ["counterbalance", { "points.1.at": "90" }, "points.1.at: too-small"],
  ["index-error", { steps: "", lost: "", "wheels.1.turns": "1/0" }, "wheels.1.turns: not-a-ratio"],
  ["index-error", { tolerance: "1" }, "It does not keep to it: ± 6.1′ at worst, ± 3.3′ likely"],
  ["closure", {}, "It closes: −1.2′ forwards, −3.6′ back, 2.3′ of lost motion"],
  [
    "closure",
    { tolerance: "3.4" },
    "Whether it closes cannot be told: −1.2′ forwards, −3.6′ back, 2.3′ of lost motion",
  ],
  [
    "closure",
    { tolerance: "", "forward.0.miss": "x", turns: "0" },
    "forward.0.miss: not-a-number, tolerance: empty, turns: too-small",
  ],
  ["heard-period", {}, "It fits Wheel; also Belt joint, 2 times a turn"],
  ["heard-period", { heard: "500" }, "Nothing comes so often; nearest is Belt joint, 3 times a turn"],
  ["heard-period", { heard: "0", "sources.1.rate": "-3" }, "sources.1.rate: too-small, heard: too-small"],
  ["warm-up", {}, "It ends at 65 °C and passes 60 °C after 37 min"],
  ["warm-up", { "points.0.temp": "", "points.0.minutes": "" }, "It ends at 66 °C and passes 60 °C after 36 min"],
  ["warm-up", { "points.1.temp": "hot", limit: "1 mm" }, "points.1.temp: not-a-number, limit: wrong-dimension"],
  ["thermal-mesh", {}, "0.033 mm of backlash warm, 0.115 less than cold"],
  ["thermal-mesh", { gearTo: "", gearOwn: "much" }, "gearTo: empty, gearOwn: not-a-number"],
  ["trend", {}, "It comes to its limit at 1700: between 1700 and 1838"],
  ["trend", { limit: "" }, "It changes by −0.0200 a unit of time"],
  ["trend", { limit: "120" }, "It does not come to its limit"],
  ["tension-first", {}, "Move 0.36: about 98 N, no further for safety"],
  ["tension-first", { "moves.0.amount": "0" }, "moves.0.amount: no-amount"],
  ["hand-slack", {}, "7.5 % of the span: 3.8 mm to take up, then it moves 24 mm; roller 22.0 mm in"],
  ["hand-slack", { movement: "24" }, "Right: 3.0 % of the span"],
  ["roller-grid", {}, "Barrel 30.0 in hole 1: 106 N"],
  ["roller-grid", { barrels: "15" }, "None gives the tension; nearest: Barrel 15.0 in hole 1: 0 N"],
  ["roller-grid", { barrels: "" }, "barrels: missing"],
  ["pluck", { noise: "40", hum: "" }, "92.0 Hz, clear"],
  ["pluck", { hz: "2000" }, "hz: too-large"],
  ["pluck", { noise: "-20" }, "No pluck that one can rely on: pluck again"],
])("%s, its example with %j: %s", (name, texts, said) => {
  const { bench, say } = benchOf(name);
  expect(say({ ...bench.example, ...texts })).toBe(said);
});

test("a ring of ties is named by its parts; points on a line are no frame", () => {
  expect(benchOf("strip-order").say(parts("Hub Screw -; Screw Hub -; Plate - -"))).toBe(
    "Hub and Screw wait for one another: one tie is wrong, or they go in as one",
  );
  expect(benchOf("flatness").say(frame("0 0 0; 1 1 0; 2 2 1"))).toBe("positions-undetermined");
});

describe("shafts end to end", () => {
  const line = benchOf("shaft-align");
  const fit = benchOf("coupling");

  // Handbook of axes and frames: 0.19 down, 0.05 left, 1.00 and 0.17 mm a metre.
  test("how the movable shaft stands is said as one sees it, and not at all where the readings do not close", () => {
    expect(line.say(line.bench.example)).toBe(
      "The movable shaft stands 0.19 mm low and 0.05 mm to the left; away from the coupling it rises 1.00 mm and goes right 0.17 mm a metre.",
    );
    expect(line.say({ ...line.bench.example, "rim.left": "0.26" })).toMatch(
      /^Top and bottom together differ from right and left together by 0\.05 mm: .* shim nothing/,
    );
    expect(line.say({ ...line.bench.example, rear: "100" })).toBe("rear: window-upside-down");
    expect(line.say({ ...line.bench.example, rpm: "9000" })).toBe("rpm: too-large");
  });

  test("what does not fit is said with its end and by how much; errors count against what is allowed", () => {
    expect(fit.say(fit.bench.example)).toBe("Driven: key loose in its slot: it hammers, by 0.030 mm");
    const good = { ...fit.bench.example, "end2.outer": "8.01" };
    expect(fit.say(good)).toBe("It fits, and carries what is asked of it");
    // 0.1/0.25 and 0.7/1 are 1.1 together.
    expect(fit.say({ ...good, "is.angular": "0.7" })).toBe("More error than it lives with, by 10 %");
    expect(fit.say({ ...good, torque: "40", rated: "50", service: "1.5" })).toBe(
      "More torque than it carries, by 17 %",
    );
    expect(fit.say({ ...good, "allow.radial": "" })).toBe("missing");
  });
});

describe("gears on holes", () => {
  const { bench, say } = benchOf("hole-grid");
  const grid = { ...bench.example, show: "1" };
  const places = (texts: Texts) => Number(/^(\d+)/.exec(say({ ...grid, ...texts }))?.[1]);
  const tried = (felt: string, teeth = "12 20", holes = "2 0") => ({
    "tried.felt": felt,
    "tried.teeth": teeth,
    "tried.holes": holes,
  });

  test("a pair that was tried speaks for all nearer or wider ones; what contradicts the band is said at it", () => {
    expect(places(tried("binds"))).toBeLessThan(places({}));
    expect(places(tried("right"))).toBe(places({}));
    expect(places(tried("loose"))).toBeLessThan(places({}));
    expect(say({ ...grid, ...tried("binds", "12 16", "3 0") })).toBe("tried.felt: window-upside-down");
    expect(say({ ...grid, ...tried("binds", "12") })).toBe("tried.teeth: two-numbers");
    expect(say(grid)).toMatch(/drawn \d+ : \d+, \d along and \d across$/);
  });
});
