import { beltDrive } from "../belts";
import { type UnwiseBevel, unwiseBevel } from "../bevels";
import { chainDrive, leastCentre } from "../chains";
import { gearPair, type Unwise as UnwiseGear, unwiseIn } from "../gears";
import { nearestSets, type PlanetaryReason, planetarySet } from "../planetary";
import { accept, type Result, refuse } from "../quantity";
import { type UnwiseWorm, unwiseWorm } from "../worms";
import { type BeltElement, type ChainElement, type GearElement, isBelt, type StageElement } from "./element";
import { readSpan, runDiameters, stagePath } from "./path";

export type Unwise =
  | UnwiseGear
  | UnwiseWorm
  | UnwiseBevel
  | PlanetaryReason
  | { code: "gear-does-not-mesh"; name: string; backlashMm: number }
  | { code: "of-a-gear"; name: string; of: UnwiseGear }
  | { code: "few-teeth-in-mesh"; teeth: number }
  | { code: "little-wrap"; wrapDeg: number; leastDeg: number }
  | { code: "belt-slack"; byMm: number }
  | { code: "odd-links"; even: number }
  | { code: "few-sprocket-teeth"; teeth: number }
  | { code: "centres-out-of-range"; pitches: number };

/** Toothed belts carry their full load with six teeth in mesh; V-belts want 120° of wrap; so do chains (all common practice). */
const leastTeethInMesh = 6;
const leastWrapDeg = 120;

/**
 * Whether an element has a geometry, and what is unwise about one that has: said and recorded, never refused.
 *
 * @returns what is unwise; or a refusal whose facts name the nearest that works: of the pair; `gear-has-no-mesh` at gears.i;
 *   `planets-do-not-assemble` or `planets-touch` at planets (facts.nearest); `belt-too-short` at beltTeeth or lengthMm (facts.least);
 *   `chain-too-short` at links; `pulleys-overlap`, `no-path` at idlers
 */
export function checkElement(element: StageElement): Result<Unwise[]> {
  if (isBelt(element)) return checkBelt(element);
  switch (element.kind) {
    case "gear-pair":
      return checkGears(element);
    case "worm":
      return accept(unwiseWorm(element.worm));
    case "bevel":
      return accept(unwiseBevel(element.bevel));
    case "planetary": {
      const set = planetarySet(element.set);
      if (!set.ok) return set;
      const nearest = nearestSets(element.set).map(setWords).join("; ");
      if (!set.value.assembles) return refuse("planets-do-not-assemble", ["planets"], { nearest });
      if (!set.value.planetsClear) return refuse("planets-touch", ["planets"], { nearest });
      return accept(set.value.reasons);
    }
    case "chain":
      return checkChain(element);
    case "gap":
      return accept([]);
  }
}

const setWords = (set: { planets: number; sun: number; planet: number[]; ring: number[] }): string =>
  `${set.planets} planets with ${set.sun}, ${set.planet.join("/")}, ${set.ring.join("/")} teeth`;

function checkGears({ pair, parts, gears, gearName }: GearElement): Result<Unwise[]> {
  const mesh = gearPair(pair);
  if (!mesh.ok) return mesh;
  const unwise: Unwise[] = unwiseIn(pair, parts);
  if (gears && gears.length === 0) return refuse("one-gear-only", ["gears"], { name: gearName ?? "" });
  for (const [i, gear] of (gears ?? []).entries()) {
    const otherPair = {
      ...pair,
      teeth: gear.teeth,
      profileShift: gear.profileShift,
      tipDiameterMm: undefined,
      centreDistanceMm: mesh.value.centreDistanceMm,
    };
    const other = gearPair(otherPair);
    if (!other.ok)
      return refuse("gear-has-no-mesh", ["gears", i], { name: gear.name, sum: pair.teeth[0] + pair.teeth[1] });
    const backlashMm = other.value.backlash.circumferentialMm;
    if (backlashMm < -1e-9) unwise.push({ code: "gear-does-not-mesh", name: gear.name, backlashMm });
    for (const of of unwiseIn(otherPair))
      if (of.code !== "teeth-jam") unwise.push({ code: "of-a-gear", name: gear.name, of });
  }
  return accept(unwise);
}

