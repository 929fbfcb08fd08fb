import { describe, expect, test } from "vitest";
import { entryBodies } from "./schema";

/** One body of each kind, with everything in it that it may hold. */
const round = {
  quantity: "backlash",
  count: 12,
  min: 0.12,
  max: 0.2,
  mean: 0.16,
  worstMin: 0.11,
  worstMax: null,
  tightTooth: 7,
  expandedUncertainty: 0.02,
  verdict: "conforms",
  holds: "provable",
  gear: "low",
  teeth: [20, 40],
  read: { how: "circumferential-backlash", part: "tooth", belts: 1 },
  carriedFrom: null,
};
const judged = {
  verdict: "near",
  side: "loose",
  step: "together",
  feasible: true,
  missing: 3,
  tightTooth: 4,
  nextTooth: null,
};
const side = {
  quantity: "runout",
  count: 1,
  min: 0.02,
  max: 0.02,
  expandedUncertainty: 0.01,
  limits: { lo: null, hi: 0.13 },
  verdict: "conforms",
  note: "",
};
const shiftEnd = { overlapMm: 6, share: 0.75, marginMm: -1.6, ok: false, spacerChangeMm: -2 };
const said = [{ key: "air", text: "Compressed air vented" }];
const stack = [{ thicknessMm: 0.5, count: 2 }];
const bodies: { [K in keyof typeof entryBodies]: Record<string, unknown> } = {
  "job-opened": { reason: "Whines", firstBuild: true },
  isolated: { lock: null, noLock: said[0], acknowledged: said, notAcknowledged: [] },
  live: { acknowledged: said, saw: ["a pin"], notKnown: [] },
  round: { phase: "check", result: round, overdue: "2026-01-31" },
  side,
  feel: { phase: "set", method: "by hand", gear: null, of: 40, places: [{ tooth: 1, feel: "binds" }], judged },
  move: {
    amount: -0.1,
    unit: "mm",
    direction: "together",
    did: "otherwise",
    advised: { amount: -0.12, min: 0.12, max: 0.2, at: null, standTooth: 7 },
    reasons: ["provisional"],
    teaches: true,
    note: "",
    feelerMm: [0.1],
    gear: "low",
    stack: { was: stack, now: [], other: { was: [], now: stack } },
  },
  shift: {
    gears: ["low", "high"],
    stops: { leftMm: -10, rightMm: 9 },
    travel: { left: shiftEnd, right: shiftEnd, neutralMm: 5, neutralOk: true, ok: false, feasible: true },
    engaged: [{ gear: "low", how: "tooth on tooth" }],
    actuator: { left: 1100, right: 1900, unit: "µs" },
    note: "",
  },
  sweep: {
    gear: "low",
    unit: "bar",
    points: [{ force: 2, currentA: 1.02 }],
    allowedRisePercent: 5,
    resolutionA: 0.01,
    resolutionSaid: true,
    slope: 0.01,
    slopeInterval: [0, 0.02],
    risePercent: 4,
    risePercentInterval: [0, 8],
    verdict: "undecided",
    cause: null,
  },
  trial: {
    part: "Pinion bore",
    version: "B",
    making: "printed",
    of: "hole",
    drawnMm: 5.2,
    madeMm: 5.08,
    felt: "slides",
    play: "6 arcmin",
    smooth: "even",
    burr: "taken off",
    outcome: "fitted",
    why: "",
  },
  option: {
    name: "Worm and belt",
    motorRpm: 1400,
    ratio: 35,
    wheelDiameterMm: 60,
    scale: null,
    motorTorqueNm: 0.5,
    efficiency: 0.6,
    price: 84,
    noise: "quiet",
    room: "",
    effort: "",
    use: "",
    service: "belt every year",
    measuredRpm: 39,
    outcome: "lost",
    why: "No room for the worm",
  },
  "part-off": {
    guide: { revisionId: "g", name: "Gearbox", revision: 1 },
    part: { key: "cover", name: "Cover" },
    screws: [{ size: "M4", lengthMm: 12, count: 6, washers: 6, where: "in the tray" }],
    side: "left",
    facing: "lip outwards",
    mark: "dot to dot",
    spacers: [{ widthMm: 0.3, count: 1, race: "outer" }],
    massKg: null,
    conditions: ["worn"],
    fate: "order one",
    beforeHidden: "",
    note: "",
  },
  "part-on": {
    guide: null,
    part: { key: "cover", name: "Cover" },
    screws: [{ size: "M4", lengthMm: 12, count: 6, washers: 6, where: "", in: 6, washersIn: 5 }],
    state: "snug",
    fresh: false,
    asItWentOn: "",
    note: "",
  },
  "part-screws": { part: { key: "cover", name: "Cover" }, screws: [], state: "firm" },
  turned: {
    way: "as built",
    feel: "stiff",
    after: { part: { key: "cover", name: "Cover" }, by: "screws" },
    suspects: [{ part: { key: "cover", name: "Cover" }, by: "screws" }],
    found: ["burr"],
    did: ["filed", "blown out"],
    note: "",
  },
  seat: {
    part: { key: "bearing", name: "Bearing" },
    seatMm: 8.3,
    partMm: 8,
    typed: { seat: ["8.3"], part: ["8.00"] },
    instrument: null,
    gapMm: 0.3,
    expandedUncertaintyMm: null,
    says: "too-narrow",
    laid: [{ thicknessMm: 0.3, count: 1 }],
    leftMm: 0,
    race: "outer",
  },
  shaft: {
    shaft: { shaftId: "s", revisionId: "r", name: "Feeder shaft", revision: 1 },
    phase: "as fitted",
    instrument: null,
    length: { mm: 180, typed: ["180"], expandedUncertaintyMm: null },
    parts: [{ mm: 12, typed: null, expandedUncertaintyMm: null, key: "b", name: "Bearing", leftMm: 0 }],
    laid: [{ after: "left-face", spacers: [{ widthMm: 0.5, count: 1, made: false }] }],
    planes: [],
    endFloat: {
      loMm: 0.1,
      hiMm: 0.2,
      reckonedMm: 0.15,
      expandedUncertaintyMm: null,
      readMm: null,
      typed: "",
      readInstrument: null,
      readExpandedUncertaintyMm: null,
      verdict: null,
      closes: null,
      apartMm: null,
    },
    seenTo: [{ key: "b", rule: "inner-race-only", done: true }],
    note: "",
  },
  measured: {
    tool: "flatness",
    of: "Frame",
    when: "before",
    input: { points: [] },
    output: { flatnessMm: 0.2 },
    said: "Flat within 0.20 mm",
    verdict: "does-not-conform",
    instrument: null,
    laid: [{ at: "1", shims: [{ thicknessMm: 0.2, count: 1 }] }],
    seenTo: [{ what: "bolted-as-it-stands", done: true }],
    note: "",
  },
  "part-work": {
    part: { key: "hub", name: "Hub" },
    work: "bore",
    guided: false,
    beforeMm: 7.8,
    afterMm: 8,
    runoutBeforeMm: 0.12,
    runoutAfterMm: 0.03,
    felt: null,
    clocking: "",
    note: "",
  },
  greased: { points: [{ id: "p", name: "Main bearing", kind: "lithium NLGI 2", grams: 4 }], spread: true, note: "" },
  looked: { items: [{ id: "l", name: "Belt edges", found: "damage", note: "frayed" }], note: "" },
  "paper-round": { result: round, keptBy: "the book in drawer 3", movedAfter: "unknown" },
  assigned: { to: { id: "p", name: "Ines" }, note: "Lock 14 is still on" },
  symptom: {
    kinds: ["knock"],
    when: { direction: "one-way", load: null, warmth: "cold", place: null, speed: null },
    words: "since the new belt",
    heard: { perMinute: 84, toleranceShare: 0.02, taps: 12 },
    motorRpm: 700,
    again: { perMinute: 42, toleranceShare: 0.05, motorRpm: 350 },
  },
  suspect: {
    key: "s driven-turn",
    stageId: "s",
    part: "driven-turn",
    gear: null,
    cause: "tooth-damaged",
    state: "found",
    test: "mark-and-watch",
    note: "tooth 14",
  },
  "loose-thing": { thing: "pin", state: "in", where: "" },
  clamp: { clamp: 1, of: 4, pass: 1, passes: 2, state: "snug", torqueNm: null },
  proof: {
    way: "powered",
    outcome: "stalled",
    direction: "forwards",
    speed: "slow",
    currentA: 4.1,
    temperatureC: null,
    noise: "",
    gear: "low",
    axis: { unit: "mm", leftToBuffer: 4.5, overshoot: null, guidesLubricated: true },
  },
  note: { text: "x" },
  signature: {
    record: {
      asFound: round,
      asLeft: null,
      asLeftByFeel: { verdict: "inside", side: null },
      moves: 1,
      clampsFirm: 4,
      proofs: 2,
      sides: [side],
      gears: [{ gear: "low", asFound: round, asLeft: null, asLeftByFeel: { verdict: "near", side: "tight" } }],
    },
    comment: "",
    nextDate: null,
    provisional: ["not-proved"],
    saw: ["1"],
    unproven: [{ gear: null, direction: "backwards" }],
    provenBy: "pin",
  },
  countersignature: { comment: "", provenBy: "password" },
  correction: { text: "x", voids: false },
  "open-point": { text: "x" },
  "point-closed": { text: "x" },
  usage: { reading: 8812, unit: "hours", total: 8812, newMeter: false },
  change: { what: "geometry", text: "x", warnings: [{ code: "odd-links", even: 102 }, "undercut, member 0"] },
  attachment: { name: "a.jpg", mediaType: "image/jpeg", sizeBytes: 120, sha256: "00", caption: "" },
  computation: { tool: "fit", input: { a: 1 }, output: [1], text: "x" },
  plan: { date: null, text: "x" },
};

