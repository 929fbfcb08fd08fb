import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { bevelPair } from "~/core/bevels";
import { bothTeeth, choice, over0Or, pitch, pressureAngle, slant } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import type { KindForm } from "../kind-form";
import { BevelFields } from "./fields";

const f = (reader: Reader, value: number, decimals = 3) => formatNumber(reader, value, decimals);

export const bevel: KindForm<"bevel"> = {
  Fields: BevelFields,
  read: (read) => {
    const shafts = read.angleOr("shafts", 90);
    read.want("shafts", shafts > 0 && shafts < 180, "angle-out-of-turn");
    const face = over0Or(read, "face", undefined);
    return {
      kind: "bevel",
      shimmed: choice(read, "shimmed", ["gear", "pinion"]),
      ...(face === undefined ? {} : { faceWidthMm: face }),
      bevel: {
        teeth: bothTeeth(read),
        moduleMm: pitch(read, "pitch"),
        shaftAngleDeg: shafts,
        pressureAngleDeg: pressureAngle(read),
        spiralAngleDeg: slant(read, "spiral", "hand"),
      },
    };
  },
  texts: (reader, { bevel: pair, shimmed, faceWidthMm }) => ({
    kind: "bevel",
    shimmed,
    z1: String(pair.teeth[0]),
    z2: String(pair.teeth[1]),
    pitch: n(reader, pair.moduleMm),
    shafts: n(reader, pair.shaftAngleDeg),
    alpha: n(reader, pair.pressureAngleDeg),
    spiral: pair.spiralAngleDeg === 0 ? "" : n(reader, Math.abs(pair.spiralAngleDeg)),
    hand: pair.spiralAngleDeg < 0 ? "left" : "right",
    face: n(reader, faceWidthMm),
  }),
  figures: (reader, element) => {
    const pair = bevelPair(element.bevel);
    return [
      ["Ratio", f(reader, element.bevel.teeth[1] / element.bevel.teeth[0])],
      [
        "Pitch angles",
        `${f(reader, pair.pitchAngleDeg[0], 2)}° and ${f(reader, pair.pitchAngleDeg[1], 2)}° (ISO 23509)`,
      ],
      ["Cone distance", `${f(reader, pair.coneDistanceMm, 2)} mm, outer`],
      [
        "A tenth of shim",
        `pinion ${f(reader, pair.backlashPerAxialMm[0] / 10)} mm, gear ${f(reader, pair.backlashPerAxialMm[1] / 10)} mm of backlash (2·tan α·sin δ/cos β)`,
      ],
    ];
  },
  turned: "arc",
  usualLimits: "circumferential-backlash",
  AskedFor: null,
  Recommend: null,
  byRule: null,
  noRule: "No rule is known here: take the maker's or the drawing's.",
  means: ["shims", "spacers"],
  moved: () => null,
  ways: () => null,
  shims: {
    label: "Axial way a mm of shim",
    drawn: ["apex", "member", "way to the apex"],
    remark: "Behind a gear or pinion shims push it towards the apex.",
  },
};
