import { sizeWords } from "~/app/features/kinds";
import type { Reader } from "~/app/features/words/reader";
import type { Stage } from "~/core/records";
import { limitsInGear } from "~/core/stages";
import type { StageStanding } from "~/data/queries/standings";
import { type MarkState, stateWord } from "~/ui/state-mark";
import { readWords } from "../words/entry";
import { feltWords } from "../words/feel";
import { noLimits } from "../words/limit-words";
import { stageUnit } from "../words/quantity";

/** A stage as a list shows it, in words: no more of it travels. */
export type StageGlance = {
  id: string;
  name: string;
  size: string;
  state: MarkState;
  /** What was read of it, or felt. */
  read: string;
  /** null: not known yet. */
  limits: { lo: number; hi: number } | null;
  now: { min: number; max: number } | null;
  label: string;
};

/** @param reader of the stage's machine */
export function glanceOf(reader: Reader, stage: Stage, standing: StageStanding | null): StageGlance {
  const { id, name, geometry } = stage;
  const { element } = geometry;
  // Of a switchable gear the limits of the one whose reading stands for it.
  const limits = limitsInGear(element, standing?.result?.gear, stage.limits);
  const state = standing?.state ?? "unknown";
  const result = standing?.result ?? null;
  const read = standing?.felt ? feltWords(standing.felt) : result ? readWords(reader, result) : "never read";
  return {
    id,
    name,
    size: sizeWords(reader, element),
    state,
    read,
    limits: limits && { lo: limits.lo, hi: limits.hi },
    now: result && !standing?.felt ? { min: result.min, max: result.max } : null,
    label: `${name}: ${read}, ${limits ? `limits ${stageUnit(reader, element).range(limits.lo, limits.hi)}, ${stateWord[state]}` : noLimits}`,
  };
}
