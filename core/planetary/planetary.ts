import { gcd, inverseModulo, modulo } from "../numerics";
import { accept, type Result, refuse } from "../quantity";

export type SimpleMember = "sun" | "carrier" | "ring";
export type CompoundMember = "sun" | "carrier" | "ring1" | "ring2";
export type Member = SimpleMember | CompoundMember;

export type PlanetaryGeometry = {
  sun: number;
  planets: number;
  moduleMm?: number | undefined;
} & (
  | {
      kind: "simple";
      planet: readonly [number];
      ring: readonly [number];
      fixed: SimpleMember;
      input: SimpleMember;
      output: SimpleMember;
    }
  | {
      kind: "compound-two-ring";
      planet: readonly [number, number];
      ring: readonly [number, number];
      fixed: CompoundMember;
      input: CompoundMember;
      output: CompoundMember;
    }
);

export type PlanetaryReason =
  | { code: "not-coaxial"; ring: number; wanted: number; at: 0 | 1 }
  | { code: "phases-do-not-meet"; sum: number; planets: number }
  | { code: "steps-do-not-meet"; difference: number; planets: number }
  | { code: "planets-touch"; gapModules: number }
  | { code: "no-ratio" };

export type PlanetarySet = {
  /** Input turns per output turn; negative: reversed; null: the output stands with the fixed member. */
  ratio: number | null;
  /** By the phases of the teeth alone. */
  assembles: boolean;
  planetsClear: boolean;
  /** Of the planet gears that stand closest; only with a module and more than one planet. */
  neighbourGapMm?: number;
  coaxial: boolean;
  clockingSteps: number | null;
  reasons: PlanetaryReason[];
};

/**
 * Ratio by the Willis relation, and whether a set can be put together (README). That it assembles says nothing about room: both
 * are told apart, so is whether the rings share the sun's axis with standard teeth (a tooth or two is made up by profile shift).
 *
 * @returns the set, or `two-roles` at output where one member has two of fixed, input and output
 */
export function planetarySet(set: PlanetaryGeometry): Result<PlanetarySet> {
  if (new Set([set.fixed, set.input, set.output]).size < 3) return refuse("two-roles", ["output"]);
  const ratio = ratioOf(set);
  const clockingSteps = clocking(set);
  const gaps = gapsInModules(set);
  const gap = gaps.length === 0 ? null : Math.min(...gaps);
  const reasons = [...offAxis(set), ...offPhase(set)];
  if (gap !== null && gap <= 0) reasons.push({ code: "planets-touch", gapModules: gap });
  if (ratio === null) reasons.push({ code: "no-ratio" });
  return accept({
    ratio,
    assembles: clockingSteps !== null,
    planetsClear: gap === null || gap > 0,
    ...(gap !== null && set.moduleMm !== undefined ? { neighbourGapMm: gap * set.moduleMm } : {}),
    coaxial: offAxis(set).length === 0,
    clockingSteps,
    reasons,
  });
}

/** Speeds of the members relative to the carrier, the sun's being 1. */
export function relativeSpeeds(set: PlanetaryGeometry): Record<string, number> {
  if (set.kind === "simple") return { sun: 1, carrier: 0, ring: -set.sun / set.ring[0] };
  const [a, b] = set.planet;
  return {
    sun: 1,
    carrier: 0,
    ring1: -set.sun / set.ring[0],
    ring2: -(set.sun / a) * (b / set.ring[1]),
  };
}

function ratioOf(set: PlanetaryGeometry): number | null {
  const speed = relativeSpeeds(set);
  const rel = (member: Member) => speed[member] ?? 0;
  const output = rel(set.output) - rel(set.fixed);
  return Math.abs(output) < 1e-12 ? null : (rel(set.input) - rel(set.fixed)) / output;
}

/** Gap between neighbouring planet gears in modules (no tip shortening); none for a single planet. */
function gapsInModules(set: PlanetaryGeometry): number[] {
  if (set.planets === 1) return [];
  const between = (set.sun + set.planet[0]) * Math.sin(Math.PI / set.planets);
  return set.planet.map((teeth) => between - (teeth + 2));
}

function offAxis(set: PlanetaryGeometry): PlanetaryReason[] {
  const centres = set.sun + set.planet[0];
  return set.ring.flatMap((ring, i): PlanetaryReason[] => {
    const wanted = centres + (set.planet[i] ?? 0);
    return ring === wanted ? [] : [{ code: "not-coaxial", ring, wanted, at: i as 0 | 1 }];
  });
}

/** D of the README. */
const stepDifference = ([a, b]: readonly [number, number], [r1, r2]: readonly [number, number]): number =>
  (r2 * a - r1 * b) / gcd(a, b);

function offPhase(set: PlanetaryGeometry): PlanetaryReason[] {
  const { planets } = set;
  const sum = set.sun + set.ring[0];
  const reasons: PlanetaryReason[] = sum % planets === 0 ? [] : [{ code: "phases-do-not-meet", sum, planets }];
  if (set.kind === "simple") return reasons;
  const difference = stepDifference(set.planet, set.ring);
  if (modulo(difference, planets) !== 0) reasons.push({ code: "steps-do-not-meet", difference, planets });
  return reasons;
}

function clocking(set: PlanetaryGeometry): number | null {
  if (offPhase(set).length > 0) return null;
  if (set.kind === "simple") return 0;
  const [a, b] = set.planet;
  const common = gcd(a, b);
  const turn = a / common;
  const inverse = inverseModulo(b / common, turn) ?? 0;
  const first = modulo(-(stepDifference(set.planet, set.ring) / set.planets) * inverse, turn);
  return roundedModulo(first - set.ring[0] / set.planets, turn);
}

/** A rest that is a whole turn but for the last binary digit is none. */
function roundedModulo(value: number, turn: number): number {
  const rest = modulo(value, turn);
  return turn - rest < 1e-9 ? 0 : rest;
}
