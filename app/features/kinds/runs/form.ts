import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { spoken } from "~/app/features/words/spoken";
import type { AdjusterMeans } from "~/core/records";
import { type BeltElement, type ChainElement, ratiosOf, type StagePath, spanOf } from "~/core/stages";
import { positiveNumber, type Reading, type Texts } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import { rowTexts } from "../../form/texts";
import type { Figure } from "../kind-form";

const f = (reader: Reader, value: number, decimals = 3) => formatNumber(reader, value, decimals);

/** What belts and chains are set by. */
export const runMeans: readonly AdjusterMeans[] = [
  "slot",
  "jack-screw",
  "jack-screws",
  "pivot",
  "lever",
  "eccentric",
  "roller-holes",
  "roller-diameter",
];

export const runShims = {
  label: "Roller's way a mm of diameter",
  drawn: ["gear", "part", "centres"],
  remark: "",
} as const;

/** The pulley, or the roller that is chosen. */
export const movedByRun = (texts: Texts): "pulley" | "roller" =>
  (texts.moved ?? "centres") === "centres" || texts.moved === "" ? "pulley" : "roller";

/** @param byClass its mass by its class, where enough is said for that */
export function readMatter(read: Reading, byClass: number | null) {
  const stiffness = read.has("stiffness") ? read.force("stiffness") : null;
  read.want("stiffness", stiffness === null || stiffness > 0, "too-small");
  return {
    ...(read.has("mass") ? { massKgPerM: positiveNumber(read, "mass") } : massByClass(byClass)),
    stiffnessN: stiffness,
    bendingStiffnessNMm2: read.numberOr("bending", 0),
  };
}

const massByClass = (massKgPerM: number | null): Pick<BeltElement, "massKgPerM" | "massFrom"> =>
  massKgPerM === null ? { massKgPerM } : { massKgPerM, massFrom: "class" };

export const runTexts = (
  reader: Reader,
  { kind, centreDistanceMm, idlers, moved }: BeltElement | ChainElement,
): Texts => ({
  kind,
  centres: n(reader, centreDistanceMm),
  ...rowTexts(
    "idlers",
    idlers.map(({ x, y, diameterMm, side, strand }) => ({
      x: n(reader, x),
      y: n(reader, y),
      d: n(reader, diameterMm),
      side,
      strand,
    })),
  ),
  moved: String(moved),
});

export const beltTexts = (reader: Reader, element: BeltElement): Texts => ({
  ...runTexts(reader, element),
  mass: element.massFrom === "class" ? "" : n(reader, element.massKgPerM),
  stiffness: n(reader, element.stiffnessN),
  bending: element.bendingStiffnessNMm2 === 0 ? "" : n(reader, element.bendingStiffnessNMm2),
});

/** Wraps on driver and driven, degrees. */
export const wrapsOf = ({ laid, driven }: StagePath): readonly [number, number] => [
  laid.wraps[0]?.deg ?? 0,
  laid.wraps[driven]?.deg ?? 0,
];

/** What stretches the belt to its path, EA·(path − belt)/belt; of a set, in each. */
function tensionSo(reader: Reader, { stiffnessN }: BeltElement, pathMm: number, lengthMm: number): string {
  if (pathMm <= lengthMm) return "none: it is slack on this path";
  return stiffnessN === null
    ? "not known without its stiffness EA"
    : `${spoken(reader, "N", 0).said((stiffnessN * (pathMm - lengthMm)) / lengthMm)} by EA and the stretch alone`;
}

/** "idler 1 22.8°", each. */
export const idlerWraps = (reader: Reader, { laid, idlers }: StagePath): string[] =>
  idlers.map((at, number) => `idler ${number + 1} ${f(reader, laid.wraps[at]?.deg ?? 0, 1)}°`);

/** @param lengthMm of the belt */
export function beltFigures(reader: Reader, element: BeltElement, path: StagePath, lengthMm: number): Figure[] {
  const { laid } = path;
  const [first, second] = wrapsOf(path);
  return [
    ["Ratio", f(reader, Math.abs(ratiosOf(element)[0]?.ratio ?? 1))],
    [
      "Path",
      `${f(reader, laid.lengthMm, 2)} mm; the belt has ${f(reader, lengthMm, 2)} mm, ${f(reader, Math.abs(lengthMm - laid.lengthMm), 2)} ${lengthMm < laid.lengthMm ? "to stretch" : "to take up"}`,
    ],
    ["Tension so", tensionSo(reader, element, laid.lengthMm, lengthMm)],
    ["Wrap", [`${f(reader, first, 1)}° and ${f(reader, second, 1)}°`, ...idlerWraps(reader, path)].join("; ")],
    [
      "Mass a metre",
      element.massKgPerM === null
        ? "not known: read its tension by force, not by frequency"
        : `${f(reader, element.massKgPerM)} kg/m${element.massFrom === "class" ? ", by its class (from memory; makers differ by some 15 %)" : ""}`,
    ],
    ["Span that is read", `${f(reader, spanOf(element) ?? 0, 1)} mm, the longest`],
  ];
}
