import { type KeptDriveLine, linePeriodsAt, type StageElement } from "~/core/stages";
import {
  causeRules,
  type FoundBefore,
  type OwnRule,
  ofOwnRule,
  rankSuspects,
  type Suspect,
  type Symptom,
} from "~/core/symptoms";

/** The stages of a machine in service, and how they hang together; `kept` null: nobody has said. */
export type LineKnown = {
  kept: KeptDriveLine | null;
  stages: readonly { id: string; name: string; element: StageElement }[];
  /** Rules of the house. */
  rules: readonly OwnRule[];
};

/** Suspects of a symptom on a machine, at the speed at which it was heard. */
export const suspectsOn = (
  { kept, stages, rules }: LineKnown,
  symptom: Symptom,
  motorRpm: number | null,
  before: readonly FoundBefore[] = [],
): Suspect[] =>
  rankSuspects(
    symptom,
    stages.map(({ id, element }) => ({ id, kind: element.kind })),
    kept ? linePeriodsAt(kept, stages, motorRpm) : [],
    [...causeRules, ...rules.map(ofOwnRule)],
    before,
  );
