import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { beltDrive, toothedBeltMass, toothProfiles } from "~/core/belts";
import { stagePath, type ToothedBeltElement } from "~/core/stages";
import { bothTeeth, count, over0, over0Or } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import { TextField } from "../../form/text-field";
import type { Figure, KindForm } from "../kind-form";
import { beltFigures, beltTexts, movedByRun, readMatter, runMeans, runShims, wrapsOf } from "../runs/form";
import { IdlerDrawing } from "../runs/idler-drawing";
import { withRun } from "../runs/idlers";
import { ToothedBeltFields } from "./fields";

const f = (reader: Reader, value: number, decimals: number) => formatNumber(reader, value, decimals);

export const toothedBelt: KindForm<"toothed-belt"> = {
  Fields: ToothedBeltFields,
  read: (read) => {
    const pitchMm = over0(read, "beltPitch");
    const profile = toothProfiles.find((one) => one === read.text("profile"));
    const widthMm = over0Or(read, "beltWidth", undefined);
    return withRun(read, (run) => ({
      kind: "toothed-belt",
      pitchMm,
      teeth: bothTeeth(read),
      beltTeeth: count(read, "beltTeeth", 6),
      ...(profile ? { profile } : {}),
      ...(widthMm === undefined ? {} : { widthMm }),
      ...run,
      ...readMatter(read, profile && widthMm !== undefined ? toothedBeltMass(profile, pitchMm, widthMm) : null),
    }));
  },
  texts: (reader, element) => ({
    ...beltTexts(reader, element),
    beltPitch: n(reader, element.pitchMm),
    z1: String(element.teeth[0]),
    z2: String(element.teeth[1]),
    beltTeeth: String(element.beltTeeth),
    profile: element.profile ?? "",
    beltWidth: n(reader, element.widthMm),
  }),
  figures: (reader, element) => {
    const path = stagePath(element);
    if (!path.ok) return [];
    const [first, second] = wrapsOf(path.value);
    const { teeth, beltTeeth, pitchMm, idlers } = element;
    return [
      ...beltFigures(reader, element, path.value, beltTeeth * pitchMm),
      ["Teeth in mesh", `${f(reader, (teeth[0] * first) / 360, 1)} and ${f(reader, (teeth[1] * second) / 360, 1)}`],
      ...(idlers.length === 0 ? [beltsThatFit(reader, element)] : []),
    ];
  },
  Drawn: IdlerDrawing,
  turned: "whole",
  usualLimits: "tension",
  AskedFor: () => <TextField name="rec.torque" label="Torque at the driver" hint="N·m" className="max-w-60" />,
  Recommend: null,
  byRule: null,
  noRule: "With the torque, a tension can be recommended: half of the effective pull at least, all of it at most.",
  means: runMeans,
  moved: movedByRun,
  ways: () => null,
  shims: runShims,
};

function beltsThatFit(reader: Reader, { pitchMm, teeth, centreDistanceMm }: ToothedBeltElement): Figure {
  const belts = beltDrive({ by: "teeth", pitchMm, teeth }, { centreDistanceMm });
  const around = belts.ok ? (belts.value.nearestBelts ?? []) : [];
  return [
    "Belts that fit",
    around.map((belt) => `${belt.beltTeeth} teeth at ${f(reader, belt.centreDistanceMm, 2)} mm`).join(", "),
  ];
}
