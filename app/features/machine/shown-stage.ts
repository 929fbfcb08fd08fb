import type { StageShapes } from "~/core/drawing";
import type { KeptDriveLine } from "~/core/stages";
import { drawnStage } from "../drawing/stage-drawing";
import type { PicturedStage } from "../drive-line/drive-picture";
import type { StageStands } from "../drive-line/solve";
import { elementWords } from "../kinds";
import { traitsOf } from "../kinds/traits";
import { glanceOf, type StageGlance } from "../stage/stage-glance";
import { stageUnit } from "../words/quantity";
import type { Reader } from "../words/reader";

/** A stage as its machine's page shows it, drawn and in words: no geometry travels, and none is needed there. */
export type ShownStage = StageGlance &
  PicturedStage & {
    /** Drawn by itself, where it stands in no drive line. */
    alone: { drawn: StageShapes; words: string } | null;
    /** What one sees before a job is opened on it. */
    opening: {
      range: string;
      unit: string;
      quantity: string;
      source: string;
      /** null: nothing on it can be adjusted. */
      adjuster: string | null;
      clamps: { count: number; size: string };
    };
  };

export function shownStage(reader: Reader, { stage, standing }: StageStands, graph: KeptDriveLine | null): ShownStage {
  const { limits, adjuster } = stage;
  const { element, clamps } = stage.geometry;
  const { unit, range, name } = stageUnit(reader, element);
  const inLine = graph?.links.some(({ stageId }) => stageId === stage.id) ?? false;
  const drawn = inLine ? null : drawnStage(element);
  return {
    ...glanceOf(reader, stage, standing),
    onTop: traitsOf(element).onTop,
    alone: drawn && { drawn, words: elementWords(reader, element) },
    opening: {
      range: range(limits.lo, limits.hi),
      unit,
      quantity: name,
      source: limits.source,
      adjuster: adjuster.adjuster ? adjuster.name : null,
      clamps: { count: clamps.points.length, size: clamps.size },
    },
  };
}
