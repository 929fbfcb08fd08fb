import { bothTeeth, over0Or, pitch, pressureAngle, type Reading, slant } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import type { KindForm } from "../kind-form";
import { gearTexts, readGears } from "./other-gears";
import { positionTexts, readPositions, readSlide, slideTexts } from "./positions";

/** A gear pair as it is typed, read and written back. */
export const gearTyped: Pick<KindForm<"gear-pair">, "read" | "texts"> = {
  read: (read) => {
    const pair = readPair(read);
    const [boresMm, keywaysMm] = [bothOf(read, "bore"), bothOf(read, "key")];
    return {
      kind: "gear-pair",
      pair,
      parts: {
        ...(read.has("material1") || read.has("material2")
          ? { materials: [read.text("material1"), read.text("material2")] as const }
          : {}),
        ...(boresMm ? { boresMm } : {}),
        ...(keywaysMm ? { keywaysMm } : {}),
        ...(read.has("pitch2") ? { gearModuleMm: pitch(read, "pitch2") } : {}),
      },
      ...(read.text("switches") === "yes" ? readSwitch(read) : {}),
    };
  },
  texts: (reader, { pair, parts, gears, gearName, positions, slide }) => ({
    kind: "gear-pair",
    z1: String(pair.teeth[0]),
    z2: String(pair.teeth[1]),
    pitch: n(reader, pair.moduleMm),
    alpha: n(reader, pair.pressureAngleDeg),
    helix: pair.helixAngleDeg === 0 ? "" : n(reader, Math.abs(pair.helixAngleDeg)),
    helixHand: pair.helixAngleDeg < 0 ? "left" : "right",
    x1: n(reader, pair.profileShift[0]),
    x2: n(reader, pair.profileShift[1]),
    thin1: pair.thinningMm[0] === 0 ? "" : n(reader, pair.thinningMm[0]),
    thin2: pair.thinningMm[1] === 0 ? "" : n(reader, pair.thinningMm[1]),
    face: n(reader, pair.faceWidthMm),
    centres: n(reader, pair.centreDistanceMm),
    internal: pair.internal ? "yes" : "",
    material1: parts.materials?.[0] ?? "",
    material2: parts.materials?.[1] ?? "",
    bore1: n(reader, parts.boresMm?.[0]),
    bore2: n(reader, parts.boresMm?.[1]),
    key1: n(reader, parts.keywaysMm?.[0]),
    key2: n(reader, parts.keywaysMm?.[1]),
    pitch2: n(reader, parts.gearModuleMm),
    switches: gears ? "yes" : "",
    gearName: gearName ?? "",
    ...gearTexts(reader, gears ?? []),
    ...positionTexts(reader, positions ?? []),
    ...slideTexts(reader, slide),
  }),
};

function readSwitch(read: Reading) {
  const gearName = read.words("gearName");
  const gears = readGears(read);
  const names = [gearName, ...gears.map(({ name }) => name)];
  const positions = readPositions(read, names);
  return {
    gearName,
    gears,
    ...(positions.length > 0 ? { positions } : {}),
    ...(read.text("slides") === "yes" ? { slide: readSlide(read, names) } : {}),
  };
}

function readPair(read: Reading) {
  const face = over0Or(read, "face", undefined);
  const centres = over0Or(read, "centres", undefined);
  return {
    teeth: bothTeeth(read),
    moduleMm: pitch(read, "pitch"),
    pressureAngleDeg: pressureAngle(read),
    helixAngleDeg: slant(read, "helix", "helixHand"),
    profileShift: [read.numberOr("x1", 0), read.numberOr("x2", 0)] as const,
    thinningMm: [read.numberOr("thin1", 0), read.numberOr("thin2", 0)] as const,
    ...(face === undefined ? {} : { faceWidthMm: face }),
    internal: read.text("internal") === "yes",
    ...(centres === undefined ? {} : { centreDistanceMm: centres }),
  };
}

/** Of pinion and gear, what is known of either; null where nothing is. */
function bothOf(read: Reading, name: string): readonly [number | null, number | null] | null {
  const both = [over0Or(read, `${name}1`, null), over0Or(read, `${name}2`, null)] as const;
  return both.some((value) => value !== null) ? both : null;
}
