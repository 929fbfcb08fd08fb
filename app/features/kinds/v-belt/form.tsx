import { vBeltMass, vSections } from "~/core/belts";
import { stagePath } from "~/core/stages";
import { count, over0 } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import { TextField } from "../../form/text-field";
import type { KindForm } from "../kind-form";
import { beltFigures, beltTexts, movedByRun, readMatter, runMeans, runShims } from "../runs/form";
import { IdlerDrawing } from "../runs/idler-drawing";
import { withRun } from "../runs/idlers";
import { VBeltFields } from "./fields";

export const vBelt: KindForm<"v-belt"> = {
  Fields: VBeltFields,
  read: (read) => {
    const section = vSections.find((one) => one === read.text("section"));
    return withRun(read, (run) => ({
      kind: "v-belt",
      pitchDiameterMm: [over0(read, "d1"), over0(read, "d2")],
      lengthMm: over0(read, "beltLength"),
      belts: read.has("belts") ? count(read, "belts", 1) : 1,
      ...(section ? { section } : {}),
      ...run,
      ...readMatter(read, section ? vBeltMass(section) : null),
    }));
  },
  texts: (reader, element) => ({
    ...beltTexts(reader, element),
    d1: n(reader, element.pitchDiameterMm[0]),
    d2: n(reader, element.pitchDiameterMm[1]),
    beltLength: n(reader, element.lengthMm),
    belts: String(element.belts),
    section: element.section ?? "",
  }),
  figures: (reader, element) => {
    const path = stagePath(element);
    return path.ok ? beltFigures(reader, element, path.value, element.lengthMm) : [];
  },
  Drawn: IdlerDrawing,
  turned: "whole",
  usualLimits: "tension",
  AskedFor: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="rec.power" label="Power" hint="kW" />
      <TextField name="rec.speed" label="Belt speed" hint="m/s" />
    </div>
  ),
  Recommend: null,
  byRule: null,
  noRule: "With power and belt speed, a tension can be recommended.",
  means: runMeans,
  moved: movedByRun,
  ways: () => null,
  shims: runShims,
};
