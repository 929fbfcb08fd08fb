import { useMemo } from "react";
import { drawnWords, tightWords } from "~/app/features/kinds";
import { usePanes } from "~/app/features/kinds/panes";
import { useWords } from "~/app/features/words/use-words";
import type { PartOutline } from "~/core/drawing";
import type { Stage } from "~/core/records";
import { frameOf, partOutline, placeCount } from "~/core/stages";
import { RoundDial } from "~/ui/round-dial/round-dial";
import { stateWord } from "~/ui/state-mark";
import { placeOf, stageUnit } from "../../words/quantity";
import type { LaidShims } from "../entries/laid-shims";
import { LevelPicture } from "./level-picture";
import { type RoundView, seenAfter } from "./round-view";

const noReadings: RoundView["judged"]["counting"] = [];

/** The round inside the real part. */
export function RoundPane({
  stage,
  view,
  ghost,
  currentTooth,
  counterClockwise,
  laid = null,
}: {
  stage: Stage;
  view: RoundView | null;
  ghost: ((angleDeg: number) => number) | null;
  currentTooth: number | null;
  counterClockwise: boolean;
  /** The shims that lie in it now, on a job. */
  laid?: LaidShims | null;
}) {
  const reader = useWords();
  const { element } = stage.geometry;
  const part = useOutline(stage);
  const panes = usePanes(element);
  const spoken = stageUnit(reader, element);
  const { unit } = spoken;
  const words = drawnWords(element, placeCount(frameOf(element)));
  const { limits } = stage;
  const headline = view ? spoken.range(view.seen.min, view.seen.max) : "no reading";
  const how = `${unit} read`;
  const frame = frameOf(element);
  const label = view
    ? `${words}, ${headline} ${how}, ${stateWord[view.state]}${view.standTooth ? `, ${tightWords(element).replace(/^the /, "")} at ${placeOf(element, view.standTooth)}` : ""}`
    : `${words}, nothing read yet`;
  const Part = panes?.part;
  // Places that stand side by side, or follow each other along a belt or chain: no part with teeth is read round.
  const beside = frame.word !== "tooth" && !(frame.word === "place" && frame.wave);
  const places = beside ? (
    <LevelPicture
      frame={frame}
      low={Part !== undefined && Part !== null}
      limits={limits}
      view={view}
      current={currentTooth}
      spoken={spoken}
      headline={view ? `${headline} ${unit}` : headline}
      label={label}
    />
  ) : null;
  if (Part)
    return (
      <div className="w-full h-full flex flex-col gap-1 min-h-0">
        <div className="basis-2/5 min-h-0 grid place-items-center [&_svg]:max-h-full">
          <Part
            element={element}
            limits={limits}
            now={view?.seen ?? null}
            then={view?.move && view.move.amount !== 0 ? seenAfter(view, view.move) : null}
            counting={view?.judged.counting ?? noReadings}
            shims={laid && { ...laid, changeMm: view?.move?.amount ?? 0 }}
          />
        </div>
        <div className="grow basis-3/5 min-h-0">{places ?? dial()}</div>
      </div>
    );
  return places ?? dial();

  function dial() {
    return (
      <RoundDial
        {...part}
        limits={limits}
        readings={(view?.readings ?? []).map((reading) => ({
          key: String(reading.index),
          angleDeg: reading.angleDeg,
          value: reading.value,
          state: reading.state,
          struck: reading.struck,
          current: reading.open,
        }))}
        fitted={view?.fitted ?? null}
        fittedSpread={view?.fittedSpread ?? 0}
        predicted={view?.predicted ?? null}
        ghost={ghost}
        paintedTooth={view?.standTooth ? view.standTooth - 1 : null}
        currentTooth={currentTooth === null ? null : currentTooth - 1}
        counterClockwise={counterClockwise}
        figure={(limit) => spoken.said(limit)}
        headline={headline}
        subline={view ? (view.carried ? `${unit}, carried over` : how) : "start at the witness mark"}
        label={label}
      />
    );
  }
}

export function useOutline({ geometry: { element } }: Stage): PartOutline {
  return useMemo(() => partOutline(element), [element]);
}
