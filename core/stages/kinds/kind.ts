import type { StrandShape } from "../../chains";
import type { Result } from "../../quantity";
import type { Elements, StageKind } from "../element";
import type { FeltAs } from "../felt";
import type { Frame } from "../frame";
import type { MeasuringWay, ToJudged } from "../measured";
import type { PrintableMesh } from "../printable";
import type { JudgedQuantity, MeasuredQuantity, SideQuantity } from "../quantities";
import type { StageRatio } from "../ratio";
import type { Recurrence } from "../recurrence";
import type { Thrust } from "../thrust";

/** Working radius of the wheel that is rocked, and how much of its circumferential backlash lies along the flank normal. */
export type RockedWheel = { radiusMm: number; normalPerCircumferential: number };

/**
 * Everything that is peculiar to a kind of stage but how it is drawn (`KindDrawn`) and what is said as it is given (`KindGiven`). The functions of stages/ of the same names say what each means; they take an element of
 * any kind and ask here.
 */
export type Kind<K extends StageKind> = {
  /** What is felt on it by hand or heard; null: there are no words for it yet. */
  felt: FeltAs | null;
  /** How far its law may be off before any move has taught: a belt's stiffness stretches, a geometry is drawn. */
  law: (element: Elements[K]) => "geometry" | "stiffness" | "guessed-stiffness";
  frame: (element: Elements[K]) => Frame;
  judgedBy: (element: Elements[K]) => JudgedQuantity;
  /** The usual one first. */
  waysToMeasure: (element: Elements[K]) => readonly MeasuredQuantity[];
  limitWays: (element: Elements[K]) => readonly MeasuredQuantity[];
  sides: (element: Elements[K]) => readonly SideQuantity[];
  toJudged: (element: Elements[K], way: MeasuringWay) => Result<ToJudged>;
  /** null: nothing can be adjusted. */
  sensitivity: (element: Elements[K], at: { mean: number; aim: number; strand: StrandShape }) => number | null;
  ratios: (element: Elements[K]) => StageRatio[];
  efficiency: (element: Elements[K]) => number;
  /** null: it drives without lost motion. */
  lostMotionArcmin: ((element: Elements[K], value: number, endFloatMm: number) => number) | null;
  recurrences: (element: Elements[K]) => Recurrence[];
  thrusts: (element: Elements[K]) => Thrust[];
  /** null: it has none. */
  tangentialForceN: (element: Elements[K], outputTorqueNm: number) => number | null;
  /** null: nothing is rocked. */
  rockedWheel: ((element: Elements[K]) => Result<RockedWheel>) | null;
  /** What a contact print on it is read by; null: nothing of it is printed. */
  printed: ((element: Elements[K]) => PrintableMesh | null) | null;
  /** Tooth counts that mesh; null: none do. */
  teeth: (element: Elements[K]) => readonly [number, number] | null;
  /** The free span that is read; null: it has none. */
  spanMm: (element: Elements[K]) => number | null;
  /** Slack that is set by hand beside what it is judged by; null: none is. */
  slackByHand: (element: Elements[K]) => { spanMm: number; centreDistanceMm: number } | null;
  /** Elongation at which it is worn out, per cent, where its limits say nothing; null: it does not wear so. */
  wearLimit: (element: Elements[K]) => number | null;
};
