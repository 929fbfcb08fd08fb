import { Link } from "react-router";
import { formatNumber } from "~/core/quantity";
import type { Stage } from "~/data/queries/stages";
import type { StageStanding } from "~/data/queries/standings";
import { SmallBandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark, stateWord } from "~/ui/state-mark";
import { feelSaysWords, rangeWords } from "../words/entry";

/** A stage at a glance: name, teeth, band gauge, state in a word, what was read. */
export function StageCell({ stage, standing }: { stage: Stage; standing: StageStanding | null }) {
  const { loMm, hiMm } = stage.limits;
  const [z1, z2] = stage.geometry.pair.teeth;
  const state = standing?.state ?? "unknown";
  const result = standing?.result ?? null;
  const read = standing?.felt
    ? feelSaysWords[standing.felt]
    : result
      ? `${rangeWords(result.minMm, result.maxMm)} mm`
      : "never read";
  return (
    <div>
      <p className="font-semibold">
        <Link to={`/stages/${stage.id}`} className="text-ink min-h-11 inline-flex items-center gap-1.5">
          {stage.name}{" "}
          <span className="figure">
            {z1} : {z2}
          </span>
        </Link>
      </p>
      <SmallBandGauge
        lo={loMm}
        hi={hiMm}
        now={result && !standing?.felt ? { min: result.minMm, max: result.maxMm } : null}
        state={state}
        label={`${stage.name}: ${read}, limits ${formatNumber(loMm, 2)} to ${formatNumber(hiMm, 2)}, ${stateWord[state]}`}
      />
      <p className="flex flex-wrap gap-x-3 items-baseline">
        <StateMark state={state} />
        <span className="figure text-mid">{read}</span>
      </p>
    </div>
  );
}
