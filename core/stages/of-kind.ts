import type { StrandShape } from "../chains";
import { accept, type Result } from "../quantity";
import type { StageElement } from "./element";
import type { FeltAs } from "./felt";
import type { Frame } from "./frame";
import { kindOf } from "./kinds";
import type { RockedWheel } from "./kinds/kind";
import type { MeasuringWay, ToJudged } from "./measured";
import type { PrintableMesh } from "./printable";
import type { JudgedQuantity, MeasuredQuantity, SideQuantity } from "./quantities";
import type { StageRatio } from "./ratio";
import type { Recurrence } from "./recurrence";
import type { Thrust } from "./thrust";

/** What is felt on it by hand or heard; null: there are no words for it yet. */
export const feltAs = (element: StageElement): FeltAs | null => kindOf(element).felt;

/** What a contact print on it is read by; null: nothing of it is printed. */
export const printable = (element: StageElement): PrintableMesh | null => kindOf(element).printed?.(element) ?? null;

/** What its law rests on before any move has taught. */
export const lawOf = (element: StageElement) => kindOf(element).law(element);

/** Where it is read. */
export const frameOf = (element: StageElement): Frame => kindOf(element).frame(element);

/** What a stage of this kind is judged by. */
export const judgedBy = (element: StageElement): JudgedQuantity => kindOf(element).judgedBy(element);

/** Ways to measure what a stage is judged by, the usual one first. */
export const waysToMeasure = (element: StageElement): readonly MeasuredQuantity[] =>
  kindOf(element).waysToMeasure(element);

/** In what limits of the judged quantity may be given. */
export const limitWays = (element: StageElement): readonly MeasuredQuantity[] => kindOf(element).limitWays(element);

/** What is read beside it on a stage of this kind. */
export const sidesOf = (element: StageElement): readonly SideQuantity[] => kindOf(element).sides(element);

/**
 * The way from a measured quantity to the one judged.
 *
 * @returns the way, or the refusal of a geometry that is none
 */
export const toJudged = (element: StageElement, way: MeasuringWay): Result<ToJudged> =>
  kindOf(element).toJudged(element, way);

/**
 * Change of the judged quantity per mm of "centre distance" as the stage's adjuster means it (README), now.
 *
 * @param mean of what was read, for sag: it goes as the root of the slack, and the slope is that at the mean of the round, as `advise`
 *   wants it for its square scale
 * @param aim of the limits, for a belt of unknown stiffness
 * @param strand how a chain's slack was read: hanging in an arc, or moved by hand to a triangle; the same slack shows otherwise
 * @returns null where nothing can be adjusted: a planetary set, a chain judged by its wear, a chain that hangs straight
 */
export const sensitivityOf = (
  element: StageElement,
  mean: number,
  aim: number,
  strand: StrandShape = "arc",
): number | null => kindOf(element).sensitivity(element, { mean, aim, strand });

/**
 * Ratios of a stage and the sense of turning. Shafts side by side are seen from one end: an external pair reverses, an internal one, belt
 * and chain do not. Where axes cross the view goes with the shaft: a worm is seen from where it is driven and its wheel as drawn, the
 * worm above it, so that a right-hand worm turning clockwise drives it counter-clockwise; both bevels are seen from their backs, so
 * that an external pair reverses. A gap drives nothing, nor does a planetary set whose output stands.
 */
export const ratiosOf = (element: StageElement): StageRatio[] => kindOf(element).ratios(element);

/** Efficiency of a stage running well, by kind (common practice); a worm's by its lead angle at a friction of 0.05. */
export const efficiencyOf = (element: StageElement): number => kindOf(element).efficiency(element);

/** Belts and chains are taken as free of it. */
export const hasLostMotion = (element: StageElement): boolean => kindOf(element).lostMotionArcmin !== null;

/**
 * Lost motion at a stage's own output in arcminutes, from the judged quantity as it was read: backlash at the pitch circle of the
 * wheel. A worm's end float turns its wheel by as much of the pitch circle, and no mesh adjustment takes that away: it comes on top.
 */
export const lostMotionArcmin = (element: StageElement, value: number, endFloatMm = 0): number =>
  kindOf(element).lostMotionArcmin?.(element, value, endFloatMm) ?? 0;

/**
 * What comes round in a stage, by turns of its driving shaft: for finding what a knock or a growl belongs to. Signs of turning do not
 * matter here.
 */
export const recurrencesOf = (element: StageElement): Recurrence[] => kindOf(element).recurrences(element);

/**
 * Axial thrust by direction of rotation, the first member driving (general handbooks; magnitudes from the equilibrium of forces at the
 * pitch point; those of helical and bevel gears without friction). Of a helical driver and of a worm the screw in its nut: a right-hand one turning
 * clockwise, seen from the end at which it is driven, is pushed away from that end, its partner the other way.
 *
 * @returns none for spur pairs and whatever has no teeth
 */
export const thrustsOf = (element: StageElement): Thrust[] => kindOf(element).thrusts(element);

/** Tangential force at the driven wheel's pitch circle from its torque, N; null where it has none. */
export const tangentialForceN = (element: StageElement, outputTorqueNm: number): number | null =>
  kindOf(element).tangentialForceN(element, outputTorqueNm);

/** The wheel that is rocked; null where none is. */
export const rockedWheel = (element: StageElement): Result<RockedWheel | null> =>
  kindOf(element).rockedWheel?.(element) ?? accept(null);

/** Tooth counts of a mesh as it is; null for what has no two counts that mesh. With another count a round is of another mesh. */
export const teethOf = (element: StageElement): readonly [number, number] | null => kindOf(element).teeth(element);

/** The free span that is read, mm; null for what has none or no path. */
export const spanOf = (element: StageElement): number | null => kindOf(element).spanMm(element);

/** Slack that is set by hand beside what it is judged by; null: none is. */
export const slackByHand = (element: StageElement) => kindOf(element).slackByHand(element);

/** Elongation at which it is worn out, per cent, where its limits say nothing; null: it does not wear so. */
export const wearLimit = (element: StageElement): number | null => kindOf(element).wearLimit(element);
