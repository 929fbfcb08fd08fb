import type { ReactNode } from "react";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { lengthUnit, lengthWords, spoken } from "~/app/features/words/spoken";
import { type BeltElement, pathPull, type StageElement, shaftPulls, stagePath } from "~/core/stages";
import { tightSpotOf } from "../kind-words";

/** How much longer the path gets a mm of what is moved, and how long it is. */
export function pullOf(element: BeltElement | Extract<StageElement, { kind: "chain" }>) {
  const path = stagePath(element);
  return path.ok
    ? { pull: pathPull(path.value, element.moved), lengthMm: path.value.laid.lengthMm }
    : { pull: 0, lengthMm: 0 };
}

/** EA·pull/L, with where EA comes from. */
export function beltSensitivityWords(reader: Reader, element: BeltElement, sensitivity: number): string {
  const { pull, lengthMm } = pullOf(element);
  const [length, force] = [spoken(reader, "mm", 0), spoken(reader, "N", 1)];
  const perLength = formatNumber(reader, (sensitivity * length.per) / force.per, 1);
  return `EA·${formatNumber(reader, pull, 2)}/${lengthWords(reader, lengthMm, 0)} = ${perLength} ${force.unit} for each ${lengthUnit(reader)}${element.stiffnessN === null ? "; EA is not known and taken as if the aim stretched the belt by 0.2 % (common practice)" : ""}`;
}

/** 2·T·sin(wrap/2) at both shafts. */
function beltLoads(reader: Reader, element: BeltElement, tensionN: number): readonly [string, string] | null {
  const found = shaftPulls(element, tensionN);
  if (!found) return null;
  const n = (value: number) => spoken(reader, "N", 0).said(value);
  return ["Pull on the shafts", `2·T·sin(wrap/2) at rest: driver ${n(found.driverN)}, driven ${n(found.drivenN)}`];
}

/** What toothed and V-belts have in common. */
export const beltWords = {
  tightSpot: () => tightSpotOf.belt,
  stand: (where: ReactNode) => (
    <>
      Stand it at {where}, {tightSpotOf.belt}.{" "}
    </>
  ),
  parting: (_: unknown, way: "apart" | "together") => (way === "apart" ? "Part them" : "Bring them together"),
  nothingToAdjust: "This stage has nothing to adjust.",
  sensitivity: beltSensitivityWords,
  waves: () => null,
  madeOf: () => "",
  side: () => "",
  afterEachPart: () => null,
  thrust: null,
  loads: beltLoads,
  ways: ["moves it the way that tightens the belt", "moves it the way that slackens the belt"],
} as const;
