import { useWords } from "~/app/features/words/use-words";
import type { RoundResult } from "~/core/logbook";
import type { Stage, StageLimits } from "~/core/records";
import { aimOf, judgedBy } from "~/core/stages";
import type { StageStanding } from "~/data/queries/standings";
import { inGear } from "~/operations/stage-as-read";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { Fold } from "~/ui/fold";
import { stateWord } from "~/ui/state-mark";
import { Term } from "../shell/term";
import { capital } from "../words/count";
import { readWords } from "../words/entry";
import { feltWords } from "../words/feel";
import { noLimits } from "../words/limit-words";
import { placeOf, stageUnit } from "../words/quantity";
import { day } from "../words/times";

/** How the stage stands now, and why that is said. */
export function StandingWhy({ stage, standing }: { stage: Stage; standing: StageStanding | null }) {
  const reader = useWords();
  const result = standing?.result ?? null;
  const { limits } = inGear(stage, result?.gear);
  return (
    <section aria-labelledby="standing">
      <h2 id="standing" className="text-xl font-bold">
        {standing?.felt
          ? capital(feltWords(standing.felt))
          : capital(limits ? stateWord[standing?.state ?? "unknown"] : noLimits)}
        {standing?.readAt && <span className="font-normal text-mid">, read {day(reader, standing.readAt)}</span>}
      </h2>
      {standing?.changedSince && (
        <p className="text-lg">Something was moved, clamped or replaced since; it has to be read again.</p>
      )}
      {result ? (
        <>
          <p className="figure text-2xl font-semibold mt-1">
            {result.gear && <span className="font-sans">{result.gear}: </span>}
            {readWords(reader, result)}
          </p>
          {limits ? (
            <Judged stage={stage} limits={limits} result={result} standing={standing} />
          ) : (
            <p className="text-lg">
              It is not judged: nobody has said its limits yet. What is read is kept, and its trend with it.
            </p>
          )}
        </>
      ) : (
        <p className="text-lg text-mid">{standing?.felt ? "Nothing was measured; this is by feel." : "Never read."}</p>
      )}
    </section>
  );
}

function Judged({
  stage,
  limits,
  result,
  standing,
}: {
  stage: Stage;
  limits: StageLimits;
  result: RoundResult;
  standing: StageStanding | null;
}) {
  const reader = useWords();
  const { lo, hi, source, revision } = limits;
  const { unit, figure, per } = stageUnit(reader, stage.geometry.element);
  const f = (value: number) => figure(value, 1);
  return (
    <>
      <BandGauge
        lo={lo}
        hi={hi}
        aim={aimOf(judgedBy(stage.geometry.element), limits)}
        now={{ min: result.min, max: result.max }}
        then={null}
        state={standing?.state ?? "unknown"}
        unit={unit}
        figure={figure}
        per={per}
        label={`${readWords(reader, result)}, limits ${figure(lo)} to ${figure(hi)}`}
      />
      <Fold summary="Why">
        <p>
          {result.count} readings, {f(result.min)} to {f(result.max)} {unit}, <Term name="tight spot">tightest</Term> at{" "}
          {placeOf(stage.geometry.element, result.tightTooth ?? 1)}
          {result.worstMin !== null &&
            result.worstMax !== null &&
            `; fitted over the hunting cycle ${f(result.worstMin)} to ${f(result.worstMax)} ${unit}`}
          . Limits {f(lo)} to {f(hi)} {unit}: {source}, revision {revision}. The reading's{" "}
          <Term name="uncertainty">expanded uncertainty</Term> of ±{f(result.expandedUncertainty)} {unit} (k = 2) guards
          both limits (ISO 14253-1): inside only where all of it is clear of them, outside where some of it is surely
          beyond, near the edge in between.
          {standing?.judged?.holds === "too-wide" &&
            " The round is wider than the limits lie apart: no setting can hold it."}
        </p>
      </Fold>
    </>
  );
}
