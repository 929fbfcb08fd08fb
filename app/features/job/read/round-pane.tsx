import { useMemo } from "react";
import { drawnWords, tightWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import type { PartOutline } from "~/core/drawing";
import type { Instrument, Stage } from "~/core/records";
import { frameOf, partOutline, placeCount } from "~/core/stages";
import { RoundDial } from "~/ui/round-dial/round-dial";
import { stateWord } from "~/ui/state-mark";
import { placeOf, readIn, stageUnit } from "../../words/quantity";
import { LevelPicture } from "./level-picture";
import type { RoundView } from "./round-view";

/** The round inside the real part. */
export function RoundPane({
  stage,
  instrument,
  view,
  ghost,
  currentTooth,
  counterClockwise,
}: {
  stage: Stage;
  instrument: Instrument;
  view: RoundView | null;
  ghost: ((angleDeg: number) => number) | null;
  currentTooth: number | null;
  counterClockwise: boolean;
}) {
  const reader = useWords();
  const { element } = stage.geometry;
  const part = useOutline(stage);
  const spoken = stageUnit(reader, element);
  const { unit } = spoken;
  const words = drawnWords(element, placeCount(frameOf(element)));
  const { lo, hi } = stage.limits;
  const headline = view ? readIn(reader, element, instrument).range(view.now.min, view.now.max) : "no reading";
  const how = view?.judged.fit ? `${unit}, fitted` : unit;
  const frame = frameOf(element);
  const label = view
    ? `${words}, ${headline} ${how}, ${stateWord[view.state]}${view.standTooth ? `, ${tightWords(element).replace(/^the /, "")} at ${placeOf(element, view.standTooth)}` : ""}`
    : `${words}, nothing read yet`;
  // Nothing comes round: places that stand side by side.
  if (frame.word === "place" && !frame.wave)
    return (
      <LevelPicture
        frame={frame}
        limits={{ lo, hi }}
        view={view}
        current={currentTooth}
        spoken={spoken}
        headline={view ? `${headline} ${unit}` : headline}
        label={label}
      />
    );
  return (
    <RoundDial
      {...part}
      band={{ lo: lo, hi: hi }}
      readings={(view?.readings ?? []).map((reading) => ({
        key: String(reading.index),
        angleDeg: reading.angleDeg,
        value: reading.value,
        state: reading.state,
        struck: reading.struck,
        current: reading.open,
      }))}
      fitted={view?.fitted ?? null}
      predicted={view?.predicted ?? null}
      ghost={ghost}
      paintedTooth={view?.standTooth ? view.standTooth - 1 : null}
      currentTooth={currentTooth === null ? null : currentTooth - 1}
      counterClockwise={counterClockwise}
      figure={spoken.figure}
      headline={headline}
      subline={view ? (view.carried ? `${unit}, carried over` : how) : "start at the witness mark"}
      label={label}
    />
  );
}

export function useOutline({ geometry: { element } }: Stage): PartOutline {
  return useMemo(() => partOutline(element), [element]);
}
