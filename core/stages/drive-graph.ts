import type { DriveGraph, DriveOutput, DriveSource } from "../trains";
import type { StageElement } from "./element";
import { gearNamed, withGearIn } from "./kinds/gear-pair/gears";
import { efficiencyOf, hasLostMotion, lostMotionArcmin, ratiosOf } from "./of-kind";

/** What runs beside a drive at a rate of its own, whatever the drive does: a fan, a pump. */
export type RunsBeside = { id: string; name: string; perMinute: number };

/** A drive line as it is entered and kept: how its stages hang together, which gear is in, and where each is drawn. */
export type KeptDriveLine = {
  sources: DriveSource[];
  links: { stageId: string; from: string; onto: string | null; gear: number; angleDeg: number }[];
  outputs: DriveOutput[];
  /** Left out: nobody has said that anything does. */
  beside?: RunsBeside[];
};

/** What a stage brings to it: its element, the greatest value last read of what it is judged by, in a gear, and of its end float where one was read. */
export type StageInLine = {
  id: string;
  element: StageElement;
  loosest: (gear: string | undefined) => number | null;
  endFloatMm?: number;
};

/**
 * The line without stages that are gone, nor what only they drove; nothing else changes. A stage that is there may stand in a line that
 * is still being put together before anything drives it.
 */
export function withoutGone(kept: KeptDriveLine, there: ReadonlySet<string>): KeptDriveLine {
  const gone = new Set(kept.links.flatMap(({ stageId }) => (there.has(stageId) ? [] : [stageId])));
  const standing = (shaft: string) =>
    !gone.has(shaft) && (there.has(shaft) || kept.sources.some(({ id }) => id === shaft));
  for (let before = -1; before !== gone.size; ) {
    before = gone.size;
    for (const { stageId, from } of kept.links) if (!standing(from)) gone.add(stageId);
  }
  const links = kept.links
    .filter(({ stageId }) => !gone.has(stageId))
    .map((link) => (link.onto !== null && !standing(link.onto) ? { ...link, onto: null } : link));
  return { ...kept, links, outputs: kept.outputs.filter(({ at }) => standing(at)) };
}

/** The graph that `driveLine` works through; stages that drive nothing, and those that are gone, are left out. */
export function driveGraph(kept: KeptDriveLine, stages: readonly StageInLine[]): DriveGraph {
  const links = kept.links.flatMap(({ stageId, from, onto, gear }) => {
    const stage = stages.find(({ id }) => id === stageId);
    const ratios = stage ? ratiosOf(stage.element) : [];
    const ratio = (ratios[gear] ?? ratios[0])?.ratio;
    if (!stage || ratio === undefined) return [];
    const { endFloatMm } = stage;
    const inGear = gearNamed(stage.element, gear);
    const element = inGear === undefined ? stage.element : (withGearIn(stage.element, inGear) ?? stage.element);
    const loosest = stage.loosest(inGear);
    return [
      {
        id: stageId,
        from,
        onto,
        ratio,
        efficiency: efficiencyOf(element),
        lostMotionArcmin: !hasLostMotion(element)
          ? 0
          : loosest === null
            ? null
            : lostMotionArcmin(element, loosest, endFloatMm),
      },
    ];
  });
  return { sources: kept.sources, links, outputs: kept.outputs };
}
