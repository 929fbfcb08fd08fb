import { useMemo } from "react";
import { learnStage } from "~/app/features/job/entries/learn-stage";
import { roundView, seenAfter } from "~/app/features/job/read/round-view";
import { useWords } from "~/app/features/words/use-words";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import { feltArc, feltPlaces, judgeFelt, knownIn } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { type Feel, measuredUnit } from "~/core/stages";
import { ownStop, teethInMesh } from "~/operations/stage-as-read";
import { stoodAdjuster } from "~/operations/stood-adjuster";
import { Field } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import type { Method } from "../job/read/method";
import { usePreferences } from "../people/use-preferences";
import { namedMoveWords } from "../words/amount";
import { feltState, feltWords } from "../words/feel";
import { stageUnit } from "../words/quantity";
import { withUnit } from "../words/spoken";
import { FeltKeys } from "./felt-keys";

export type Way = "numbers" | "feel";
export type Read = { typed: string; felt: Feel | null };

/** As it goes into the logbook: a bare number in another unit than the usual one gets it written behind. */
export const typedOf = ({ typed }: Read, { bareUnit, quantity }: Method): string =>
  withUnit(typed, bareUnit, measuredUnit[quantity].bare);

/** One reading at the tight spot, by number or by word, and what it says at once. */
export function ReadOne({
  kit,
  stage,
  tooth,
  way,
  method,
  read,
  onRead,
  label,
  problem,
}: {
  kit: Kit;
  stage: Stage;
  tooth: number;
  way: Way;
  method: Method;
  read: Read;
  onRead: (read: Read) => void;
  label: string;
  problem: string | undefined;
}) {
  const reader = useWords();
  const before = kit.before.find((item) => item.stageId === stage.id);
  const { school } = usePreferences();
  const view = useMemo(() => {
    if (read.typed.trim() === "") return null;
    const stop = ownStop(stage, method.gear);
    const moves = stop ? before?.stops?.find(({ gear }) => gear === stop)?.moves : before?.moves;
    const learnt = learnStage(stage, moves ?? []);
    return roundView({
      stage: stop ? stage : { ...stage, adjuster: stoodAdjuster(stage, before?.moved ?? 0) },
      instrument: method.instrument,
      method,
      phase: "carries",
      readings: [],
      open: { typed: typedOf(read, method), tooth },
      known: knownIn(before?.known ?? [], method.gear, teethInMesh(stage, method.gear)),
      response: learnt ?? undefined,
      school,
    });
  }, [stage, method, before, read.typed, tooth, school, read]);
  if (way === "feel") {
    const { element } = stage.geometry;
    const places = feltPlaces(element);
    const judged = read.felt && judgeFelt([{ tooth, feel: read.felt }], places, feltArc(places, stage.geometry.arcDeg));
    return (
      <div>
        <FeltKeys stage={stage} legend={label} word={read.felt} onWord={(felt) => onRead({ ...read, felt })} />
        {judged && (
          <p className="mt-2 flex gap-3 items-center text-lg" role="status">
            <StateMark state={feltState[judged.verdict]} /> {feltWords(judged)}
          </p>
        )}
        {problem && (
          <p role="alert" className="text-outside font-semibold">
            {problem}
          </p>
        )}
      </div>
    );
  }
  const { adjuster } = stage;
  const spoken = stageUnit(reader, stage.geometry.element);
  const after = view?.move ? seenAfter(view, view.move) : null;
  return (
    <div>
      <Field
        label={label}
        inputMode="decimal"
        data-reading=""
        // The Enter of a reading, or of an instrument, signs nothing.
        onKeyDown={(event) => event.key === "Enter" && event.preventDefault()}
        className="max-w-72 [&_input]:text-3xl [&_input]:min-h-16 [&_input]:figure"
        value={read.typed}
        onChange={(event) => onRead({ ...read, typed: event.target.value })}
        autoComplete="off"
        error={problem}
      />
      {view && (
        <p className="mt-2 text-lg" role="status">
          <span className="inline-flex gap-3 items-center">
            <StateMark state={view.state} />
            <span className="figure font-semibold">
              {spoken.range(view.seen.min, view.seen.max)} {spoken.unit}
            </span>
          </span>{" "}
          {view.carried && "all round, carried over from the last round"}
          {view.move && view.move.amount !== 0 && adjuster.adjuster && after && (
            <span className="block">
              {namedMoveWords(reader, adjuster, view.move.amount)}. It should then read{" "}
              {spoken.range(after.min, after.max)} {spoken.unit}.
            </span>
          )}
        </p>
      )}
    </div>
  );
}
