import { v7 } from "uuid";
import type { PracticeCase } from "../../core/practice";
import type { StageKind } from "../../core/stages";

const stageNames: Partial<Record<StageKind, string>> = { "toothed-belt": "Belt", chain: "Chain" };

/** The machine of a case that was drawn, as `addMachine` takes it. */
export function machineOf({ stages }: PracticeCase, machineId: string, stageIds: readonly string[], number: number) {
  return {
    ...{ id: machineId, entryId: v7(), name: `Practice machine ${number}`, tag: `PRACTICE-${number}` },
    ...{ hall: "Practice", usageUnit: "hours" },
    stages: stages.map(({ element, adjuster, limits, quantity }, i) => ({
      ...{ id: stageIds[i], entryId: v7(), geometryId: v7(), adjusterId: v7(), limitsId: v7() },
      name: stages.length === 1 ? "Drive" : `${stageNames[element.kind] ?? "Gears"} ${i + 1}`,
      geometry: {
        element,
        clamps: {
          points: [-1, 1].flatMap((x) => [-1, 1].map((y) => ({ x: 60 * x, y: 45 * y }))),
          ...{ size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
        },
      },
      adjuster: {
        ...{ name: "Adjusting screw", means: "jack-screw", adjuster, step: 1 / 16 },
        ...{ positiveWord: "out", negativeWord: "in", hand: "right" },
      },
      limits: { quantity, ...limits, aim: null, sourceKind: "house rule", source: "Practice: nobody’s rule" },
    })),
  };
}

/** What drives what on it. */
export function lineOf({ knock }: PracticeCase, machineId: string, stageIds: readonly string[]) {
  const of = (name: string) => (/^s\d+$/.test(name) ? (stageIds[Number(name.slice(1))] ?? name) : name);
  const graph = knock
    ? {
        ...knock.kept,
        links: knock.kept.links.map((link) => ({ ...link, stageId: of(link.stageId), from: of(link.from) })),
      }
    : {
        sources: [{ id: "source-1", name: "Motor", rpm: 1400, torqueNm: null }],
        links: stageIds.map((stageId) => ({ stageId, from: "source-1" })),
        outputs: [],
      };
  return { entryId: v7(), revisionId: v7(), machineId, seenRevision: 0, graph };
}
