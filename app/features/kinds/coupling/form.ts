import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import type { CouplingEnd } from "~/core/couplings";
import { choice, over0, over0Or, type Reading, type Texts } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import type { Figure, KindForm } from "../kind-form";
import { CouplingFields } from "./fields";

const makes = ["jaw", "disc", "bellows", "gear", "rigid"] as const;
const endNames = ["end1", "end2"] as const;

export const coupling: KindForm<"coupling"> = {
  Fields: CouplingFields,
  read: (read) => ({
    kind: "coupling",
    make: choice(read, "couplingMake", makes),
    ends: [endOf(read, "end1"), endOf(read, "end2")],
    rimDiameterMm: over0(read, "rimDiameter"),
    gapMm: gapOf(read),
    allow: {
      ...given("radialMm", over0Or(read, "allowRadial", undefined)),
      ...given("angularDeg", allowedAngle(read)),
      ...given("axialMm", over0Or(read, "allowAxial", undefined)),
    },
    rpm: speedOf(read),
    feet: feetOf(read),
  }),
  texts: (reader, { make, ends, rimDiameterMm, gapMm, allow, rpm, feet }) => ({
    kind: "coupling",
    couplingMake: make,
    ...Object.assign({}, ...ends.map((end, i) => endTexts(reader, endNames[i] ?? "end1", end))),
    rimDiameter: n(reader, rimDiameterMm),
    hubGap: n(reader, gapMm),
    rpm: n(reader, rpm ?? undefined),
    allowRadial: n(reader, allow.radialMm),
    allowAngular: n(reader, allow.angularDeg),
    allowAxial: n(reader, allow.axialMm),
    frontFeet: n(reader, feet?.frontMm),
    rearFeet: n(reader, feet?.rearMm),
  }),
  figures: (reader, { ends }) =>
    ends.map((end, i): Figure => {
      const play = (value: number) => `${formatNumber(reader, value, 3)} mm`;
      const held =
        end.hold === "key"
          ? `, key ${play(end.key.slotMm - end.key.keyMm)} in its slot`
          : end.hold === "flat"
            ? `, flat ${play(end.flat.boreMm - end.flat.shaftMm)}`
            : "";
      return [
        i === 0 ? "Play on the driver" : "Play on the driven",
        `bore ${play(end.boreMm - end.shaftMm)}${held}; 0 to 0.05 is good (common practice)`,
      ];
    }),
  turned: "no",
  usualLimits: "shaft-offset",
  AskedFor: null,
  Recommend: null,
  byRule: null,
  noRule:
    "The rule goes by the speed: enter it above, or take the maker's limits. What a coupling allows is what it survives, not what to align to.",
  means: ["shims"],
  moved: () => null,
  ways: () => null,
  shims: { label: "Height a mm of shim", drawn: ["base", "foot", "height"], remark: "" },
};

const given = <K extends string>(key: K, value: number | undefined): { [k in K]?: number } =>
  value === undefined ? {} : ({ [key]: value } as { [k in K]?: number });

export function endOf(read: Reading, name: (typeof endNames)[number]): CouplingEnd {
  const shaft = { shaftMm: over0(read, `${name}.shaft`), boreMm: over0(read, `${name}.bore`) };
  const hold = choice(read, `${name}.hold`, ["key", "flat", "clamp"]);
  if (hold === "clamp") return { ...shaft, hold };
  const [inner, outer] = [over0(read, `${name}.inner`), over0(read, `${name}.outer`)];
  return hold === "key"
    ? { ...shaft, hold, key: { keyMm: inner, slotMm: outer } }
    : { ...shaft, hold, flat: { shaftMm: inner, boreMm: outer } };
}

function endTexts(reader: Reader, name: string, end: CouplingEnd): Texts {
  const held =
    end.hold === "key"
      ? [end.key.keyMm, end.key.slotMm]
      : end.hold === "flat"
        ? [end.flat.shaftMm, end.flat.boreMm]
        : [];
  return {
    [`${name}.shaft`]: n(reader, end.shaftMm),
    [`${name}.bore`]: n(reader, end.boreMm),
    [`${name}.hold`]: end.hold,
    [`${name}.inner`]: n(reader, held[0]),
    [`${name}.outer`]: n(reader, held[1]),
  };
}

function gapOf(read: Reading): number {
  const value = read.length("hubGap");
  read.want("hubGap", value >= 0, "too-small");
  return value;
}

function speedOf(read: Reading): number | null {
  if (!read.has("rpm")) return null;
  const value = read.number("rpm");
  read.want("rpm", value > 0, "too-small");
  return value;
}

function allowedAngle(read: Reading): number | undefined {
  if (!read.has("allowAngular")) return undefined;
  const value = read.angleOr("allowAngular", 0);
  read.want("allowAngular", value > 0, "too-small");
  return value;
}

/** Both or neither, the front ones nearer to the coupling. */
function feetOf(read: Reading): { frontMm: number; rearMm: number } | null {
  if (!read.has("frontFeet") && !read.has("rearFeet")) return null;
  const [frontMm, rearMm] = [over0(read, "frontFeet"), over0(read, "rearFeet")];
  read.want("rearFeet", rearMm > frontMm, "window-upside-down");
  return { frontMm, rearMm };
}
