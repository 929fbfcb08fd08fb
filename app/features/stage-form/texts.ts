import type { Reader } from "~/app/features/words/reader";
import type { Geometry, SideLimits, StageAdjuster, StageLimits, TurnedBy } from "~/core/records";
import { readClamps } from "../clamps/read-clamps";
import { numberText as n } from "../form/number-text";
import { type Read, TextReader } from "../form/text-reader";
import { rowTexts, type Texts } from "../form/texts";
import { readElement, textsOfElement } from "../kinds/forms";
import { lawTexts, meansOfLaw } from "./adjuster-texts";

export type GeometryInput = Omit<Geometry, "id" | "revision" | "arcDeg"> & { arcDeg: [number, number] | null };

export function readGeometry(texts: Texts): Read<GeometryInput> {
  const [element, clamps] = [readElement(texts), readClamps(texts)];
  const read = new TextReader(texts);
  const turnedBy = (["either", "input", "output", "power"] as const).find((by) => by === read.text("turnedBy"));
  let arcDeg: [number, number] | null = null;
  if (read.text("arc.part") === "yes") {
    arcDeg = [read.angleOr("arc.from", 0), read.angleOr("arc.to", Number.NaN)];
    read.want("arc.to", read.has("arc.to"), "missing");
    read.want("arc.from", !(arcDeg[0] >= arcDeg[1]), "window-upside-down");
  }
  const problems = { ...element.problems, ...clamps.problems, ...read.problems };
  if (!element.value || !clamps.value || Object.keys(problems).length > 0) return { value: null, problems };
  return {
    value: { element: element.value, clamps: clamps.value, arcDeg, turnedBy: (turnedBy ?? "either") as TurnedBy },
    problems: null,
  };
}

/** The fields of a stage that is there already. */
export function textsOf(
  reader: Reader,
  stage: {
    name: string;
    geometry: Geometry;
    adjuster: StageAdjuster;
    limits: StageLimits | null;
    sideLimits: readonly SideLimits[];
  },
): Texts {
  const { element, clamps, arcDeg, turnedBy } = stage.geometry;
  const { adjuster: law, ...adjuster } = stage.adjuster;
  const { limits } = stage;
  return {
    name: stage.name,
    ...textsOfElement(reader, element),
    turnedBy,
    "arc.part": arcDeg ? "yes" : "",
    "arc.from": n(reader, arcDeg?.[0]),
    "arc.to": n(reader, arcDeg?.[1]),
    "clamps.way": "points",
    ...rowTexts(
      "clamps.points",
      clamps.points.map(({ x, y }) => ({ x: n(reader, x), y: n(reader, -y + 0) })),
    ),
    "clamps.size": clamps.size,
    "clamps.torque": n(reader, clamps.torqueNm ?? undefined),
    "clamps.passes": String(clamps.passes),
    "clamps.compound": clamps.compound ? "yes" : "",
    "clamps.threads": clamps.threads ?? "",
    ...lawTexts(reader, law),
    "adjuster.means": adjuster.means ?? (law ? meansOfLaw[law.type] : "none"),
    "adjuster.name": adjuster.name,
    "adjuster.step": n(reader, adjuster.step),
    "adjuster.plus": adjuster.positiveWord,
    "adjuster.minus": adjuster.negativeWord,
    "adjuster.hand": adjuster.hand ?? "",
    "adjuster.scale": adjuster.hasScale ? "" : "no",
    "adjuster.from": adjuster.seenFrom,
    ...Object.fromEntries(
      adjuster.alsoMoves.flatMap(({ stageId, perMm }) => [
        [`adjuster.also.${stageId}.on`, "yes"],
        [`adjuster.also.${stageId}.perMm`, n(reader, perMm)],
      ]),
    ),
    ...(limits && limitsTexts(reader, limits)),
    ...Object.fromEntries(
      stage.sideLimits.flatMap(({ quantity, lo, hi, sourceKind, source }) => [
        [`side.${quantity}.lo`, n(reader, lo)],
        [`side.${quantity}.hi`, n(reader, hi)],
        [`side.${quantity}.kind`, sourceKind],
        [`side.${quantity}.source`, source],
      ]),
    ),
  };
}

const limitsTexts = (reader: Reader, { given, sourceKind, source }: StageLimits): Texts => ({
  "limits.quantity": given.quantity,
  "limits.held": n(reader, given.held),
  lo: n(reader, given.lo),
  aim: n(reader, given.aim),
  hi: n(reader, given.hi),
  sourceKind,
  source,
});
