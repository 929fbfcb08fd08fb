import type { Adjuster } from "../core/advice";
import type { HiddenStage } from "../core/practice";
import type { KeptDriveLine, MeasuredQuantity, SideQuantity, StageElement } from "../core/stages";

export type DemoStage = {
  key: string;
  name: string;
  geometry: {
    element: StageElement;
    clamps: { points: { x: number; y: number }[]; size: string; torqueNm: number; passes: number; compound: boolean };
    arcDeg?: [number, number];
    turnedBy?: "either" | "input" | "output" | "power";
  };
  adjuster: {
    name: string;
    means: string | null;
    adjuster: Adjuster | null;
    /** Keys of stages that the same move sets as well. */
    alsoMoves?: { stageId: string; perMm: number }[];
    step: number;
    positiveWord: string;
    negativeWord: string;
    hand?: "right" | "left";
    hasScale?: boolean;
    seenFrom?: string;
  };
  limits: {
    quantity: MeasuredQuantity;
    lo: number;
    aim: number | null;
    hi: number;
    sourceKind: "drawing" | "maker" | "house rule" | "recommended" | "standard";
    source: string;
  };
  sideLimits?: {
    quantity: SideQuantity;
    lo: number | null;
    hi: number | null;
    sourceKind: "recommended" | "maker" | "house rule";
    source: string;
  }[];
  hidden: Omit<HiddenStage, "element">;
};

export type DemoMachine = {
  key: string;
  name: string;
  tag: string;
  site: string;
  hall: string;
  place: string;
  model: string;
  serial: string;
  usageUnit: "hours" | "cycles" | "starts";
  units?: "metric" | "inch";
  /** Whether there is compressed air on it; not known where it is left out. */
  air?: "yes" | "no";
  /** The heaviest part that is lifted for the work. */
  heaviestKg?: number;
  /** Usage a day, and at the beginning of the log. */
  usage: { perDay: number; first: number };
  stages: DemoStage[];
  /** What drives what, by the keys of the stages. */
  driveLine: KeptDriveLine;
};
