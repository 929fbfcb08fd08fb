import { useWords } from "~/app/features/words/use-words";
import { clampsTouched, type Entry, type JobRecord, outstandingOf, ranWell } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { aimOf, judgedBy } from "~/core/stages";
import { BeforeAfter } from "~/ui/band-gauge/before-after";
import { StateMark, stateWord } from "~/ui/state-mark";
import { beforeAndAfter, meshesRead, tightestWords } from "../../words/before-and-after";
import { clampLines } from "../../words/clamp-lines";
import { entryWords, sideValueWords } from "../../words/entry";
import { noLimits } from "../../words/limit-words";
import { unprovenEndsWords, unprovenWords } from "../../words/proof";
import { stageUnit } from "../../words/quantity";
import type { Reader } from "../../words/reader";
import { outstandingWords } from "../../words/run";
import { verdictState } from "../../words/state";

/** A stage of a job: as found and as left on one scale, and between them what was done. */
export function StageOnPage({
  stage,
  record,
  entries,
  named,
}: {
  stage: Stage;
  record: JobRecord;
  entries: readonly Entry[];
  named: boolean;
}) {
  const reader = useWords();
  return (
    <section className="grid gap-4" aria-label={stage.name}>
      {named && <h3 className="text-xl font-bold border-b-2 border-ink">{stage.name}</h3>}
      {meshesRead(stage, record).map((mesh) => (
        <MeshOnPage key={mesh.gear} {...mesh} />
      ))}
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
          {clampLines(reader, clampsTouched(entries, stage.id)).map((line, i) => (
            <li key={`${i} ${line}`} className="text-mid">
              {line}
            </li>
          ))}
          <li>
            {clampWords(record)} {proofWords(reader, record)}
          </li>
          {[record.shift, ...record.sweeps, ...record.planned.map(({ last }) => last)].map((entry) => {
            if (!entry) return null;
            const { title, detail } = entryWords(reader, entry, stage);
            return (
              <li key={entry.id}>
                {title}. <span className="text-mid">{detail}</span>
              </li>
            );
          })}
          {record.sides.map(({ id, body }) => (
            <li key={id} className="flex gap-3 items-center">
              {sideValueWords(reader, body)} {body.verdict && <StateMark state={verdictState[body.verdict]} />}
            </li>
          ))}
        </ul>
      </section>
    </section>
  );
}

/** As found and as left of a stage, or of one of its gears, on one scale. */
function MeshOnPage({ gear, stage, read }: ReturnType<typeof meshesRead>[number]) {
  const reader = useWords();
  const { limits } = stage;
  const { element } = stage.geometry;
  const { unit, figure, per } = stageUnit(reader, element);
  const rows = beforeAndAfter(reader, stage, read);
  return (
    <>
      {gear && <h4 className="font-bold text-lg -mb-2">With {gear} in</h4>}
      <BeforeAfter
        limits={limits}
        aim={limits && aimOf(judgedBy(element), limits)}
        rows={rows}
        figure={figure}
        per={per}
        label={`${gear ? `${gear}: ` : ""}${rows.map(({ name, words, state }) => `${name}: ${words}, ${stateWord[state]}`).join("; ")}; ${limits ? `limits ${figure(limits.lo)} to ${figure(limits.hi)} ${unit}` : noLimits}`}
      />
      <p className="text-mid -mt-3">{tightestWords(reader, stage, read)}</p>
    </>
  );
}

function clampWords({ clamps }: JobRecord): string {
  if (clamps.length === 0) return "No clamps are entered.";
  if (clamps.every((clamp) => clamp.state === "unknown")) return "No clamp was logged: how they stand is not known.";
  const unknown = clamps.filter((clamp) => clamp.state === "unknown").length;
  const firm = clamps.filter((clamp) => clamp.state === "firm" || clamp.state === "dressed").length;
  const compound = clamps.every((clamp) => clamp.state === "dressed") ? ", all with compound" : "";
  return `${firm} of ${clamps.length} clamps firm${compound}${unknown > 0 ? `, ${unknown} not known` : ""}.`;
}

function proofWords(reader: Reader, record: JobRecord): string {
  const { proofs, unproven, unprovenEnds } = record;
  const powered = proofs.filter(({ body }) => body.way === "powered");
  const good = powered.filter(ranWell).length;
  if (powered.length === 0) return "No powered run.";
  const bad = powered.length - good;
  const runs = `${powered.length} powered ${powered.length === 1 ? "run" : "runs"}${bad > 0 ? `, ${bad} of them did not go well` : ""}.`;
  return [
    runs,
    [
      unprovenWords(unproven),
      outstandingWords(reader, outstandingOf(record).outstanding ?? []),
      unprovenEndsWords(unprovenEnds),
    ]
      .filter(Boolean)
      .join(". "),
  ]
    .filter(Boolean)
    .join(" ")
    .replace(/([^.])$/, "$1.");
}
