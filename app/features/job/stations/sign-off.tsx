import { useState } from "react";
import { Link, useRouteLoaderData } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import type { loader as rootLoader } from "~/app/root";
import { feltOfStage, isKind, type JobRecord, type RoundResult, ranWell } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import type { Stage, StageLimits } from "~/core/records";
import { aimOf, judgedBy, type StageElement } from "~/core/stages";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { Button, buttonClass } from "~/ui/button";
import { DateField, isDay } from "~/ui/date-field";
import { Field, TextArea } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { Tick } from "~/ui/tick";
import { Exports } from "../../export/exports";
import type { TapeEntry } from "../../logbook/tape";
import { ConfirmSignature } from "../../offline/confirm-signature";
import { useOutbox } from "../../offline/outbox-state";
import { capital } from "../../words/count";
import { entryWords, readWords, sideValueWords } from "../../words/entry";
import { feltWords } from "../../words/feel";
import { unprovenWords } from "../../words/proof";
import { placeOf, stageUnit } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { provisionalWords, verdictState } from "../../words/state";
import { clock, dateWords, day } from "../../words/times";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { Countersign } from "./countersign";

/** One page: as found, what was done, as left, what stays provisional, when to come back. Signed, it never changes. */
export function SignOff() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const signature = job.entries.find(isKind("signature"));
  return (
    <div className="grow min-h-0 overflow-y-auto grid lg:grid-cols-[minmax(0,1fr)_minmax(0,28rem)] gap-8 p-5 max-sm:p-3.5">
      <article
        aria-label="The job on one page"
        className="bg-panel border border-rule p-6 max-sm:p-4 grid gap-7 content-start"
      >
        <header>
          <h2 className="text-2xl font-bold">
            {data.machine.name}
            {data.stages.length === 1 && `, ${data.stages[0]?.name}`}
          </h2>
          <p className="text-lg text-mid">
            {day(reader, data.job.openedAt)}. {data.job.reason}
          </p>
        </header>
        {data.stages.map((stage) => (
          <StageOnPage key={stage.id} stage={stage} record={job.recordOf(stage)} named={data.stages.length > 1} />
        ))}
      </article>
      {signature ? <Signed /> : <Sign />}
    </div>
  );
}

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

function Sign() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const [ticked, setTicked] = useState<string[]>([]);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const [secret, setSecret] = useState("");
  const signer = useRouteLoaderData<typeof rootLoader>("root")?.person;
  const texts = useTexts();
  const parts = data.stages.map((stage) => ({ stage, provisional: job.recordOf(stage).provisional }));
  const items = parts.flatMap(({ stage, provisional }) =>
    provisional.map((code) => ({ key: `${stage.id} ${code}`, code, stage })),
  );
  const several = data.stages.length > 1;
  const nextName = (stage: Stage) => (stage === data.stages[0] ? "sign.next" : `sign.next.${stage.id}`);
  const sign = async (event: React.FormEvent) => {
    event.preventDefault();
    if (items.some((item) => !ticked.includes(item.key)))
      return setRefusal({ code: "not-acknowledged", path: ["provisional"], facts: {} });
    const noDay = parts.findIndex(({ stage }) => !isDay(texts[nextName(stage)] || "2000-01-01"));
    if (noDay >= 0) return setRefusal({ code: "not-understood", path: ["stages", noDay, "nextDate"], facts: {} });
    setBusy(true);
    // The same id again if the answer gets lost, so that a second press signs nothing twice.
    const id = texts["sign.id"] || v7();
    job.changeText("sign.id", id);
    const result = await job.sign(
      {
        id,
        saw: job.entries.map(({ id }) => id),
        stages: parts.map(({ stage, provisional }) => ({
          stageId: stage.id,
          provisional,
          nextDate: texts[nextName(stage)] || null,
        })),
        comment: texts["sign.comment"] ?? "",
      },
      secret || undefined,
    );
    setSecret("");
    setBusy(false);
    setRefusal(result.ok ? null : result.refusal);
  };
  return (
    <form onSubmit={sign} className="grid gap-4 content-start" aria-label="Sign">
      {items.length > 0 && (
        <fieldset>
          <legend className="text-lg font-bold">Left provisional: acknowledge each</legend>
          {items.map(({ key, code, stage }) => (
            <Tick
              key={key}
              label={several ? `${stage.name}: ${provisionalWords[code]}` : provisionalWords[code]}
              checked={ticked.includes(key)}
              onChange={(checked) => {
                setRefusal(null);
                setTicked((was) => (checked ? [...was, key] : was.filter((other) => other !== key)));
              }}
            />
          ))}
          <p className="text-mid">Each stays on the list of open points until it is done.</p>
        </fieldset>
      )}
      {data.stages.map((stage, i) => (
        <DateField
          key={stage.id}
          label={several ? `Next date, ${stage.name}` : "Next date"}
          value={texts[nextName(stage)] ?? ""}
          onChange={(date) => {
            setRefusal(null);
            job.changeText(nextName(stage), date);
          }}
          error={isAt(refusal, i) && refusal ? refusalWords(reader, refusal) : undefined}
        />
      ))}
      <TextArea
        label="Remark"
        rows={2}
        value={texts["sign.comment"] ?? ""}
        onChange={(event) => {
          setRefusal(null);
          job.changeText("sign.comment", event.target.value);
        }}
        error={refusal?.path[0] === "comment" ? refusalWords(reader, refusal) : undefined}
      />
      {(signer?.asksToSign || refusal?.path[0] === "secret") && (
        <Field
          label={signer?.hasPin ? "Your PIN or password" : "Your password"}
          type="password"
          autoComplete="off"
          value={secret}
          onChange={(event) => setSecret(event.target.value)}
          hint="Without a network it is asked for later"
          error={refusal?.path[0] === "secret" ? refusalWords(reader, refusal) : undefined}
        />
      )}
      {refusal && !["comment", "secret"].includes(String(refusal.path[0])) && refusal.path[2] !== "nextDate" && (
        <p role="alert" className="text-outside font-semibold text-lg">
          {refusalWords(reader, refusal)}
        </p>
      )}
      <Button kind="now" large type="submit" disabled={busy || !job.allHere}>
        Sign as {data.person.name}
      </Button>
      <p className="text-mid">Signed, nothing of it can be changed. A correction is a new entry beside it.</p>
    </form>
  );
}

