import { everyPlaceNamed } from "~/core/stages/kinds/gap/given";
import { ChoiceField } from "../../form/choice-field";
import { choice, count, over0 } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import type { KindForm } from "../kind-form";
import { GapFields } from "./fields";

const namesIn = (text: string): string[] =>
  text
    .split(/[,;]/)
    .map((name) => name.trim())
    .filter(Boolean);

export const gap: KindForm<"gap"> = {
  Fields: GapFields,
  read: (read) => {
    const names = namesIn(read.text("gapNames"));
    const places = read.has("gapPlaces") ? count(read, "gapPlaces", 1) : Math.max(1, names.length);
    read.want("gapNames", names.length === 0 || everyPlaceNamed(names, places), "places-not-named");
    return {
      kind: "gap",
      what: choice(read, "gapWhat", ["end-float", "pinion-clearance", "running-clearance"]),
      places,
      ...(names.length > 0 ? { names } : {}),
      diameterMm: over0(read, "gapDiameter"),
    };
  },
  texts: (reader, { what, places, names, diameterMm }) => ({
    kind: "gap",
    gapWhat: what,
    gapPlaces: String(places),
    gapNames: names?.join(", ") ?? "",
    gapDiameter: n(reader, diameterMm),
  }),
  figures: () => [["A millimetre of shim", "a millimetre of gap, unless the adjuster says otherwise"]],
  turned: "no",
  usualLimits: "gap",
  AskedFor: ({ element }) =>
    element.what === "end-float" ? (
      <ChoiceField
        name="rec.bearing"
        legend="Bearings"
        usual="ball"
        options={[
          { value: "ball", label: "ball" },
          { value: "taper", label: "taper" },
          { value: "bush", label: "bush" },
        ]}
      />
    ) : null,
  Recommend: null,
  byRule: null,
  noRule: "No rule is known here: take the maker's or the drawing's.",
  means: ["shims", "spacers"],
  moved: () => null,
  ways: () => null,
  shims: { label: "Gap a mm of shim", drawn: ["face", "face", "gap"], remark: "" },
};
