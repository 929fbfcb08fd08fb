import { beltDrive } from "../../belts";
import { radians } from "../../numerics";
import { accept, type RefusalOf, type Result, refuse } from "../../quantity";
import type { BeltElement } from "../element";
import type { SideQuantity } from "../quantities";
import { type AskedFor, angleLimit, type Recommended, recommendEndFloat, recommendRunout, rounded } from "../rule";
import type { Unwise } from "../unwise";
import { runDiameters, type StagePath, stagePath } from "./path";
import { leastWrapDeg, smallWrapDeg } from "./span";

/**
 * Whether a belt reaches round its path, and what is unwise about it.
 *
 * @param lengthMm of the belt
 * @param at the field that holds its length
 * @param little what is said of the wrap on the smaller pulley, degrees
 */
export function checkBelt(
  element: BeltElement,
  lengthMm: number,
  at: "beltTeeth" | "lengthMm",
  little: (wrapDeg: number) => Unwise[],
): Result<Unwise[]> {
  const path = stagePath(element);
  if (!path.ok) return path;
  const { laid } = path.value;
  // A belt stretches by less than a hundredth; one that is shorter still does not go on.
  if (lengthMm < laid.lengthMm * 0.99) return refuse("belt-too-short", [at], shortestBelt(element, laid.lengthMm));
  const slack: Unwise[] =
    lengthMm > laid.lengthMm * 1.02 ? [{ code: "belt-slack", byMm: lengthMm - laid.lengthMm }] : [];
  return accept([...slack, ...little(wrapOf(element, path.value))]);
}

export const wrapOf = (element: BeltElement, path: StagePath): number =>
  smallWrapDeg(path.laid.wraps, runDiameters(element), path.driven);

export const littleWrap = (wrapDeg: number): Unwise[] =>
  wrapDeg < leastWrapDeg ? [{ code: "little-wrap", wrapDeg, leastDeg: leastWrapDeg }] : [];

/** The shortest belt that reaches, and, over two pulleys, the centre distance at which the one given would. */
function shortestBelt(element: BeltElement, needMm: number): RefusalOf<"belt-too-short">["facts"] {
  const toothed = element.kind === "toothed-belt";
  const least = toothed ? Math.ceil(needMm / element.pitchMm - 1e-9) : needMm;
  if (element.idlers.length > 0) return { least };
  const drive = toothed
    ? beltDrive({ by: "teeth", pitchMm: element.pitchMm, teeth: element.teeth }, { beltTeeth: element.beltTeeth })
    : beltDrive({ by: "diameter", pitchDiameterMm: element.pitchDiameterMm }, { lengthMm: element.lengthMm });
  return drive.ok && drive.value.centreDistanceMm ? { least, centreMm: drive.value.centreDistanceMm } : { least };
}

/**
 * Limits of what is read beside a belt's tension.
 *
 * @param angle how far its pulleys may stand askew
 */
export function recommendBesideBelt(
  { centreDistanceMm: centre }: BeltElement,
  quantity: SideQuantity,
  asked: AskedFor,
  angle: { deg: number; rule: "angle-toothed" | "angle-v" },
): Recommended | null {
  switch (quantity) {
    case "end-float":
      return recommendEndFloat(asked);
    case "runout":
      return recommendRunout;
    case "angle":
      return angleLimit(angle.deg, angle.rule);
    case "offset": {
      const hi = rounded(centre * Math.tan(radians(angle.deg)), 0.1);
      return { lo: 0, hi, rule: "offset-belt", facts: { angle: angle.deg, centre } };
    }
    case "elongation":
    case "hub-gap":
    case "run-clearance":
      return null;
  }
}
