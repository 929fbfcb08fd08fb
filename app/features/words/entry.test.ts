import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import type { Entry } from "~/core/logbook";
import type { StageAdjuster } from "~/core/records";
import { testStage } from "~/tests/stage";
import { entryWords } from "./entry";

const reader = readerOf();

const adjuster = { name: "Jack screw", step: 1 / 16, positiveWord: "out", negativeWord: "in" } as StageAdjuster;
const words = (kind: string, body: object, readings: object[] = []) => {
  const { title, detail } = entryWords(reader, { kind, body, readings } as unknown as Entry, {
    ...testStage("s"),
    adjuster,
  });
  return `${title} | ${detail}`;
};
const result = {
  quantity: "backlash",
  count: 12,
  min: 0.064,
  max: 0.12,
  verdict: "does-not-conform",
  holds: "provable",
};

test.each([
  ["job-opened", { reason: "Squeals" }, "Job opened | Squeals"],
  [
    "isolated",
    { lock: "12", noLock: null, acknowledged: [], notAcknowledged: [{ key: "air", text: "Air vented" }] },
    "Isolated, lock 12 | Nothing was acknowledged. Not acknowledged: Air vented",
  ],
  [
    "isolated",
    {
      lock: null,
      noLock: { key: "plug", text: "The plug is out and in my pocket" },
      acknowledged: [{ key: "air", text: "Air vented" }],
      notAcknowledged: [],
    },
    "Isolated, no lock: The plug is out and in my pocket | Acknowledged: Air vented",
  ],
  // Of an entry that kept the codes alone, what they stand for.
  [
    "isolated",
    { lock: "12", noLock: null, acknowledged: [{ key: "electric", text: "" }], notAcknowledged: [] },
    "Isolated, lock 12 | Acknowledged: electrical supply",
  ],
  [
    "live",
    {
      acknowledged: [{ key: "guards-on", text: "Guards are on" }],
      saw: ["clamp 2 snug"],
      notKnown: ["clamp 1 not logged in this job"],
    },
    "Live | Acknowledged: Guards are on. Seen then: clamp 2 snug. Not known then: clamp 1 not logged in this job",
  ],
  ["round", { phase: "as-found", result }, "As found, 12 readings | 0.06 to 0.12 mm, outside"],
  [
    "round",
    { phase: "check", result: { ...result, holds: "too-wide" } },
    "Check round, 12 readings | 0.06 to 0.12 mm, outside, wider than its limits",
  ],
  [
    "move",
    { amount: -0.1875, unit: "turns", did: "so", advised: {}, note: "" },
    "Jack screw 3/16 of a turn in | As advised",
  ],
  [
    "move",
    { amount: 0.25, unit: "turns", did: "otherwise", advised: {}, note: "Key slipped" },
    "Jack screw a quarter turn out | Otherwise than advised. Key slipped",
  ],
  [
    "move",
    { amount: 0.25, unit: "turns", did: "so", advised: null, note: "by feel" },
    "Jack screw a quarter turn out | by feel",
  ],
  [
    "clamp",
    { clamp: 3, of: 4, state: "firm", torqueNm: 48, pass: 3, passes: 3 },
    "Clamp 3 of 4 firm | 48 N·m, pass 3 of 3",
  ],
  [
    "proof",
    {
      way: "powered",
      outcome: "ran",
      direction: "forwards",
      speed: "slow",
      currentA: 1.36,
      temperatureC: null,
      noise: "even hum",
    },
    "Run forwards, slow | 1.4 A, even hum",
  ],
  [
    "proof",
    {
      way: "by-hand",
      outcome: "stopped",
      direction: "backwards",
      speed: "slow",
      currentA: null,
      temperatureC: null,
      noise: "",
    },
    "Turned by hand backwards, slow | was stopped",
  ],
  [
    "proof",
    {
      way: "powered",
      outcome: "ran",
      direction: null,
      speed: "slow",
      currentA: 1.7,
      temperatureC: null,
      noise: "quiet",
      move: "full-turn",
      planned: { runId: "r", revisionId: "p", name: "" },
      load: { kind: "brake", forceN: 12, armMm: 150 },
      speedRead: {
        ...{ how: "turns", rpm: 90, expandedUncertaintyPercent: 2, motorRpm: 1000 },
        ...{ predictedRpm: 100, offPercent: -10, find: "slips" },
      },
      ran: { minutes: 3.4, by: "timer", clockSetS: -120 },
      judged: { verdict: "undecided", each: [] },
    },
    "One whole turn under power, slow, 12.0 N at 150 mm: 1.80 N·m | not decided, 1.7 A, 90.0 turns a minute, 10.0 % slower than the train gives (100.0): it slips, or the ratio is another, 3.4 min; the tablet’s clock was set meanwhile, by −2.0 min, quiet",
  ],
  [
    "symptom",
    {
      kinds: ["knock", "rattle"],
      when: { direction: "one-way", load: null, warmth: "cold", place: null, speed: null },
      words: "since the new belt",
      heard: { perMinute: 84, toleranceShare: 0.02, taps: 12 },
      motorRpm: 700,
    },
    "Knock, rattle | one way only, cold, 84.0 times a minute, 12 taps, the motor at 700 a minute, since the new belt",
  ],
  [
    "suspect",
    {
      ...{ key: "s driven-turn", stageId: "s", part: "driven-turn", gear: null, cause: "tooth-damaged" },
      ...{ state: "found", test: null, note: "tooth 14" },
    },
    "Found: a damaged or dirty tooth | tooth 14",
  ],
  [
    "clamp",
    { clamp: 1, of: 2, state: "firm", torqueNm: 1.2, pass: 2, passes: 2 },
    "Clamp 1 of 2 firm | 1.2 N·m, pass 2 of 2",
  ],
  [
    "signature",
    {
      record: { asFound: result, asLeft: null },
      comment: "Quiet",
      unproven: [{ gear: null, direction: "backwards" }],
    },
    "Signed | 0.06 to 0.12 mm as found, not read as left. Not proven under power: backwards. Quiet",
  ],
  ["job-opened", { reason: "New press", firstBuild: true }, "First build | New press"],
  [
    "feel",
    {
      phase: "check",
      method: "paper strip",
      places: [{ tooth: 4 }, { tooth: 9 }],
      judged: { verdict: "near", side: "tight" },
    },
    "Check round, paper strip, 2 places | leans to tight, by feel",
  ],
  [
    "feel",
    { phase: "as-found", method: "by hand", of: null, places: [{ tooth: 4, feel: "small click" }], judged: null },
    "As found, by hand, tooth 4 | too few places felt to tell",
  ],
  [
    "feel",
    {
      phase: "set",
      method: "paper strip",
      places: [],
      here: 7,
      judged: { verdict: "outside", side: "tight", by: "paper" },
      paper: {
        prints: [{ tooth: 7, print: "cut through" }],
        sheet: { thicknessMm: 0.1, circumferentialMm: 0.2128, expandedUncertaintyMm: 0.0246 },
      },
    },
    "While setting, paper strip, tooth 7 | too tight, by paper. 7 cut through; a sheet of 0.10 mm stands for 0.213 mm ± 0.025 mm. The tight spot painted at tooth 7",
  ],
  [
    "feel",
    {
      phase: "set",
      method: "marking paint",
      places: [],
      judged: { verdict: "outside", side: "loose", by: "print" },
      print: { kind: "spur", prints: [{ flank: "drive" }], moves: [{ what: "print-other-flank" }] },
    },
    "While setting, marking paint, drive flank alone | too loose, by its print. Print the other flank too: one alone cannot tell inclined from crossed.",
  ],
  [
    "feel",
    {
      phase: "check",
      method: "pins",
      places: [],
      judged: { verdict: "inside", side: null, by: "pins" },
      pins: { goes: "3/32 in", stops: "1/8 in" },
    },
    "Check round, pins, 3/32 in goes, 1/8 in does not | right by pins",
  ],
  ["loose-thing", { thing: "paper strip", state: "in", where: "mesh" }, "Paper strip in | mesh"],
  [
    "move",
    { amount: 0.25, unit: "turns", did: "so", advised: {}, note: "", feelerMm: [0.1, 0.05] },
    "Jack screw a quarter turn out | As advised. Set on a feeler of 0.10 + 0.05 mm",
  ],
  [
    "signature",
    {
      record: { asFound: null, asLeft: null, asLeftByFeel: { verdict: "inside", side: null } },
      comment: "",
      unproven: [],
    },
    "Signed | nothing measured as found, right by feel",
  ],
  ["open-point", { text: "Gear on order" }, "Open point | Gear on order"],
  ["point-closed", { text: "Fitted" }, "Open point closed | Fitted"],
  ["usage", { reading: 420, unit: "hours", total: 420, newMeter: false }, "Meter 420 hours | "],
  ["usage", { reading: 5, unit: "hours", total: 425, newMeter: true }, "Meter 5 hours | New meter; 425 hours in all"],
  [
    "change",
    { what: "geometry", text: "Geometry, revision 2", warnings: ["odd-links, even 102"] },
    "Changed: geometry | Geometry, revision 2. Noted: An odd number of links needs a cranked one, about a fifth weaker (common practice); 102 would not.",
  ],
  [
    "change",
    { what: "moved-along", text: "Motor base of the fan belt was moved", warnings: [] },
    "Moved along | Motor base of the fan belt was moved",
  ],
  [
    "side",
    {
      quantity: "end-float",
      count: 2,
      min: 0.08,
      max: 0.12,
      verdict: "conforms",
      limits: { lo: null, hi: 0.2 },
      note: "",
    },
    "End float 0.08 to 0.12 mm | inside",
  ],
  [
    "side",
    { quantity: "elongation", count: 1, min: 2.25, max: 2.25, verdict: null, limits: null, note: "At the joint" },
    "Elongation 2.25 % | no limits to judge it by. At the joint",
  ],
  ["attachment", { mediaType: "image/jpeg", caption: "", name: "plate.jpg" }, "Photograph | plate.jpg"],
  ["attachment", { mediaType: "application/pdf", caption: "Drawing", name: "d.pdf" }, "File | Drawing"],
  ["computation", { tool: "gear-pair", text: "0.07 mm" }, "Kept from the bench: gear-pair | 0.07 mm"],
  ["plan", { date: "2027-03-04", text: "Grease" }, "Planned for 4 March 2027 | Grease"],
  ["plan", { date: null, text: "", atUsage: 12_400 }, "Planned for when the meter shows 12400 in all | "],
  ["assigned", { to: { id: "p", name: "Ines" }, note: "Lock 14 is still on" }, "Given to Ines | Lock 14 is still on"],
  ["assigned", { to: null, note: "" }, "Nobody’s any more | "],
  ["plan", { date: null, text: "" }, "Nothing planned any more | "],
  ["correction", { text: "Wrong gear", voids: true }, "Correction: does not count | Wrong gear"],
])("%s %j", (kind, body, line) => {
  expect(words(kind, body)).toBe(line);
});

test("a reading at one tooth says which", () => {
  const one = { phase: "set", result: { ...result, count: 1, min: 0.2, max: 0.2, verdict: "conforms" } };
  expect(words("round", one, [{ tooth: 32 }])).toBe("While setting, tooth 32 | 0.20 mm, inside");
});