function checkBelt(element: BeltElement): Result<Unwise[]> {
  const path = stagePath(element);
  if (!path.ok) return path;
  const { laid } = path.value;
  const unwise: Unwise[] = [];
  const length = element.kind === "toothed-belt" ? element.beltTeeth * element.pitchMm : element.lengthMm;
  const at = element.kind === "toothed-belt" ? "beltTeeth" : "lengthMm";
  // A belt stretches by less than a hundredth; one that is shorter still does not go on.
  if (length < laid.lengthMm * 0.99) return refuse("belt-too-short", [at], shortestBelt(element, laid.lengthMm));
  if (length > laid.lengthMm * 1.02) unwise.push({ code: "belt-slack", byMm: length - laid.lengthMm });
  const small = runDiameters(element)[0] <= runDiameters(element)[1] ? 0 : path.value.driven;
  const wrapDeg = laid.wraps[small]?.deg ?? 180;
  if (element.kind === "toothed-belt") {
    const teeth = Math.floor((Math.min(...element.teeth) * wrapDeg) / 360 + 1e-9);
    if (teeth < leastTeethInMesh) unwise.push({ code: "few-teeth-in-mesh", teeth });
  } else if (wrapDeg < leastWrapDeg) unwise.push({ code: "little-wrap", wrapDeg, leastDeg: leastWrapDeg });
  return accept(unwise);
}

/** The shortest belt that reaches, and, over two pulleys, the centre distance at which the one given would. */
function shortestBelt(element: BeltElement, needMm: number): Record<string, number> {
  const least = element.kind === "toothed-belt" ? Math.ceil(needMm / element.pitchMm - 1e-9) : needMm;
  if (element.idlers.length > 0) return { least };
  const drive =
    element.kind === "toothed-belt"
      ? beltDrive({ by: "teeth", pitchMm: element.pitchMm, teeth: element.teeth }, { beltTeeth: element.beltTeeth })
      : beltDrive({ by: "diameter", pitchDiameterMm: element.pitchDiameterMm }, { lengthMm: element.lengthMm });
  return drive.ok && drive.value.centreDistanceMm ? { least, centreMm: drive.value.centreDistanceMm } : { least };
}

function checkChain(element: ChainElement): Result<Unwise[]> {
  const chain = { pitchMm: element.pitchMm, teeth: element.teeth };
  if (element.centreDistanceMm < leastCentre(chain))
    return refuse("circles-overlap", ["centreDistanceMm"], { leastMm: leastCentre(chain) });
  const path = stagePath(element);
  if (!path.ok) return path;
  const need = path.value.laid.lengthMm / element.pitchMm;
  if (element.links < need * 0.995) {
    const drive = chainDrive(chain, { links: element.links });
    const centre = drive.ok && drive.value.centreDistanceMm && element.idlers.length === 0;
    return refuse("chain-too-short", ["links"], {
      least: 2 * Math.ceil(need / 2 - 1e-9),
      ...(centre ? { centreMm: drive.value.centreDistanceMm as number } : {}),
    });
  }
  const unwise: Unwise[] = [];
  if (element.links % 2 === 1) unwise.push({ code: "odd-links", even: element.links + 1 });
  const wrapDeg = path.value.laid.wraps[element.teeth[0] <= element.teeth[1] ? 0 : path.value.driven]?.deg ?? 180;
  if (wrapDeg < leastWrapDeg) unwise.push({ code: "little-wrap", wrapDeg, leastDeg: leastWrapDeg });
  if (Math.min(...element.teeth) < 17) unwise.push({ code: "few-sprocket-teeth", teeth: Math.min(...element.teeth) });
  const pitches = element.centreDistanceMm / element.pitchMm;
  if (pitches > 80) unwise.push({ code: "centres-out-of-range", pitches });
  return accept(unwise);
}

/** The free span that is read, mm; null for what has none or no path. */
export function spanOf(element: StageElement): number | null {
  if (!isBelt(element) && element.kind !== "chain") return null;
  const path = stagePath(element);
  return path.ok ? readSpan(path.value) : null;
}
