import type { StageShapes } from "~/core/drawing";
import type { KeptDriveLine } from "~/core/stages";
import type { MarkState } from "~/ui/state-mark";
import { drawnStage } from "../drawing/stage-drawing";
import type { PicturedStage } from "../drive-line/drive-picture";
import type { StageStands } from "../drive-line/solve";
import { elementWords } from "../kinds";
import { traitsOf } from "../kinds/traits";
import { glanceOf, type StageGlance } from "../stage/stage-glance";
import { stageUnit } from "../words/quantity";
import type { Reader } from "../words/reader";
import { clampCountWords } from "../words/torque";

/** A stage as its machine's page shows it, drawn and in words: no geometry travels, and none is needed there. */
export type ShownStage = StageGlance &
  PicturedStage & {
    /** Drawn by itself, where it stands in no drive line. */
    alone: { drawn: StageShapes; words: string } | null;
  } & OpenedStage;

/** What one sees of a stage before a job is opened on it. */
export type OpenedStage = {
  id: string;
  name: string;
  state: MarkState;
  opening: {
    /** null: not known yet. */
    limits: { range: string; unit: string; source: string } | null;
    quantity: string;
    /** null: nothing on it can be adjusted. */
    adjuster: string | null;
    clamps: string;
  };
};

export function openedStage(reader: Reader, { stage, standing }: StageStands): OpenedStage {
  const { limits, adjuster } = stage;
  const { element, clamps } = stage.geometry;
  const { unit, range, name } = stageUnit(reader, element);
  return {
    id: stage.id,
    name: stage.name,
    state: standing?.state ?? "unknown",
    opening: {
      limits: limits && { range: range(limits.lo, limits.hi), unit, source: limits.source },
      quantity: name,
      adjuster: adjuster.adjuster ? adjuster.name : null,
      clamps: clampCountWords(clamps),
    },
  };
}

export function shownStage(reader: Reader, stands: StageStands, graph: KeptDriveLine | null): ShownStage {
  const { stage, standing } = stands;
  const { element } = stage.geometry;
  const inLine = graph?.links.some(({ stageId }) => stageId === stage.id) ?? false;
  const drawn = inLine ? null : drawnStage(element);
  return {
    ...glanceOf(reader, stage, standing),
    onTop: traitsOf(element).onTop,
    alone: drawn && { drawn, words: elementWords(reader, element) },
    ...openedStage(reader, stands),
  };
}
