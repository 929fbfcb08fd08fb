import type { AxisUnit, TravelFault } from "../axes";
import type { UnwiseBevel } from "../bevels";
import type { CouplingFault } from "../couplings";
import type { Unwise as UnwiseGear } from "../gears";
import type { PlanetaryReason } from "../planetary";
import type { UnwiseWorm } from "../worms";

/** What is unwise about an element that has a geometry: said and recorded, never refused. */
export type Unwise =
  | UnwiseGear
  | UnwiseWorm
  | UnwiseBevel
  | PlanetaryReason
  | { code: "gear-does-not-mesh"; name: string; backlashMm: number }
  | { code: "of-a-gear"; name: string; of: UnwiseGear }
  | { code: "neutral-not-as-wanted"; neutralMm: number }
  | { code: "face-not-in-mesh"; name: string; share: number; spacerMm: number }
  | { code: "beyond-actuator"; name: string; at: number; ends: readonly [number, number] }
  | { code: "few-teeth-in-mesh"; teeth: number }
  | { code: "little-wrap"; wrapDeg: number; leastDeg: number }
  | { code: "belt-slack"; byMm: number }
  | { code: "odd-links"; even: number }
  | { code: "few-sprocket-teeth"; teeth: number }
  | { code: "coupling-end"; end: 0 | 1; fault: CouplingFault; byMm: number }
  | { code: "axis-travel"; end: TravelFault["end"]; fault: TravelFault["code"]; by: number; unit: AxisUnit }
  | { code: "strand-overstretched"; reachMm: number }
  | { code: "strand-beyond-reading" }
  | { code: "motor-too-weak"; gear: string; neededNm: number; share: number }
  | { code: "centres-out-of-range"; pitches: number };