type Path = (string | number)[];
/** Where in a body a figure, a word or a yes stands. */
const leaves = (value: unknown, path: Path = []): Path[] =>
  value !== null && typeof value === "object"
    ? Object.entries(value).flatMap(([key, inner]) => leaves(inner, [...path, key]))
    : [path];
const at = (body: unknown, path: Path): unknown =>
  path.reduce((inner, key) => (inner as Record<string, unknown>)?.[key as string], body);
function withLeaf(body: Record<string, unknown>, path: Path, value: unknown) {
  const copy = JSON.parse(JSON.stringify(body));
  const last = path.at(-1) as string;
  (at(copy, path.slice(0, -1)) as Record<string, unknown>)[last] = value;
  return copy;
}
/** What is open to any value, by its own nature. */
const isFree = (kind: string, [key]: Path): boolean =>
  ((kind === "computation" || kind === "measured") && (key === "input" || key === "output")) ||
  (kind === "change" && key === "warnings");

describe.each(Object.entries(bodies))("%s", (name, body) => {
  const schema = entryBodies[name as keyof typeof entryBodies];

  test("is read as it was written, with everything in it", () => {
    expect(schema.parse(body)).toEqual(body);
    expect(schema.parse(JSON.parse(JSON.stringify(body)))).toEqual(body);
  });

  test("with any of its figures, words or yeses become something else it is refused, and where is said", () => {
    for (const path of leaves(body).filter((leaf) => !isFree(name, leaf))) {
      const known = at(body, path);
      const other = typeof known === "string" ? 7 : known === null ? Symbol("none") : "something else";
      const read = schema.safeParse(withLeaf(body, path, other));
      expect(read.success, path.join(".")).toBe(false);
      expect(read.error?.issues[0]?.path.map(String).join("."), path.join(".")).toContain(String(path[0]));
    }
  });

  test("no figure in it may be none", () => {
    for (const path of leaves(body).filter((leaf) => typeof at(body, leaf) === "number" && !isFree(name, leaf)))
      for (const figure of [Number.NaN, Number.POSITIVE_INFINITY])
        expect(schema.safeParse(withLeaf(body, path, figure)).success, path.join(".")).toBe(false);
  });
});
