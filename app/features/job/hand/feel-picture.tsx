import { feltOfStage } from "~/core/logbook";
import { type FeelGrade, feelsOf, feltAs, gradeOfFeel } from "~/core/stages";
import { FeelRing } from "../../feel/feel-ring";
import { useJobScreen } from "../entries/job-context";
import type { FeelRoundNow } from "./use-feel-round";
import { useFeltPart } from "./use-felt-part";

/** What was felt round the turn, with what was found under it and the tight spot painted. */
export function FeelPicture({ round }: { round: FeelRoundNow }) {
  const { stage, job } = useJobScreen();
  const { lastFeel, changedSinceFeel } = job.record;
  const part = useFeltPart(stage);
  const scale = feltAs(stage.geometry.element) ?? "click";
  const words: Partial<Record<FeelGrade, string>> = Object.fromEntries(
    feelsOf(scale).map((word) => [gradeOfFeel(word), word]),
  );
  const typing = round.felt.length > 0;
  const judged = typing
    ? round.judged
    : lastFeel?.body.places.length && !changedSinceFeel
      ? feltOfStage(lastFeel, stage.geometry)
      : null;
  const tight = (typing || changedSinceFeel ? null : lastFeel?.body.here) ?? judged?.tightTooth ?? null;
  const inPlaces = (list: FeelRoundNow["now"]) => list.map(({ tooth, grade }) => ({ place: tooth - 1, grade }));
  return (
    <FeelRing
      places={round.places}
      now={inPlaces(round.now)}
      before={inPlaces(round.before)}
      tightPlace={tight === null ? null : tight - 1}
      nextPlace={round.next === null ? null : round.next - 1}
      words={words}
      part={part}
      arc={round.arc}
      label={`${round.places} places round the turn, ${round.now.length} felt${tight === null ? "" : `, tight spot at ${tight}`}; loose inside, tight outside`}
    />
  );
}
