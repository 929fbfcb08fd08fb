import { type Adjuster, canMove } from "~/core/advice";
import type { GearParts, PairGeometry } from "~/core/gears";
import { formatNumber, parseNumber } from "~/core/quantity";
import type { ClampPattern, Geometry, StageAdjuster, StageLimits, TurnedBy } from "~/data/queries/stages";

import { type Read, Reader, readPitch, type Texts } from "./reader";

export type GeometryInput = Omit<Geometry, "id" | "revision" | "arcDeg"> & { arcDeg: [number, number] | null };
export type AdjusterInput = Omit<StageAdjuster, "id" | "revision">;
export type LimitsInput = Pick<StageLimits, "loMm" | "aimMm" | "hiMm" | "sourceKind" | "source">;

/** Teeth, pitch, shifts, centres; as far as the drawing and the figures need them. */
export function readPair(texts: Texts): Read<PairGeometry> {
  const read = new Reader(texts);
  const pitch = readPitch(read.text("pitch"));
  if (!pitch.ok) read.problems.pitch = pitch.refusal;
  const face = read.lengthOrNull("face");
  const pair: PairGeometry = {
    teeth: [read.number("z1", true), read.number("z2", true)],
    moduleMm: pitch.ok ? pitch.value : Number.NaN,
    pressureAngleDeg: read.angleOr("alpha", 20),
    helixAngleDeg: 0,
    profileShift: [read.numberOr("x1", 0), read.numberOr("x2", 0)],
    thinningMm: [0, 0],
    ...(face === null ? {} : { faceWidthMm: face }),
    internal: read.text("internal") === "yes",
    centreDistanceMm: read.length("centres"),
  };
  for (const name of ["z1", "z2"] as const) {
    const z = pair.teeth[name === "z1" ? 0 : 1];
    read.want(name, z >= 3, "teeth-too-few");
    read.want(name, z <= 2000, "too-large");
  }
  read.want("alpha", pair.pressureAngleDeg > 5 && pair.pressureAngleDeg < 45, "angle-out-of-range");
  read.want("centres", (pair.centreDistanceMm ?? 0) > 0, "too-small");
  read.want("face", face === null || face > 0, "too-small");
  read.want("pitch", pair.moduleMm <= 100, "too-large");
  return read.done(pair);
}

export function readParts(texts: Texts): Read<GearParts> {
  const read = new Reader(texts);
  const bores: [number | null, number | null] = [read.lengthOrNull("bore1"), read.lengthOrNull("bore2")];
  const keyways: [number | null, number | null] = [read.lengthOrNull("key1"), read.lengthOrNull("key2")];
  for (const [name, value] of Object.entries({ bore1: bores[0], bore2: bores[1], key1: keyways[0], key2: keyways[1] }))
    read.want(name, value === null || value > 0, "too-small");
  const other = read.has("pitch2") ? readPitch(read.text("pitch2")) : null;
  if (other && !other.ok) read.problems.pitch2 = other.refusal;
  return read.done({
    ...(read.has("material1") || read.has("material2")
      ? { materials: [read.text("material1"), read.text("material2")] as const }
      : {}),
    ...(bores.some((bore) => bore !== null) ? { boresMm: bores } : {}),
    ...(keyways.some((keyway) => keyway !== null) ? { keywaysMm: keyways } : {}),
    ...(other?.ok ? { gearModuleMm: other.value } : {}),
  });
}

/** Where the clamp screws stand: on a circle, or point by point as "x y", one a line, mm from the middle. */
export function readClampPoints(texts: Texts): Read<ClampPattern["points"]> {
  const read = new Reader(texts);
  if (read.text("clamps.way") !== "points") {
    const count = read.number("clamps.count", true);
    const diameter = read.length("clamps.circle");
    const first = read.angleOr("clamps.first", 0);
    read.want("clamps.count", count >= 1, "too-few");
    read.want("clamps.count", count <= 60, "too-large");
    read.want("clamps.circle", diameter > 0, "too-small");
    const points = Array.from({ length: Math.min(60, count || 0) }, (_, i) => {
      const angle = ((first + (360 * i) / count) * Math.PI) / 180;
      return { x: (diameter / 2) * Math.sin(angle), y: (-diameter / 2) * Math.cos(angle) };
    });
    return read.done(points.map(({ x, y }) => ({ x: rounded(x), y: rounded(y) })));
  }
  const lines = read
    .text("clamps.points")
    .split(/\n|;/)
    .filter((line) => line.trim() !== "");
  read.want("clamps.points", lines.length > 0, "too-few");
  read.want("clamps.points", lines.length <= 60, "too-large");
  const points = lines.map((line) => {
    const [x, y] = line
      .trim()
      .split(/\s+/)
      .map((part) => parseNumber(part));
    if (!x?.ok || !y?.ok) {
      read.problems["clamps.points"] = { code: "not-a-point", path: ["clamps.points"], facts: { text: line.trim() } };
      return { x: 0, y: 0 };
    }
    // Up on the sheet is up for a person, and down for a drawing.
    return { x: x.value, y: -y.value };
  });
  return read.done(points);
}

