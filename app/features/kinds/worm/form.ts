import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { wormFriction } from "~/core/stages";
import { wormEfficiency, wormPair } from "~/core/worms";
import { choice, count, over0, pitch, pressureAngle } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import type { KindForm } from "../kind-form";
import { WormFields } from "./fields";

const f = (reader: Reader, value: number, decimals = 3) => formatNumber(reader, value, decimals);

export const worm: KindForm<"worm"> = {
  Fields: WormFields,
  read: (read) => ({
    kind: "worm",
    hand: choice(read, "hand", ["right", "left"]),
    worm: {
      wormStarts: count(read, "starts", 1),
      wheelTeeth: count(read, "z2", 3),
      axialModuleMm: pitch(read, "pitch"),
      wormPitchDiameterMm: over0(read, "d1"),
      pressureAngleDeg: pressureAngle(read),
      centreDistanceMm: over0(read, "centres"),
    },
  }),
  texts: (reader, { worm: w, hand }) => ({
    kind: "worm",
    hand,
    starts: String(w.wormStarts),
    z2: String(w.wheelTeeth),
    pitch: n(reader, w.axialModuleMm),
    d1: n(reader, w.wormPitchDiameterMm),
    alpha: n(reader, w.pressureAngleDeg),
    centres: n(reader, w.centreDistanceMm),
  }),
  figures: (reader, element) => {
    const pair = wormPair(element.worm);
    return [
      ["Ratio", f(reader, pair.ratio)],
      ["Lead angle", `${f(reader, pair.leadAngleDeg, 2)}°, tan γ = z1·m_x/d1`],
      ["Nominal centres", `${f(reader, pair.nominalCentreDistanceMm)} mm, (d1 + z2·m_x)/2`],
      [
        "A tenth of centres",
        `${f(reader, pair.backlashPerCentreMm / 10)} mm at the wheel (2·tan ${f(reader, pair.axialPressureAngleDeg, 2)}°)`,
      ],
      [
        "Efficiency, worm driving",
        `${f(reader, 100 * wormEfficiency(element.worm, wormFriction), 0)} % at a friction of ${f(reader, wormFriction, 2)} (common practice)`,
      ],
    ];
  },
  turned: "arc",
  usualLimits: "circumferential-backlash",
  AskedFor: null,
  Recommend: null,
  byRule: null,
  noRule: "No rule is known here: take the maker's or the drawing's.",
  means: ["jack-screw", "slot", "eccentric", "shims"],
  moved: () => "pinion",
  ways: () => null,
  shims: { label: "Centres a mm of shim", drawn: ["gear", "part", "centres"], remark: "" },
};
