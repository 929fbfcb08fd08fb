import { useWords } from "~/app/features/words/use-words";
import { feltOfStage, type JobRecord, type RoundResult, ranWell } from "~/core/logbook";
import type { Stage, StageLimits } from "~/core/records";
import { aimOf, judgedBy, type StageElement } from "~/core/stages";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark } from "~/ui/state-mark";
import { capital } from "../../words/count";
import { entryWords, readWords, sideValueWords } from "../../words/entry";
import { feltWords } from "../../words/feel";
import { unprovenWords } from "../../words/proof";
import { placeOf, stageUnit } from "../../words/quantity";
import { verdictState } from "../../words/state";

/** A stage of a job: as found, done, as left. */
export function StageOnPage({ stage, record, named }: { stage: Stage; record: JobRecord; named: boolean }) {
  const reader = useWords();
  const { limits } = stage;
  const asLeft = record.changedSinceRound ? null : (record.lastRound?.body.result ?? null);
  const leftByFeel = !asLeft && !record.changedSinceFeel ? record.lastFeel : null;
  return (
    <section className="grid gap-5" aria-label={stage.name}>
      {named && <h3 className="text-xl font-bold border-b-2 border-ink">{stage.name}</h3>}
      {!record.firstBuild && (
        <Round
          title="As found"
          result={record.asFound?.body.result ?? null}
          limits={limits}
          element={stage.geometry.element}
          beside={asLeft}
          missing={
            record.feltAsFound
              ? capital(feltWords(feltOfStage(record.feltAsFound, stage.geometry)))
              : "Nothing was read as found."
          }
        />
      )}
      <section>
        <h3 className="font-bold text-lg mb-1">Done</h3>
        <ul className="text-lg">
          {record.firstBuild && <li>First build: there was nothing as found.</li>}
          {record.moves.map((move) => {
            const { title, detail } = entryWords(reader, move, stage);
            return (
              <li key={move.id}>
                {title}. <span className="text-mid">{detail}</span>
              </li>
            );
          })}
          {record.moves.length === 0 && <li>Nothing was moved.</li>}
          <li>
            {clampWords(record)} {proofWords(record)}
          </li>
          {record.sides.map(({ id, body }) => (
            <li key={id} className="flex gap-3 items-center">
              {sideValueWords(reader, body)} {body.verdict && <StateMark state={verdictState[body.verdict]} />}
            </li>
          ))}
        </ul>
      </section>
      <Round
        title="As left"
        result={asLeft}
        limits={limits}
        element={stage.geometry.element}
        beside={record.asFound?.body.result ?? null}
        missing={
          leftByFeel
            ? capital(feltWords(feltOfStage(leftByFeel, stage.geometry)))
            : record.lastRound || record.lastFeel
              ? "Not read since the last move or clamp."
              : "Nothing was read."
        }
      />
    </section>
  );
}

function clampWords({ clamps }: JobRecord): string {
  if (clamps.every((clamp) => clamp.state === "unknown")) return "No clamp was logged: how they stand is not known.";
  const unknown = clamps.filter((clamp) => clamp.state === "unknown").length;
  const firm = clamps.filter((clamp) => clamp.state === "firm" || clamp.state === "dressed").length;
  const compound = clamps.every((clamp) => clamp.state === "dressed") ? ", all with compound" : "";
  return `${firm} of ${clamps.length} clamps firm${compound}${unknown > 0 ? `, ${unknown} not known` : ""}.`;
}

function proofWords({ proofs, unproven }: JobRecord): string {
  const powered = proofs.filter(({ body }) => body.way === "powered");
  const good = powered.filter(ranWell).length;
  if (powered.length === 0) return "No powered run.";
  const bad = powered.length - good;
  const runs = `${powered.length} powered ${powered.length === 1 ? "run" : "runs"}${bad > 0 ? `, ${bad} of them stalled or stopped` : ""}.`;
  return [runs, unprovenWords(unproven)]
    .filter(Boolean)
    .join(" ")
    .replace(/([^.])$/, "$1.");
}

function Round({
  title,
  result,
  limits,
  element,
  beside,
  missing,
}: {
  title: string;
  result: RoundResult | null;
  limits: StageLimits;
  element: StageElement;
  beside: RoundResult | null;
  missing: string;
}) {
  const reader = useWords();
  const { unit, figure, per } = stageUnit(reader, element);
  return (
    <section>
      <h3 className="font-bold text-lg mb-1 flex gap-3 items-center">
        {title} {result && <StateMark state={verdictState[result.verdict]} />}
      </h3>
      {result ? (
        <>
          <p className="figure text-2xl font-semibold">
            {readWords(reader, result)}{" "}
            <span className="font-text text-base font-normal text-mid">
              tightest at {placeOf(element, result.tightTooth ?? 1)}, ±{figure(result.expandedUncertainty, 1)}
              {result.carriedFrom ? ", carried over from the tight spot" : ""}
            </span>
          </p>
          <div className="max-w-md">
            <BandGauge
              lo={limits.lo}
              hi={limits.hi}
              aim={aimOf(judgedBy(element), limits)}
              now={{ min: result.min, max: result.max }}
              then={null}
              beside={beside && { min: beside.min, max: beside.max }}
              state={verdictState[result.verdict]}
              unit={unit}
              figure={figure}
              per={per}
              label={`${title}: ${readWords(reader, result)}, limits ${figure(limits.lo)} to ${figure(limits.hi)}`}
            />
          </div>
        </>
      ) : (
        <p className="text-lg text-mid">{missing}</p>
      )}
    </section>
  );
}