/** Whether what was refused is the next date of the stage at this place. */
const isAt = (refusal: Refusal | null, place: number): boolean =>
  refusal?.path[0] === "stages" && refusal.path[1] === place && refusal.path[2] === "nextDate";

function Signed() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const { items } = useOutbox();
  const signatures = job.entries.filter(isKind("signature"));
  const signature = signatures[0];
  if (!signature) return null;
  const corrections = job.entries.filter(isKind("correction"));
  const several = data.stages.length > 1;
  const nameOf = (id: string | null) => data.stages.find((stage) => stage.id === id)?.name ?? "";
  const waits = (signature as TapeEntry).waiting;
  const unproven = items.find((item) => item.unproven && item.id === signature.id);
  return (
    <section aria-label="Signature" className="grid gap-3 content-start">
      <h2 className="text-2xl font-bold">
        Signed by {signature.madeByName}, {day(reader, signature.madeAt)}{" "}
        <span className="figure">{clock(reader, signature.madeAt)}</span>
      </h2>
      {waits && (
        <p className="text-lg border-l-4 border-near pl-3" role="status">
          <b>Signed, not confirmed.</b> Kept on this tablet with everything before it; it goes into the logbook when the
          server can be reached{unproven ? " and its signer shows who they are" : ""}.
        </p>
      )}
      {unproven && <ConfirmSignature waiting={unproven} />}
      {signature.body.comment && <p className="text-lg">{signature.body.comment}</p>}
      {signatures.flatMap((item) =>
        item.body.provisional.map((code) => (
          <p key={`${item.id} ${code}`} className="text-lg">
            {several && `${nameOf(item.stageId)}: `}
            {provisionalWords[code]}.
          </p>
        )),
      )}
      {signatures.map((item) => (
        <p key={item.id} className="text-lg">
          {several && `${nameOf(item.stageId)}: `}
          {item.body.nextDate ? `Next on ${dateWords(reader, item.body.nextDate)}.` : "No next date was set."}
        </p>
      ))}
      {corrections.map((entry) => (
        <p key={entry.id} className="text-lg border-l-4 border-ink pl-3">
          Corrected {day(reader, entry.madeAt)}: {entry.body.text}
        </p>
      ))}
      {!waits && <Countersign />}
      {!waits && <Exports path={`/jobs/${data.job.id}/record`} />}
      <div className="flex flex-wrap gap-3">
        <Link to={`/machines/${data.machine.id}`} className={buttonClass("line", true)}>
          To the machine's logbook
        </Link>
        {data.stages.map((stage) => (
          <Link key={stage.id} to={`/stages/${stage.id}`} className={buttonClass("line", true)}>
            {several ? `Trend of ${stage.name}` : "To the stage's trend"}
          </Link>
        ))}
      </div>
    </section>
  );
}
