import { useMemo, useState } from "react";
import { afterEachPart } from "~/app/features/kinds";
import { feelStep, unitOf } from "~/core/advice";
import { type FeltJudged, feltMoves, gradesOf } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { judgedBy, sensitivityOf } from "~/core/stages";
import { Button } from "~/ui/button";
import { moveParts } from "../../words/amount";
import { capital, countWords } from "../../words/count";

import { refusalWords } from "../../words/refusal";
import { lengthWords } from "../../words/spoken";
import { useWords } from "../../words/use-words";
import { GoneTooFar } from "../advise/gone-too-far";
import { useJobScreen } from "../entries/job-context";
import { ByHandMove } from "./by-hand-move";
import { standBy, stepWay } from "./hand-advice";

/** The small step by which one goes on by hand: one word's worth, in the adjuster's own units, then release, turn, feel. */
export function HandMove({ judged, here }: { judged: FeltJudged; here: number | null }) {
  const reader = useWords();
  const { stage, job, entriesHere } = useJobScreen();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const { adjuster, limits } = stage;
  const { element } = stage.geometry;
  const moves = useMemo(() => feltMoves(entriesHere, adjuster.id), [entriesHere, adjuster.id]);
  const { lastFeel } = job.record;
  const felt = useMemo(() => (lastFeel ? gradesOf(lastFeel).map(({ grade }) => grade) : []), [lastFeel]);
  const way = judged.step === "together" ? ("tighter" as const) : ("looser" as const);
  const step = useMemo(() => {
    if (!limits || !adjuster.adjuster) return null;
    const aim = limits.aim ?? (limits.lo + limits.hi) / 2;
    const sensitivity = sensitivityOf(element, aim, aim);
    const band = limits.hi - limits.lo;
    if (!sensitivity || band <= 0) return null;
    const { adjuster: law, step: smallest } = adjuster;
    return feelStep({
      quantity: judgedBy(element),
      adjuster: law,
      sensitivity,
      band,
      smallest: smallest ?? 0,
      way,
      felt,
      moves,
    });
  }, [element, limits, adjuster, way, felt, moves]);
  if (!adjuster.adjuster) return null;
  if (!step)
    return (
      <div className="grid gap-2">
        <p className="text-lg">
          {limits
            ? "The adjuster does not reach any further that way."
            : "Its limits are not known, so how far a word reaches is not either: the smallest step that you can set, then feel again."}
        </p>
        <ByHandMove label="Log what was moved" />
      </div>
    );
  const { learntFrom, factor, words } = step;
  const at = here ?? judged.tightTooth;
  const { before, size, after } = moveParts(reader, adjuster, step.amount, unitOf(adjuster.adjuster));
  const so = async () => {
    const result = await job.put({
      kind: "move",
      amount: step.amount,
      did: "so",
      advised: null,
      reasons: [],
      note: "by feel",
      adjusterId: adjuster.id,
    });
    setProblem(result.ok ? null : result.refusal);
  };
  const release = afterEachPart(reader, element);
  return (
    <section aria-label="Next step" className="grid gap-3">
      <p className="text-2xl font-semibold leading-snug">
        {at === null ? "" : standBy(element, at)}
        {adjuster.name}: {before}
        <span className="text-now figure">{size}</span>
        {after}.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button kind="now" large onClick={so}>
          Did it so
        </Button>
        <ByHandMove label="I did otherwise" />
      </div>
      {problem && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, problem)}
        </p>
      )}
      <p className="text-lg">
        {stepWay(element, way === "tighter" ? "together" : "apart")} by that, snug, turn it by hand all the way round,
        feel it again. {release ?? ""} Stop at the first faint sign of tightness at the tight spot.
      </p>
      {!adjuster.hasScale && (
        <p className="text-lg">
          It has no scale: clamp a stop {lengthWords(reader, Math.abs(step.amount), 2)} off the part by a feeler of
          that, feeler out, push the part home against the stop, clamp.
        </p>
      )}
      <GoneTooFar />
      <p className="text-mid">
        {learntFrom > 0
          ? `Learnt from ${learntFrom} moves by feel: here a move does ${Math.round(100 * factor)} % of what the law says.`
          : `${words === 1 ? "One word" : `${capital(countWords(words))} words`}, each about a third of the band (common practice): as far as leaves no place beyond right. After three such moves it is learnt what a move really does here.`}
      </p>
    </section>
  );
}
