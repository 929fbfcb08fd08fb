import { formatNumber } from "~/app/features/words/figure";
import { parseNumber } from "~/core/quantity";
import {
  type BeltElement,
  type ChainElement,
  type Idler,
  type Moved,
  ratiosOf,
  type StagePath,
  spanOf,
} from "~/core/stages";
import type { AdjusterMeans } from "~/data/queries/stages";
import { numberText as n } from "../../form/number-text";
import { lines, over0, type Reading, type Texts } from "../field-readers";
import type { Figure } from "../kind-form";

const f = (value: number, decimals = 3) => formatNumber(value, decimals);

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

export function readRun(read: Reading): { centreDistanceMm: number; idlers: Idler[]; moved: Moved } {
  const idlers = readIdlers(read);
  const which = read.text("moved");
  const moved: Moved = which === "" || which === "centres" ? "centres" : Number(which);
  read.want("moved", moved === "centres" || moved < idlers.length, "no-such-idler");
  return { centreDistanceMm: over0(read, "centres"), idlers, moved };
}

export function readBelt(read: Reading) {
  const stiffness = read.has("stiffness") ? read.force("stiffness") : null;
  read.want("stiffness", stiffness === null || stiffness > 0, "too-small");
  return {
    ...readRun(read),
    massKgPerM: read.number("mass"),
    stiffnessN: stiffness,
    bendingStiffnessNMm2: read.numberOr("bending", 0),
  };
}

/** "150 -40 60 outside lower", one idler a line: x and y from the driver's middle, diameter, side, strand. */
function readIdlers(read: Reading): Idler[] {
  return lines(read.text("idlers")).flatMap((line): Idler[] => {
    const [x, y, d, ...words] = line.split(/\s+/);
    const [px, py, pd] = [x, y, d].map((part) => parseNumber(part ?? ""));
    const side = words.find((word) => word === "inside" || word === "outside");
    const strand = words.find((word) => word === "lower" || word === "upper");
    if (!px?.ok || !py?.ok || !pd?.ok || pd.value <= 0) {
      read.problems.idlers = { code: "not-an-idler", path: ["idlers"], facts: { text: line } };
      return [];
    }
    return [
      {
        x: px.value,
        y: py.value,
        diameterMm: pd.value,
        side: (side ?? "outside") as Idler["side"],
        strand: (strand ?? (py.value > 0 ? "upper" : "lower")) as Idler["strand"],
      },
    ];
  });
}

export const runTexts = ({ kind, centreDistanceMm, idlers, moved }: BeltElement | ChainElement): Texts => ({
  kind,
  centres: n(centreDistanceMm),
  idlers: idlers
    .map(({ x, y, diameterMm, side, strand }) => `${n(x)} ${n(y)} ${n(diameterMm)} ${side} ${strand}`)
    .join("\n"),
  moved: String(moved),
});

export const beltTexts = (element: BeltElement): Texts => ({
  ...runTexts(element),
  mass: n(element.massKgPerM),
  stiffness: n(element.stiffnessN),
  bending: element.bendingStiffnessNMm2 === 0 ? "" : n(element.bendingStiffnessNMm2),
});

/** Wraps on driver and driven, degrees. */
export const wrapsOf = ({ laid, driven }: StagePath): readonly [number, number] => [
  laid.wraps[0]?.deg ?? 0,
  laid.wraps[driven]?.deg ?? 0,
];

/** @param lengthMm of the belt */
export function beltFigures(element: BeltElement, path: StagePath, lengthMm: number): Figure[] {
  const { laid } = path;
  const [first, second] = wrapsOf(path);
  return [
    ["Ratio", f(Math.abs(ratiosOf(element)[0]?.ratio ?? 1))],
    [
      "Path",
      `${f(laid.lengthMm, 2)} mm; the belt has ${f(lengthMm, 2)} mm, ${f(Math.abs(lengthMm - laid.lengthMm), 2)} ${lengthMm < laid.lengthMm ? "to stretch" : "to take up"}`,
    ],
    ["Wrap", `${f(first, 1)}° and ${f(second, 1)}°`],
    ["Span that is read", `${f(spanOf(element) ?? 0, 1)} mm, the longest`],
  ];
}