const rounded = (value: number): number => Math.round(value * 1000) / 1000 + 0;

export function readClamps(texts: Texts): Read<ClampPattern> {
  const read = new Reader(texts);
  const points = readClampPoints(texts);
  Object.assign(read.problems, points.problems ?? {});
  const torqueNm = read.torque("clamps.torque");
  read.want("clamps.torque", torqueNm > 0, "too-small");
  const passes = read.has("clamps.passes") ? read.number("clamps.passes", true) : 2;
  read.want("clamps.passes", passes >= 1, "too-small");
  read.want("clamps.passes", passes <= 6, "too-large");
  return read.done({
    points: points.value ?? [],
    size: read.words("clamps.size"),
    torqueNm,
    passes,
    compound: read.text("clamps.compound") === "yes",
  });
}

export function readGeometry(texts: Texts): Read<GeometryInput> {
  const [pair, parts, clamps] = [readPair(texts), readParts(texts), readClamps(texts)];
  const read = new Reader(texts);
  const turnedBy = (["either", "input", "output", "power"] as const).find((by) => by === read.text("turnedBy"));
  let arcDeg: [number, number] | null = null;
  if (read.text("arc") === "yes") {
    arcDeg = [read.angleOr("arc.from", 0), read.angleOr("arc.to", Number.NaN)];
    read.want("arc.to", read.has("arc.to"), "missing");
    read.want("arc.from", !(arcDeg[0] >= arcDeg[1]), "window-upside-down");
  }
  const problems = { ...pair.problems, ...parts.problems, ...clamps.problems, ...read.problems };
  if (!pair.value || !parts.value || !clamps.value || Object.keys(problems).length > 0)
    return { value: null, problems };
  return {
    value: {
      pair: pair.value,
      clamps: clamps.value,
      arcDeg,
      turnedBy: (turnedBy ?? "either") as TurnedBy,
      parts: parts.value,
    },
    problems: null,
  };
}

export const adjusterTypes = ["slide", "screw", "pivot", "eccentric", "shims"] as const;
export type AdjusterType = (typeof adjusterTypes)[number];
export const adjusterTypeOf = (texts: Texts): AdjusterType =>
  adjusterTypes.find((type) => type === texts["adjuster.type"]) ?? "slide";

/** The adjuster's law alone, as its picture needs it. */
export function readLaw(texts: Texts): Read<Adjuster> {
  const read = new Reader(texts);
  const over0 = (name: string) => {
    const value = read.length(name);
    read.want(name, value > 0, "too-small");
    return value;
  };
  const angleDeg = () => read.angleOr("adjuster.angle", 0);
  const law = (): Adjuster => {
    switch (adjusterTypeOf(texts)) {
      case "slide":
        return { type: "slide", angleDeg: angleDeg() };
      case "screw":
        return {
          type: "screw",
          leadMm: over0("adjuster.lead"),
          angleDeg: angleDeg(),
          oneWay: read.text("adjuster.oneWay") === "yes",
          springReturn: read.text("adjuster.spring") === "yes",
        };
      case "pivot":
        return {
          type: "pivot",
          armMm: over0("adjuster.arm"),
          leverMm: over0("adjuster.lever"),
          angleDeg: read.has("adjuster.angle") ? angleDeg() : 90,
        };
      case "eccentric":
        return { type: "eccentric", throwMm: over0("adjuster.throw"), angleDeg: angleDeg() };
      case "shims":
        return { type: "shims", perMm: read.numberOr("adjuster.perMm", 1) };
    }
  };
  const [min, max] = ["adjuster.back", "adjuster.on"].map((name) => (read.has(name) ? read.number(name) : null));
  const adjuster: Adjuster = law();
  if (min !== null && max !== null && min !== undefined && max !== undefined) {
    read.want("adjuster.back", -Math.abs(min) <= Math.abs(max), "window-upside-down");
    adjuster.travel = { min: -Math.abs(min), max: Math.abs(max) };
  } else if (min !== max) read.want(min === null ? "adjuster.back" : "adjuster.on", false, "missing");
  if (Object.keys(read.problems).length === 0) read.want("adjuster.angle", canMove(adjuster), "cannot-move");
  return read.done(adjuster);
}

const usualStep: Record<AdjusterType, number> = { slide: 0.01, screw: 0.0625, pivot: 0.1, eccentric: 1, shims: 0.01 };

