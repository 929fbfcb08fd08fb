import { feltOfStage } from "~/core/logbook";
import { type FeelGrade, feelGrades, feelTable, feltAs } from "~/core/stages";
import { FeelRing } from "../../feel/feel-ring";
import { useJobScreen } from "../entries/job-context";
import type { HandWay } from "./hand-ways";
import type { FeelRoundNow } from "./use-feel-round";

const paperWords: Partial<Record<FeelGrade, string>> = { 1: "falls out", 3: "even print", 5: "cut through" };

/** What was felt, or tried with paper, round the turn, with what was found under it and the tight spot painted. */
export function FeelPicture({ round, way }: { round: FeelRoundNow; way: HandWay }) {
  const { stage, job } = useJobScreen();
  const { lastFeel, changedSinceFeel } = job.record;
  const scale = feltAs(stage.geometry.element) ?? "click";
  const words =
    way === "paper"
      ? paperWords
      : Object.fromEntries(
          feelGrades.flatMap((grade) => (feelTable[scale][grade] ? [[grade, feelTable[scale][grade]]] : [])),
        );
  const typing = round.felt.length > 0;
  const judged = typing ? round.judged : lastFeel && !changedSinceFeel ? feltOfStage(lastFeel, stage.geometry) : null;
  const tight = typing ? (judged?.tightTooth ?? null) : (lastFeel?.body.here ?? judged?.tightTooth ?? null);
  const inPlaces = (list: FeelRoundNow["now"]) => list.map(({ tooth, grade }) => ({ place: tooth - 1, grade }));
  return (
    <FeelRing
      places={round.places}
      now={inPlaces(round.now)}
      before={inPlaces(round.before)}
      tightPlace={tight === null ? null : tight - 1}
      nextPlace={way === "feel" && round.next !== null ? round.next - 1 : null}
      words={words}
      arc={round.arc}
      label={`${round.places} places round the turn, ${round.now.length} felt${tight === null ? "" : `, tight spot at ${tight}`}; loose inside, tight outside`}
    />
  );
}
