import { formatNumber } from "~/app/features/words/figure";
import { lengthUnit, lengthWords } from "~/app/features/words/spoken";
import { gearPair as meshOf } from "~/core/gears";
import type { KindWords } from "../kind-words";
import { shortFigure as f } from "../plain-words";
import { toothedWords } from "../toothed/words";

export const gearPair: KindWords<"gear-pair"> = {
  ...toothedWords,
  name: "gear pair",
  caution:
    "Gears: no hand, paper or rag in a mesh that has power; turned by hand, fingers away from where the teeth run in.",
  size: (_, { pair }) => pair.teeth.join(" : "),
  line: (reader, { pair, gears }, head) => {
    const helix = pair.helixAngleDeg;
    const slant = helix === 0 ? "" : `, helix ${f(reader, Math.abs(helix), 1)}° ${helix > 0 ? "right" : "left"}`;
    return `${head}, module ${f(reader, pair.moduleMm)}${slant}${pair.internal ? ", internal" : ""}${gears ? `, ${gears.length + 1} gears` : ""}`;
  },
  madeOf: ({ parts }) => parts.materials?.filter(Boolean).join(" and ") ?? "",
  beforeReading: ({ pair }) =>
    `Rock the shafts in their bearings first: play there makes every reading a lie. Read with the clamps at full torque.${pair.helixAngleDeg === 0 ? "" : " Helical gears push along their shafts: read the end float both ways, apart from this."}`,
  // Inside a ring the centres go the other way.
  parting: ({ pair }, way) => (pair.internal !== (way === "apart") ? "Part the centres" : "Bring the centres together"),
  sensitivity: (reader, { pair }, sensitivity) => {
    const mesh = meshOf(pair);
    const angle = mesh.ok ? mesh.value.workingPressureAngleDeg : 20;
    const length = lengthUnit(reader);
    return `2·tan ${formatNumber(reader, angle, 2)}° = ${formatNumber(reader, sensitivity, 3)} ${length} of backlash for each ${length} of centre distance (ISO 21771)`;
  },
  waves: (reader, { pair }, { harmonics, residual }) => {
    const mesh = meshOf(pair);
    const slope = mesh.ok ? Math.abs(mesh.value.backlashPerCentreMm) : 1;
    const off = (amplitude: number) => lengthWords(reader, amplitude / slope, 3);
    const pinion = harmonics.pinion ? `, pinion ${off(harmonics.pinion.amplitude)}` : "; pinion not to be told apart";
    return `gear ${off(harmonics.gear.amplitude)} off centre${pinion}; rest ${lengthWords(reader, residual, 3)}`;
  },
  side: ({ pair }, quantity) =>
    quantity === "end-float" && pair.helixAngleDeg !== 0
      ? " A helical gear pushes along its shaft, and to the other side when it turns back."
      : "",
  thrust: { driver: "pinion", driven: "gear", seen: "seen from where it is driven", friction: "without friction" },
};
