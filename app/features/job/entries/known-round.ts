import { useMemo } from "react";
import {
  firstOfRound,
  knownIn,
  knownRounds,
  movedBy,
  pastMoves,
  type RoundPhase,
  sameTeeth,
  wholeRound,
} from "~/core/logbook";
import { teethInMesh } from "~/operations/stage-as-read";
import { usePreferences } from "../../people/use-preferences";
import { recordedView } from "../read/round-view";
import { useJobScreen } from "./job-context";
import { learnStage } from "./learn-stage";
import { useTyped } from "./use-draft";

/** What is known of the stage so far: its last round, that round carried over its moves, the adjuster's response. */
export function useKnown(gear: string | undefined) {
  const { data, stage, entered, before, job } = useJobScreen();
  const { entries } = job;
  const learnt = useMemo(
    () =>
      learnStage(entered, [
        ...before.moves,
        ...pastMoves(
          entries.filter((entry) => entry.stageId === entered.id),
          entered.adjuster.id,
          before.moved + movedBy(entries, entered.adjuster.id),
        ),
      ]),
    [entered, before, entries],
  );
  // Of a move of this job, while the reading after it is the last word.
  const lastMove = job.record.moves[job.record.moves.length - 1];
  const wentOtherWay =
    lastMove && !job.record.changedSinceRound && learnt?.evidence[learnt.evidence.length - 1]?.opposite
      ? lastMove.id
      : null;
  const response = learnt ?? undefined;
  const { school } = usePreferences();
  const last = job.record.lastRound;
  const known = useMemo(
    () => knownIn(knownRounds(entries, stage.id), gear, teethInMesh(stage, gear)),
    [entries, stage, gear],
  );
  const recorded = useMemo(() => {
    // What an exchanged gear read is no ground for a move of the one that is in.
    if (!last || !sameTeeth(last.body.result.teeth, teethInMesh(stage, last.body.result.gear))) return null;
    const earlier = knownRounds(
      entries.filter((entry) => entry.seq < last.seq),
      stage.id,
    );
    return recordedView(
      stage,
      last,
      wholeRound(entries, last),
      knownIn(earlier, last.body.result.gear, last.body.result.teeth),
      response,
      school,
      data.instruments,
    );
  }, [stage, last, entries, response, school, data.instruments]);
  return { learnt, response, last, known, recorded, wentOtherWay };
}

/** The round as found, as a ghost behind the present one; not of a gear that has been exchanged since. */
export function useGhost() {
  const { stage, job } = useJobScreen();
  const { asFound } = job.record;
  const asFoundGhost = useMemo(
    () =>
      asFound && sameTeeth(asFound.body.result.teeth, teethInMesh(stage, asFound.body.result.gear))
        ? (recordedView(stage, asFound, wholeRound(job.entries, asFound), null, undefined)?.fitted ?? null)
        : null,
    [asFound, job.entries, stage],
  );
  return { asFoundGhost };
}

/** The round that what is typed goes on with, if that was asked for and nothing was moved since. */
export function useGoingOn(phase: RoundPhase) {
  const { job } = useJobScreen();
  const wanted = useTyped(({ texts }) => texts[`on.${phase}`]);
  const last = job.record.lastRound;
  return useMemo(() => {
    if (!wanted || !last || firstOfRound(last) !== wanted) return null;
    const { phase, result } = last.body;
    const earlier = { readings: wholeRound(job.entries, last), expandedUncertainty: result.expandedUncertainty };
    return { first: wanted, phase, earlier };
  }, [wanted, last, job.entries]);
}
