import { useMemo } from "react";
import {
  firstOfRound,
  knownIn,
  knownRounds,
  movedBy,
  pastMoves,
  type RoundPhase,
  readInGear,
  sameTeeth,
  wholeRound,
} from "~/core/logbook";
import { inGear, ownStop, teethInMesh } from "~/operations/stage-as-read";
import { usePreferences } from "../../people/use-preferences";
import { recordedView } from "../read/round-view";
import { useJobScreen } from "./job-context";
import { learnStage } from "./learn-stage";
import { useTyped } from "./use-draft";

/** What is known of the stage so far: its last round, that round carried over its moves, the adjuster's response. */
export function useKnown(gear: string | undefined) {
  const { data, stage, entered, before, job } = useJobScreen();
  const { entries } = job;
  const stop = ownStop(entered, gear);
  const learnt = useMemo(
    () =>
      learnStage(inGear(entered, gear), [
        ...(stop ? (before.stops?.find((one) => one.gear === stop)?.moves ?? []) : before.moves),
        ...pastMoves(
          entries.filter((entry) => entry.stageId === entered.id),
          entered.adjuster.id,
          before.moved + movedBy(entries, entered.adjuster.id),
          stop,
        ),
      ]),
    [entered, before, entries, gear, stop],
  );
  const read = readInGear(job.record, gear);
  // Of a move of this job, while the reading after it is the last word.
  const lastMove = job.record.moves.findLast(({ body }) => body.gear === stop);
  const wentOtherWay =
    lastMove && !read.changedSinceRound && learnt?.evidence[learnt.evidence.length - 1]?.opposite ? lastMove.id : null;
  const response = learnt ?? undefined;
  const { school } = usePreferences();
  const last = read.lastRound;
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
  return { learnt, response, read, last, known, recorded, wentOtherWay };
}

/** The round as found, as a ghost behind the present one; not of a gear that has been exchanged since. */
export function useGhost(gear: string | undefined) {
  const { stage, job } = useJobScreen();
  const { asFound } = readInGear(job.record, gear);
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
export function useGoingOn(phase: RoundPhase, gear: string | undefined) {
  const { job } = useJobScreen();
  const wanted = useTyped(({ texts }) => texts[`on.${phase}`]);
  const last = readInGear(job.record, gear).lastRound;
  return useMemo(() => {
    if (!wanted || !last || firstOfRound(last) !== wanted) return null;
    const { phase, result } = last.body;
    const earlier = { readings: wholeRound(job.entries, last), expandedUncertainty: result.expandedUncertainty };
    return { first: wanted, phase, earlier };
  }, [wanted, last, job.entries]);
}
