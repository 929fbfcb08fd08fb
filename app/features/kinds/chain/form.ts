import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { chainDrive } from "~/core/chains";
import { spanOf, stagePath } from "~/core/stages";
import { bothTeeth, count, over0 } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import type { Figure, KindForm } from "../kind-form";
import { idlerWraps, movedByRun, runMeans, runShims, runTexts } from "../runs/form";
import { IdlerDrawing } from "../runs/idler-drawing";
import { withRun } from "../runs/idlers";
import { ChainFields } from "./fields";

const f = (reader: Reader, value: number, decimals = 3) => formatNumber(reader, value, decimals);

export const chain: KindForm<"chain"> = {
  Fields: ChainFields,
  read: (read) =>
    withRun(read, (run) => ({
      kind: "chain",
      pitchMm: over0(read, "beltPitch"),
      teeth: bothTeeth(read),
      links: count(read, "links", 4),
      ...run,
      inclinationDeg: read.angleOr("incline", 0),
    })),
  texts: (reader, element) => ({
    ...runTexts(reader, element),
    beltPitch: n(reader, element.pitchMm),
    z1: String(element.teeth[0]),
    z2: String(element.teeth[1]),
    links: String(element.links),
    incline: n(reader, element.inclinationDeg),
  }),
  figures: (reader, element) => {
    const { pitchMm, teeth, links, idlers } = element;
    const drive = chainDrive({ pitchMm, teeth }, { links });
    const path = stagePath(element);
    if (!drive.ok || !path.ok) return [];
    const need = path.value.laid.lengthMm / pitchMm;
    const straight: Figure[] =
      idlers.length === 0 && drive.value.centreDistanceMm
        ? [["Straight at", `${f(reader, drive.value.centreDistanceMm, 2)} mm of centres`]]
        : [];
    return [
      ["Ratio", f(reader, drive.value.ratio)],
      ["Links on this path", `${f(reader, need, 2)}; ${links} are fitted, ${f(reader, links - need, 2)} over`],
      ...straight,
      ...(idlers.length > 0 ? [["Wrap", idlerWraps(reader, path.value).join("; ")] as const] : []),
      ["Slack span", `${f(reader, spanOf(element) ?? 0, 1)} mm`],
      ["Unevenness", `${f(reader, drive.value.chordalSpeedVariationPercent[0], 2)} % of speed (1 − cos 180°/z)`],
    ];
  },
  Drawn: IdlerDrawing,
  turned: "whole",
  usualLimits: "sag",
  AskedFor: null,
  Recommend: null,
  byRule: null,
  noRule: "No rule is known here: take the maker's or the drawing's.",
  means: runMeans,
  moved: movedByRun,
  ways: () => null,
  shims: runShims,
};
