import { type KeptDriveLine, linePeriodsAt, type StageElement } from "~/core/stages";
import {
  causeRules,
  type FoundBefore,
  type OwnRule,
  ofOwnRule,
  rankSuspects,
  type Suspect,
  type Symptom,
  type Timing,
  type TwoTimings,
  twoTimings,
} from "~/core/symptoms";

/** The stages of a machine in service, and how they hang together; `kept` null: nobody has said. */
export type LineKnown = {
  kept: KeptDriveLine | null;
  stages: readonly { id: string; name: string; element: StageElement }[];
  /** Rules of the house. */
  rules: readonly OwnRule[];
};

/** What two timings at two speeds tell; null: it was timed once, or at what speed the first was is not known. */
export function timedTwice(
  { kept }: Pick<LineKnown, "kept">,
  heard: Timing | null,
  motorRpm: number | null,
  again: (Timing & { motorRpm: number }) | null | undefined,
): TwoTimings | null {
  const first = motorRpm ?? kept?.sources[0]?.rpm ?? null;
  return heard && again && first ? twoTimings(heard, again, again.motorRpm / first) : null;
}

/** How often it comes by all that was timed. */
export const heardByAll = (heard: Timing | null, twice: TwoTimings | null): Timing | null =>
  twice?.find === "goes-with-it" ? twice.heard : heard;

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
    kept?.beside ?? [],
  );