export function readAdjuster(texts: Texts): Read<AdjusterInput> {
  const law = readLaw(texts);
  const read = new Reader(texts);
  const type = adjusterTypeOf(texts);
  const step = read.numberOr("adjuster.step", usualStep[type]);
  read.want("adjuster.step", step > 0, "too-small");
  const input = {
    name: read.words("adjuster.name"),
    step,
    positiveWord: read.words("adjuster.plus"),
    negativeWord: read.words("adjuster.minus"),
    hand: type === "screw" ? (read.text("adjuster.hand") === "left" ? ("left" as const) : ("right" as const)) : null,
    hasScale: read.text("adjuster.scale") !== "no",
    seenFrom: read.text("adjuster.from"),
  };
  const problems = { ...law.problems, ...read.problems };
  return law.value && Object.keys(problems).length === 0
    ? { value: { ...input, adjuster: law.value }, problems: null }
    : { value: null, problems };
}

export const sourceKinds = ["maker", "drawing", "standard", "house rule", "recommended"] as const;

export function readLimits(texts: Texts): Read<LimitsInput> {
  const read = new Reader(texts);
  const loMm = read.length("lo");
  const hiMm = read.length("hi");
  const aimMm = read.lengthOrNull("aim");
  read.want("lo", loMm >= 0, "too-small");
  read.want("lo", !(loMm > hiMm), "window-upside-down");
  read.want("aim", aimMm === null || !(aimMm < loMm || aimMm > hiMm), "aim-outside");
  const sourceKind = sourceKinds.find((kind) => kind === read.text("sourceKind")) ?? "drawing";
  return read.done({ loMm, hiMm, aimMm, sourceKind, source: read.words("source") });
}

const n = (value: number | null | undefined, decimals = 4): string =>
  value === null || value === undefined
    ? ""
    : formatNumber(value, decimals)
        .replace(/(\.\d*?)0+$/, "$1")
        .replace(/\.$/, "");

/** The fields of a stage that is there already. */
export function textsOf(stage: {
  name: string;
  geometry: Geometry;
  adjuster: StageAdjuster;
  limits: StageLimits;
}): Texts {
  const { pair, clamps, arcDeg, turnedBy, parts } = stage.geometry;
  const { adjuster: law, ...adjuster } = stage.adjuster;
  const { limits } = stage;
  return {
    name: stage.name,
    z1: String(pair.teeth[0]),
    z2: String(pair.teeth[1]),
    pitch: n(pair.moduleMm, 6),
    alpha: n(pair.pressureAngleDeg),
    x1: n(pair.profileShift[0]),
    x2: n(pair.profileShift[1]),
    face: n(pair.faceWidthMm),
    centres: n(pair.centreDistanceMm),
    internal: pair.internal ? "yes" : "",
    material1: parts.materials?.[0] ?? "",
    material2: parts.materials?.[1] ?? "",
    bore1: n(parts.boresMm?.[0]),
    bore2: n(parts.boresMm?.[1]),
    key1: n(parts.keywaysMm?.[0]),
    key2: n(parts.keywaysMm?.[1]),
    pitch2: n(parts.gearModuleMm, 6),
    turnedBy,
    arc: arcDeg ? "yes" : "",
    "arc.from": n(arcDeg?.[0]),
    "arc.to": n(arcDeg?.[1]),
    "clamps.way": "points",
    "clamps.points": clamps.points.map(({ x, y }) => `${n(x)} ${n(-y + 0)}`).join("\n"),
    "clamps.size": clamps.size,
    "clamps.torque": n(clamps.torqueNm),
    "clamps.passes": String(clamps.passes),
    "clamps.compound": clamps.compound ? "yes" : "",
    "adjuster.name": adjuster.name,
    "adjuster.type": law.type,
    "adjuster.angle": law.type === "shims" ? "" : n(law.angleDeg),
    "adjuster.lead": law.type === "screw" ? n(law.leadMm) : "",
    "adjuster.oneWay": law.type === "screw" && law.oneWay ? "yes" : "",
    "adjuster.spring": law.type === "screw" && law.springReturn ? "yes" : "",
    "adjuster.arm": law.type === "pivot" ? n(law.armMm) : "",
    "adjuster.lever": law.type === "pivot" ? n(law.leverMm) : "",
    "adjuster.throw": law.type === "eccentric" ? n(law.throwMm) : "",
    "adjuster.perMm": law.type === "shims" ? n(law.perMm) : "",
    "adjuster.back": n(law.travel && Math.abs(law.travel.min)),
    "adjuster.on": n(law.travel?.max),
    "adjuster.step": n(adjuster.step),
    "adjuster.plus": adjuster.positiveWord,
    "adjuster.minus": adjuster.negativeWord,
    "adjuster.hand": adjuster.hand ?? "",
    "adjuster.scale": adjuster.hasScale ? "" : "no",
    "adjuster.from": adjuster.seenFrom,
    lo: n(limits.loMm),
    aim: n(limits.aimMm),
    hi: n(limits.hiMm),
    sourceKind: limits.sourceKind,
    source: limits.source,
  };
}
