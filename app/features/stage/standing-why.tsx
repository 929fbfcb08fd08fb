import { formatNumber } from "~/core/quantity";
import type { Stage } from "~/data/queries/stages";
import type { StageStanding } from "~/data/queries/standings";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { stateWord } from "~/ui/state-mark";
import { capital } from "../words/count";
import { feelSaysWords, rangeWords } from "../words/entry";
import { day } from "../words/times";

/** How the stage stands now, and why that is said. */
export function StandingWhy({
  stage,
  standing,
  timeZone,
}: {
  stage: Stage;
  standing: StageStanding | null;
  timeZone: string;
}) {
  const result = standing?.result ?? null;
  const { loMm, aimMm, hiMm, source, revision } = stage.limits;
  const f = (value: number) => formatNumber(value, 3);
  return (
    <section aria-labelledby="standing">
      <h2 id="standing" className="text-xl font-bold">
        {standing?.felt ? capital(feelSaysWords[standing.felt]) : capital(stateWord[standing?.state ?? "unknown"])}
        {standing?.readAt && <span className="font-normal text-mid">, read {day(standing.readAt, timeZone)}</span>}
      </h2>
      {standing?.changedSince && (
        <p className="text-lg">Something was moved, clamped or replaced since; it has to be read again.</p>
      )}
      {result ? (
        <>
          <p className="figure text-2xl font-semibold mt-1">{rangeWords(result.minMm, result.maxMm)} mm</p>
          <BandGauge
            lo={loMm}
            hi={hiMm}
            aim={aimMm ?? (loMm + hiMm) / 2}
            now={{ min: result.minMm, max: result.maxMm }}
            then={null}
            state={standing?.state ?? "unknown"}
            unit="mm"
            label={`${rangeWords(result.minMm, result.maxMm)} mm, limits ${formatNumber(loMm, 2)} to ${formatNumber(hiMm, 2)}`}
          />
          <details>
            <summary className="min-h-11 content-center cursor-pointer font-semibold underline">Why</summary>
            <p>
              {result.count} readings, {f(result.minMm)} to {f(result.maxMm)} mm, tightest at tooth {result.tightTooth}
              {result.worstMinMm !== null &&
                result.worstMaxMm !== null &&
                `; fitted over the hunting cycle ${f(result.worstMinMm)} to ${f(result.worstMaxMm)} mm`}
              . Limits {f(loMm)} to {f(hiMm)} mm: {source}, revision {revision}. The reading's expanded uncertainty of ±
              {f(result.expandedUncertaintyMm)} mm (k = 2) guards both limits (ISO 14253-1): inside only where all of it
              is clear of them, outside where some of it is surely beyond, near the edge in between.
              {!result.fits && " The round is wider than the limits lie apart: no setting can hold it."}
            </p>
          </details>
        </>
      ) : (
        <p className="text-lg text-mid">{standing?.felt ? "Nothing was measured; this is by feel." : "Never read."}</p>
      )}
    </section>
  );
}
