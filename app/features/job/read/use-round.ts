import { useMemo } from "react";
import { useWords } from "~/app/features/words/use-words";
import { feltOfStage, isRead, type RoundPhase, sameTeeth } from "~/core/logbook";
import { placesToRead, wayOf } from "~/core/rounds";
import { frameOf, placeCount, teethOf, toJudged } from "~/core/stages";
import type { DraftBody } from "~/operations/draft-body";
import { inGear } from "~/operations/stage-as-read";
import { usePreferences } from "../../people/use-preferences";
import { useJobScreen } from "../entries/job-context";
import { useGhost, useGoingOn, useKnown } from "../entries/known-round";
import { rememberedUnit } from "../entries/remembered-unit";
import { useTexts, useTyped } from "../entries/use-draft";
import { methodOf } from "./method";
import { roundView } from "./round-view";

/** Everything of the round that is being read but what stands in the open field: it is the same from key to key, and another after Enter. */
export function useRound(phase: RoundPhase) {
  const reader = useWords();
  const { data, stage, job } = useJobScreen();
  const texts = useTexts();
  const readings = useTyped(({ rounds }) => rounds[phase].readings);
  const typing = useTyped(({ rounds }) => isTyping(rounds[phase]));
  const method = useMemo(
    () => methodOf(reader, stage, { "method.unit": rememberedUnit(data.person.id) ?? "", ...texts }, data.instruments),
    [reader, stage, texts, data.instruments, data.person.id],
  );
  const known = useKnown(method.gear);
  const { response, recorded, last, read: soFar } = known;
  const goesOn = useGoingOn(phase, method.gear);
  const { school } = usePreferences();
  const { asFoundGhost } = useGhost(method.gear);
  // A tight spot that was only felt is where one stands while setting, until something was measured.
  const { lastFeel } = soFar;
  const feltTight = lastFeel && !soFar.changedSinceFeel ? feltOfStage(lastFeel, stage.geometry).tightTooth : null;

  const read = useMemo(() => inGear(stage, method.gear), [stage, method.gear]);
  const frame = useMemo(() => frameOf(read.geometry.element), [read]);
  // Of a switchable pair its first gear: which one is in may still be chosen.
  const mesh = teethOf(stage.geometry.element);
  const begun = begunWith(texts[`mesh.${phase}`]);
  const even = texts["method.steps"] === "even";
  const positions = useMemo(() => {
    const planned = placesToRead(frame, read.geometry.arcDeg, even);
    if (goesOn) return stillToRead(planned, goesOn.earlier.readings, placeCount(frame));
    const stand = phase === "set" ? (recorded?.standTooth ?? feltTight) : null;
    return stand ? [stand, ...planned.filter((tooth) => tooth !== stand)] : planned;
  }, [read, frame, phase, recorded?.standTooth, feltTight, goesOn, even]);

  const canRead = useMemo(() => {
    const way = toJudged(read.geometry.element, wayOf(method, method.quantity));
    return (measured: number) => !way.ok || Number.isFinite(way.value.convert(measured));
  }, [read, method]);

  const asked = useMemo(
    () => ({
      stage: read,
      instrument: method.instrument,
      method,
      phase,
      known: known.known,
      response,
      earlier: goesOn?.earlier ?? null,
      school,
    }),
    [read, method, phase, known.known, response, goesOn, school],
  );
  /** Of the readings that were taken; null while there is none. */
  const taken = useMemo(() => roundView({ ...asked, readings, open: null }), [asked, readings]);
  // What stands in the logbook is shown until one types again, and until something was moved.
  const settled = !typing && recorded !== null && !soFar.changedSinceRound;
  const waitingForReading =
    !typing && soFar.changedSinceRound && phase !== "as-found" && isRead(soFar) && job.record.moves.length > 0;
  const kept = texts[`kept.${phase}`] ?? "";
  const questioned = useMemo(() => {
    const answered = kept.split(" ");
    return taken?.readings.find((r) => r.questioned && !r.struck && !answered.includes(String(r.index))) ?? null;
  }, [taken, kept]);
  return {
    ...known,
    phase,
    texts,
    readings,
    typing,
    method,
    goesOn,
    feltTight,
    read,
    frame,
    mesh,
    begun,
    exchanged: readings.length > 0 && !sameTeeth(begun, mesh),
    positions,
    even,
    canRead,
    asked,
    taken,
    ghost: last && soFar.asFound?.id !== last.id ? asFoundGhost : null,
    settled,
    waitingForReading,
    questioned,
    /** Reading is the thing to do now. */
    asking: typing || !recorded || waitingForReading || goesOn !== null,
  };
}

export type RoundNow = ReturnType<typeof useRound>;

export const isTyping = (round: DraftBody["rounds"][RoundPhase]): boolean =>
  round.readings.length > 0 || round.field !== "";

/** Tooth counts that were in mesh as the open round was begun, as the draft holds them. */
function begunWith(text: string | undefined): [number, number] | undefined {
  const [pinion, gear] = (text ?? "").split(" ").map(Number);
  return pinion && gear ? [pinion, gear] : undefined;
}

/** Planned places that the round does not have yet; when it has them all, every other one. */
function stillToRead(
  planned: readonly number[],
  readings: readonly { tooth: number; struck: boolean }[],
  places: number,
) {
  const read = new Set(readings.flatMap((reading) => (reading.struck ? [] : [reading.tooth])));
  const left = planned.filter((tooth) => !read.has(tooth));
  if (left.length > 0) return left;
  return Array.from({ length: places }, (_, i) => i + 1).filter((tooth) => !read.has(tooth));
}
