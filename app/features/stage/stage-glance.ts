import { sizeWords } from "~/app/features/kinds";
import type { Machine } from "~/data/queries/machines";
import type { Stage } from "~/data/queries/stages";
import type { StageStanding } from "~/data/queries/standings";
import { type MarkState, stateWord } from "~/ui/state-mark";
import { readWords } from "../words/entry";
import { feltWords } from "../words/feel";
import { inUnitsOf } from "../words/figure";
import { stageUnit } from "../words/quantity";

/** A stage as a list shows it, in words: no more of it travels. */
export type StageGlance = {
  id: string;
  name: string;
  size: string;
  state: MarkState;
  /** What was read of it, or felt. */
  read: string;
  limits: { lo: number; hi: number };
  now: { min: number; max: number } | null;
  label: string;
};

/** In the units of its machine, for who wants them so. */
export function glanceOf(
  { id, name, limits: { lo, hi }, geometry: { element } }: Stage,
  standing: StageStanding | null,
  machine: Pick<Machine, "units">,
): StageGlance {
  const state = standing?.state ?? "unknown";
  const result = standing?.result ?? null;
  const { read, range } = inUnitsOf(machine, () => ({
    read: standing?.felt ? feltWords(standing.felt) : result ? readWords(result) : "never read",
    range: stageUnit(element).range(lo, hi),
  }));
  return {
    id,
    name,
    size: sizeWords(element),
    state,
    read,
    limits: { lo, hi },
    now: result && !standing?.felt ? { min: result.min, max: result.max } : null,
    label: `${name}: ${read}, limits ${range}, ${stateWord[state]}`,
  };
}
