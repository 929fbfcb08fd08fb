import { Link } from "react-router";
import type { Machine } from "~/data/queries/machines";
import type { StageStanding } from "~/data/queries/standings";
import { SmallBandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark, stateWord } from "~/ui/state-mark";
import { readWords } from "../words/entry";
import { feltWords } from "../words/feel";
import { inUnitsOf } from "../words/figure";
import { sizeWords, stageUnit } from "../words/quantity";
import type { StageGlance } from "./stage-glance";

/** A stage at a glance: name, teeth, band gauge, state in a word, what was read. */
export function StageCell({
  stage,
  standing,
  machine,
}: {
  stage: StageGlance;
  standing: StageStanding | null;
  machine: Pick<Machine, "units">;
}) {
  const { lo, hi } = stage.limits;
  const { element } = stage.geometry;
  const state = standing?.state ?? "unknown";
  const result = standing?.result ?? null;
  const { read, range } = inUnitsOf(machine, () => ({
    read: standing?.felt ? feltWords(standing.felt) : result ? readWords(result) : "never read",
    range: stageUnit(element).range(lo, hi),
  }));
  return (
    <div>
      <p className="font-semibold">
        <Link to={`/stages/${stage.id}`} className="text-ink min-h-11 inline-flex items-center gap-1.5">
          {stage.name} <span className="figure">{sizeWords(element)}</span>
        </Link>
      </p>
      <SmallBandGauge
        lo={lo}
        hi={hi}
        now={result && !standing?.felt ? { min: result.min, max: result.max } : null}
        state={state}
        label={`${stage.name}: ${read}, limits ${range}, ${stateWord[state]}`}
      />
      <p className="flex flex-wrap gap-x-3 items-baseline">
        <StateMark state={state} />
        <span className="figure text-mid">{read}</span>
      </p>
    </div>
  );
}
