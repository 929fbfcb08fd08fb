import { driveLine } from "../trains";
import { driveGraph, type KeptDriveLine } from "./drive-graph";
import type { StageElement } from "./element";
import { gearNamed } from "./kinds/gear-pair/gears";
import { ratiosOf } from "./of-kind";

/** How a stage's output turns: what drives the line, and turns of that for one of the output, in each of its gears (`gear` null where it has but one). */
export type StageTurns = { sourceRpm: number | null; outputs: { gear: string | null; ratio: number }[] };

/**
 * What the drive line says of a stage's output, the other stages in the gears that the line is drawn in.
 *
 * @returns null where nothing drives the stage, or the line does not go together
 */
export function stageTurns(
  kept: KeptDriveLine,
  stages: readonly { id: string; element: StageElement }[],
  stageId: string,
): StageTurns | null {
  const element = stages.find(({ id }) => id === stageId)?.element;
  const link = kept.links.find((one) => one.stageId === stageId);
  if (!element || !link) return null;
  const found = ratiosOf(element).flatMap((_, gear) => {
    const links = kept.links.map((one) => (one === link ? { ...one, gear } : one));
    const line = driveLine(
      driveGraph(
        { ...kept, links },
        stages.map((stage) => ({ ...stage, loosest: () => null })),
      ),
    );
    const shaft = line.ok ? line.value.shafts.find(({ id }) => id === stageId || id === link.onto) : undefined;
    if (!shaft || shaft.ratio === null) return [];
    const sourceRpm = kept.sources.find(({ id }) => id === shaft.source)?.rpm ?? null;
    return [{ sourceRpm, gear: gearNamed(element, gear) ?? null, ratio: shaft.ratio }];
  });
  const [first] = found;
  return first ? { sourceRpm: first.sourceRpm, outputs: found.map(({ gear, ratio }) => ({ gear, ratio })) } : null;
}
