import { type KeptDriveLine, linePeriodsAt, type StageElement } from "~/core/stages";
import { rankSuspects, type Suspect, type Symptom } from "~/core/symptoms";

/** The stages of a machine in service, and how they hang together; `kept` null: nobody has said. */
export type LineKnown = {
  kept: KeptDriveLine | null;
  stages: readonly { id: string; name: string; element: StageElement }[];
};

/** Suspects of a symptom on a machine, at the speed at which it was heard. */
export const suspectsOn = ({ kept, stages }: LineKnown, symptom: Symptom, motorRpm: number | null): Suspect[] =>
  rankSuspects(
    symptom,
    stages.map(({ id, element }) => ({ id, kind: element.kind })),
    kept ? linePeriodsAt(kept, stages, motorRpm) : [],
  );
