import { useState } from "react";
import { Link } from "react-router";
import { v7 } from "uuid";
import { isKind, type JobRecord, type RoundResult } from "~/core/logbook";
import { formatNumber, type Refusal } from "~/core/quantity";
import type { StageLimits } from "~/data/queries/stages";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { Button, buttonClass } from "~/ui/button";
import { Field, TextArea, Tick } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { entryWords, rangeWords } from "../words/entry";
import { refusalWords } from "../words/refusal";
import { provisionalWords, verdictState } from "../words/state";
import { clock, day } from "../words/times";
import { useJobScreen } from "./job-context";

/** One page: as found, what was done, as left, what stays provisional, when to come back. Signed, it never changes. */
export function SignOff() {
  const { data, job } = useJobScreen();
  const { record } = job;
  const signature = job.entries.find(isKind("signature"));
  const asLeft = record.changedSinceRound ? null : (record.lastRound?.body.result ?? null);
  const limits = data.stage.limits;
  return (
    <div className="grow min-h-0 overflow-y-auto grid lg:grid-cols-[minmax(0,1fr)_minmax(0,28rem)] gap-8 p-5">
      <article
        aria-label="The job on one page"
        className="bg-panel border border-rule p-6 max-sm:p-4 grid gap-5 content-start"
      >
        <header>
          <h2 className="text-2xl font-bold">
            {data.machine.name}, {data.stage.name}
          </h2>
          <p className="text-lg text-mid">
            {day(data.job.openedAt, data.timeZone)}. {data.job.reason}
          </p>
        </header>
        <Round
          title="As found"
          result={record.asFound?.body.result ?? null}
          limits={limits}
          beside={asLeft}
          missing="Nothing was read as found."
        />
        <section>
          <h3 className="font-bold text-lg mb-1">Done</h3>
          <ul className="text-lg">
            {record.moves.map((move) => {
              const { title, detail } = entryWords(move, data.stage.adjuster);
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
          </ul>
        </section>
        <Round
          title="As left"
          result={asLeft}
          limits={limits}
          beside={record.asFound?.body.result ?? null}
          missing={record.lastRound ? "Not read since the last move or clamp." : "Nothing was read."}
        />
      </article>
      {signature ? <Signed /> : <Sign />}
    </div>
  );
}

function clampWords({ clamps }: JobRecord): string {
  if (clamps.every((clamp) => clamp.state === "unknown")) return "No clamp was touched.";
  const firm = clamps.filter((clamp) => clamp.state === "firm" || clamp.state === "dressed").length;
  const compound = clamps.every((clamp) => clamp.state === "dressed") ? ", all with compound" : "";
  return `${firm} of ${clamps.length} clamps firm${compound}.`;
}

const proofWords = ({ proofs }: JobRecord): string =>
  proofs.length === 0 ? "No powered run." : `${proofs.length} powered ${proofs.length === 1 ? "run" : "runs"}.`;

function Round({
  title,
  result,
  limits,
  beside,
  missing,
}: {
  title: string;
  result: RoundResult | null;
  limits: StageLimits;
  beside: RoundResult | null;
  missing: string;
}) {
  return (
    <section>
      <h3 className="font-bold text-lg mb-1 flex gap-3 items-center">
        {title} {result && <StateMark state={verdictState[result.verdict]} />}
      </h3>
      {result ? (
        <>
          <p className="figure text-2xl font-semibold">
            {rangeWords(result.minMm, result.maxMm)} mm{" "}
            <span className="font-text text-base font-normal text-mid">
              tightest at tooth {result.tightTooth}, ±{formatNumber(result.expandedUncertaintyMm, 3)}
              {result.carriedFrom ? ", carried over from the tight spot" : ""}
            </span>
          </p>
          <div className="max-w-md">
            <BandGauge
              lo={limits.loMm}
              hi={limits.hiMm}
              aim={limits.aimMm ?? (limits.loMm + limits.hiMm) / 2}
              now={{ min: result.minMm, max: result.maxMm }}
              then={null}
              beside={beside && { min: beside.minMm, max: beside.maxMm }}
              state={verdictState[result.verdict]}
              unit="mm"
              label={`${title}: ${rangeWords(result.minMm, result.maxMm)} mm, limits ${formatNumber(limits.loMm, 2)} to ${formatNumber(limits.hiMm, 2)}`}
            />
          </div>
        </>
      ) : (
        <p className="text-lg text-mid">{missing}</p>
      )}
    </section>
  );
}

function Sign() {
  const { data, job } = useJobScreen();
  const [ticked, setTicked] = useState<string[]>([]);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const { texts } = job.draft;
  const { provisional } = job.record;
  const open = provisional.filter((item) => !ticked.includes(item));
  const sign = async (event: React.FormEvent) => {
    event.preventDefault();
    if (open.length > 0) return setRefusal({ code: "not-acknowledged", path: ["provisional"], facts: {} });
    setBusy(true);
    // The same id again if the answer gets lost, so that a second press signs nothing twice.
    const id = texts["sign.id"] || v7();
    job.changeText("sign.id", id);
    const result = await job.sign({
      kind: "signature",
      id,
      stageId: data.stage.id,
      madeAt: new Date().toISOString(),
      seenEntry: job.entries.filter((entry) => !entry.waiting).at(-1)?.id,
      provisional,
      comment: texts["sign.comment"] ?? "",
      nextDate: texts["sign.next"] || null,
    });
    setBusy(false);
    setRefusal(result.ok ? null : result.refusal);
  };
  return (
    <form onSubmit={sign} className="grid gap-4 content-start" aria-label="Sign">
      {provisional.length > 0 && (
        <fieldset>
          <legend className="text-lg font-bold">Left provisional: acknowledge each</legend>
          {provisional.map((item) => (
            <Tick
              key={item}
              label={provisionalWords[item]}
              checked={ticked.includes(item)}
              onChange={(event) => {
                setRefusal(null);
                setTicked((was) => (event.target.checked ? [...was, item] : was.filter((other) => other !== item)));
              }}
            />
          ))}
        </fieldset>
      )}
      <Field
        label="Next date"
        type="date"
        value={texts["sign.next"] ?? ""}
        onChange={(event) => job.changeText("sign.next", event.target.value)}
      />
      <TextArea
        label="Remark"
        value={texts["sign.comment"] ?? ""}
        onChange={(event) => {
          setRefusal(null);
          job.changeText("sign.comment", event.target.value);
        }}
        error={refusal?.path[0] === "comment" ? refusalWords(refusal) : undefined}
      />
      {refusal && refusal.path[0] !== "comment" && (
        <p role="alert" className="text-outside font-semibold text-lg">
          {refusalWords(refusal)}
        </p>
      )}
      <Button kind="now" large type="submit" disabled={busy}>
        Sign as {data.person.name}
      </Button>
      <p className="text-mid">Signed, nothing of it can be changed. A correction is a new entry beside it.</p>
    </form>
  );
}

function Signed() {
  const { data, job } = useJobScreen();
  const signature = job.entries.find(isKind("signature"));
  if (!signature) return null;
  const corrections = job.entries.filter(isKind("correction"));
  return (
    <section aria-label="Signature" className="grid gap-3 content-start">
      <h2 className="text-2xl font-bold">
        Signed by {signature.madeByName}, {day(signature.madeAt, data.timeZone)}{" "}
        <span className="figure">{clock(signature.madeAt, data.timeZone)}</span>
      </h2>
      {signature.body.comment && <p className="text-lg">{signature.body.comment}</p>}
      {signature.body.provisional.map((item) => (
        <p key={item} className="text-lg">
          {provisionalWords[item]}.
        </p>
      ))}
      <p className="text-lg">
        {signature.body.nextDate
          ? `Next on ${day(`${signature.body.nextDate}T12:00:00Z`, data.timeZone)}.`
          : "No next date was set."}
      </p>
      {corrections.map((entry) => (
        <p key={entry.id} className="text-lg border-l-4 border-ink pl-3">
          Corrected {day(entry.madeAt, data.timeZone)}: {entry.body.text}
        </p>
      ))}
      <div>
        <Link to={`/machines/${data.machine.id}`} className={buttonClass("line", true)}>
          To the machine's logbook
        </Link>
      </div>
    </section>
  );
}
