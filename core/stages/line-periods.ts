import { type DriveLine, driveLine } from "../trains";
import { driveGraph, type KeptDriveLine } from "./drive-graph";
import type { StageElement } from "./element";
import { gearNamed, withGearIn } from "./kinds/gear-pair/gears";
import { recurrencesOf } from "./of-kind";
import type { RecurringPart } from "./recurrence";

/** Something of a drive line that comes round: of which stage, in which gear, what, and how often. */
export type LinePeriod = { stageId: string; gear: string | null; part: RecurringPart; perMinute: number };

/** Everything of a drive line that comes round while its sources turn as they are said to; what stands, or turns nobody knows how fast, is left out. */
export function linePeriods(
  kept: KeptDriveLine,
  stages: readonly { id: string; element: StageElement }[],
  solved: DriveLine | null = solve(kept, stages),
): LinePeriod[] {
  if (!solved) return [];
  return kept.links.flatMap((link) => {
    const element = stages.find(({ id }) => id === link.stageId)?.element;
    const rpm = drivingShaft(solved, kept, link)?.rpm;
    if (!element || !rpm) return [];
    // Of a switchable gear the one that is in.
    const gear = gearNamed(element, link.gear) ?? null;
    return recurrencesOf((gear !== null && withGearIn(element, gear)) || element)
      .filter(({ timesPerTurn }) => timesPerTurn > 0)
      .map(({ part, timesPerTurn }) => ({
        stageId: link.stageId,
        gear,
        part,
        perMinute: Math.abs(rpm) * timesPerTurn,
      }));
  });
}

/** The shaft on which a stage's driving member sits; undefined: nothing drives it. */
export function drivingShaft({ shafts }: DriveLine, { links }: KeptDriveLine, { from }: { from: string }) {
  const onto = links.find(({ stageId }) => stageId === from)?.onto;
  return shafts.find(({ id }) => id === from || id === onto);
}

function solve(kept: KeptDriveLine, stages: readonly { id: string; element: StageElement }[]): DriveLine | null {
  const line = driveLine(
    driveGraph(
      kept,
      stages.map((stage) => ({ ...stage, loosest: () => null })),
    ),
  );
  return line.ok ? line.value : null;
}

/**
 * The same while the first source turns otherwise than the line says, and the others with it.
 *
 * @param motorRpm null: as the line says
 */
export function linePeriodsAt(
  kept: KeptDriveLine,
  stages: readonly { id: string; element: StageElement }[],
  motorRpm: number | null,
): LinePeriod[] {
  if (motorRpm === null) return linePeriods(kept, stages);
  const usual = kept.sources[0]?.rpm ?? null;
  const sources = kept.sources.map((source, i) => ({
    ...source,
    rpm: i === 0 ? motorRpm : source.rpm === null || !usual ? null : (source.rpm * motorRpm) / usual,
  }));
  return linePeriods({ ...kept, sources }, stages);
}
