import type { Adjuster } from "../advice";
import type { KeptDriveLine, MeasuredQuantity, RecurringPart, StageElement } from "../stages";
import type { KnockingPart, TurnedStage } from "./knocking-line";
import type { HiddenStage } from "./simulated-stage";
import type { SimulatedKey } from "./wedge";

/** In the order in which they are learnt; the last is drawn anew each time. */
export const lessonKeys = ["first-round", "loose-bearing", "worn-screw", "warm-steps", "knock", "drawn"] as const;
export type LessonKey = (typeof lessonKeys)[number];

/** Of what the cases are made; a lesson that was begun on another edition cannot be gone on with. */
export const lessonEdition = 1;

/** What is hidden in a stage beside its runout, and not told before the lesson is over. */
export type Faults = {
  /** A reading that slips, counted from 1 over all that are taken, and by how much of the judged quantity. */
  badReading?: { nth: number; off: number };
  /** What the bearing gives, peak to peak, of the judged quantity: each reading lands anywhere in it. */
  bearingPlay?: number;
  /** What is lost of a move after each reversal, mm of centre distance. */
  lostMotionMm?: number;
  /** Warm from work: above the hall, K, change of the judged quantity per K, and minutes until a third of it is left. */
  warm?: { aboveK: number; perK: number; minutes: number };
  /** What the driven part gives between two rests of the motor's magnets, peak to peak, of the judged quantity. */
  magnetRest?: number;
};

export type PracticeStage = {
  element: StageElement;
  quantity: MeasuredQuantity;
  instrument: SimulatedKey;
  adjuster: Adjuster;
  limits: { lo: number; hi: number };
  hidden: Omit<HiddenStage, "element">;
  faults: Faults;
};

/** A knock in a line: of which part, and how often it comes. */
export type PracticeKnock = {
  kept: KeptDriveLine;
  turned: TurnedStage[];
  knocking: KnockingPart;
  cause: { stage: number; part: RecurringPart };
  motorRpm: number;
};

export type PracticeCase = { lesson: LessonKey; stages: PracticeStage[]; knock: PracticeKnock | null };

/** How the shaft is held while one reads: by the motor's magnets, or by a clamp with the motor uncoupled. */
export const holds = ["motor", "clamp"] as const;
export type Hold = (typeof holds)[number];

/** What can be renewed of a stage. */
export const renewals = ["bearing", "adjuster", "driver", "driven", "loop"] as const;
export type Renewal = (typeof renewals)[number];

/** What can be tried with a knock in a line. */
export const huntTests = ["uncouple", "mark", "look"] as const;
export type HuntTest = (typeof huntTests)[number];

/** Warmer than the hall by more than this it is not set yet, K (common practice). */
export const setBelowK = 5;

/** What each thing takes, minutes (common practice): by these one way through a lesson is compared with another. */
export const practiceMinutes = {
  read: 1,
  move: 5,
  clamp: 3,
  renew: 45,
  listen: 1,
  test: { uncouple: 15, mark: 5, look: 15 },
} as const;
