import { useMemo } from "react";
import {
  type FeltAt,
  type FeltJudged,
  feltArc,
  feltPlaces,
  type GradeAt,
  gradesOf,
  judgeFelt,
  type RoundPhase,
} from "~/core/logbook";
import { placesToRead } from "~/core/rounds";
import { feels, frameOf, gradeOfFeel, placeCount } from "~/core/stages";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

/** Places a hand begins with; more are asked for where the part needs them. */
const firstPlaces = 6;

export type FeelRoundNow = {
  felt: FeltAt[];
  judged: FeltJudged | null;
  /** The place to feel now; null where enough is felt. */
  next: number | null;
  places: number;
  arc: [number, number] | undefined;
  /** As found, where it was felt then: how smooth it is is judged against how smooth it was. */
  before: GradeAt[];
  /** The words as they are typed, or those of the last round while none are. */
  now: GradeAt[];
  magnetSteps: number | null;
  change: (felt: FeltAt[]) => void;
};

/** The round by feel that is being felt, on the places of the stage. */
export function useFeelRound(phase: RoundPhase): FeelRoundNow {
  const { stage, job } = useJobScreen();
  const texts = useTexts();
  const { element, arcDeg } = stage.geometry;
  const places = feltPlaces(element);
  const arc = useMemo(() => feltArc(places, arcDeg), [places, arcDeg]);
  const text = texts[`felt.${phase}`];
  const felt = useMemo(() => readFelt(text), [text]);
  const magnetSteps = Number(texts["felt.magnets"]) || null;
  const positions = useMemo(() => {
    const frame = frameOf(element);
    const planned =
      placeCount(frame) === places
        ? placesToRead(frame, arcDeg).sort((a, b) => a - b)
        : Array.from({ length: places }, (_, i) => i + 1);
    const step = Math.max(1, Math.ceil(planned.length / firstPlaces));
    return planned.filter((_, i) => i % step === 0);
  }, [element, arcDeg, places]);
  const judged = useMemo(() => judgeFelt(felt, places, arc, magnetSteps), [felt, places, arc, magnetSteps]);
  const planned = positions.find((tooth) => !felt.some((item) => item.tooth === tooth)) ?? null;
  const { feltAsFound, changedSinceFeel } = job.record;
  // Of paper or a print there are no words, and what was felt before a move is not how it stands.
  const lastFeel = !changedSinceFeel && job.record.lastFeel?.body.places.length ? job.record.lastFeel : null;
  const before = useMemo(
    () => (feltAsFound?.body.places.length && phase !== "as-found" ? gradesOf(feltAsFound) : []),
    [feltAsFound, phase],
  );
  const now = useMemo(
    () =>
      felt.length > 0 || !lastFeel
        ? felt.map(({ tooth, feel }) => ({ tooth, grade: gradeOfFeel(feel) }))
        : gradesOf(lastFeel),
    [felt, lastFeel],
  );
  return {
    felt,
    judged,
    next: planned ?? judged?.nextTooth ?? null,
    places,
    arc,
    before,
    now,
    magnetSteps,
    change: (words) => job.changeText(`felt.${phase}`, writeFelt(words)),
  };
}

/** In the draft as "1:2 9:3": place, and the word's among all of them. */
const writeFelt = (felt: readonly FeltAt[]): string =>
  felt.map(({ tooth, feel }) => `${tooth}:${feels.indexOf(feel)}`).join(" ");

function readFelt(text: string | undefined): FeltAt[] {
  return (text ?? "").split(" ").flatMap((item) => {
    const [tooth, place] = item.split(":").map(Number);
    const feel = feels[place ?? -1];
    return tooth && feel ? [{ tooth, feel }] : [];
  });
}
