import { useMemo } from "react";
import { gearBlanks, type Point, toothCircles, toothOutlines } from "~/core/gears";
import { decimalsFor } from "~/core/quantity";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import { RoundDial } from "~/ui/round-dial/round-dial";
import { stateWord } from "~/ui/state-mark";
import { rangeWords } from "../words/entry";
import type { RoundView } from "./round-view";

/** The round inside the real gear. */
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
  const part = useGearOutline(stage);
  const decimals = decimalsFor(instrument.resolutionMm);
  const { loMm, hiMm } = stage.limits;
  const headline = view ? rangeWords(view.now.min, view.now.max, decimals) : "no reading";
  const how = view?.assessment.fit ? "mm, fitted" : "mm";
  return (
    <RoundDial
      {...part}
      band={{ lo: loMm, hi: hiMm }}
      readings={(view?.readings ?? []).map((reading) => ({
        key: String(reading.index),
        angleDeg: reading.angleDeg,
        value: reading.valueMm,
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
      decimals={2}
      headline={headline}
      subline={view ? (view.carried ? "mm, carried over" : how) : "start at the witness mark"}
      label={
        view
          ? `Gear of ${stage.geometry.pair.teeth[1]} teeth, ${headline} ${how}, ${stateWord[view.state]}${view.standTooth ? `, tight spot at tooth ${view.standTooth}` : ""}`
          : `Gear of ${stage.geometry.pair.teeth[1]} teeth, nothing read yet`
      }
    />
  );
}

export function useGearOutline(stage: Stage): { outline: Point[][]; tipRadius: number; rootRadius: number } {
  const pair = stage.geometry.pair;
  return useMemo(() => {
    const gear = gearBlanks(pair)[1];
    const circles = toothCircles(gear);
    return {
      outline: toothOutlines(gear),
      tipRadius: circles.tipDiameterMm / 2,
      rootRadius: circles.rootDiameterMm / 2,
    };
  }, [pair]);
}
