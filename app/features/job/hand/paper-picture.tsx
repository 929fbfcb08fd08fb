import { feltArc, feltPlaces, gradeOfPaper, gradesOf, isKind, type RoundPhase } from "~/core/logbook";
import { FeelRing } from "../../feel/feel-ring";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { readPrints } from "./paper-texts";
import { useFeltPart } from "./use-felt-part";

/** What paper looked like round the turn: as it is being tried, or as it was last logged. */
export function PaperPicture({ phase }: { phase: RoundPhase }) {
  const { stage, job, entriesHere } = useJobScreen();
  const texts = useTexts();
  const part = useFeltPart(stage);
  const { element, arcDeg } = stage.geometry;
  const places = feltPlaces(element);
  const typed = readPrints(texts[`paper.${phase}`]);
  // What was tried before the last move is not how it stands.
  const moved = Math.max(0, ...job.record.moves.map(({ seq }) => seq));
  const last = job.record.changedSinceFeel
    ? undefined
    : entriesHere.filter(isKind("feel")).findLast(({ seq, body }) => seq > moved && body.paper);
  const now =
    typed.length > 0 || !last
      ? typed.map(({ tooth, print }) => ({ tooth, grade: gradeOfPaper(print, null, null) }))
      : gradesOf(last);
  const tight = last?.body.here ?? last?.body.judged?.tightTooth ?? null;
  return (
    <FeelRing
      places={places}
      now={now.map(({ tooth, grade }) => ({ place: tooth - 1, grade }))}
      tightPlace={tight === null ? null : tight - 1}
      words={{ 1: "falls out", 3: "even print", 5: "cut through" }}
      part={part}
      arc={feltArc(places, arcDeg)}
      label={`${places} places round the turn, ${now.length} tried with paper; loose inside, tight outside`}
    />
  );
}
