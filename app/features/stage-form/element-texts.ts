import type { Idler, StageElement } from "~/core/stages";
import { numberText as n } from "./number-text";
import type { Texts } from "./reader";

/** The fields of an element that is there already. */
export function textsOfElement(element: StageElement): Texts {
  const { kind } = element;
  switch (kind) {
    case "gear-pair": {
      const { pair, parts, gears, gearName } = element;
      return {
        kind,
        z1: String(pair.teeth[0]),
        z2: String(pair.teeth[1]),
        pitch: n(pair.moduleMm),
        alpha: n(pair.pressureAngleDeg),
        helix: pair.helixAngleDeg === 0 ? "" : n(Math.abs(pair.helixAngleDeg)),
        helixHand: pair.helixAngleDeg < 0 ? "left" : "right",
        x1: n(pair.profileShift[0]),
        x2: n(pair.profileShift[1]),
        thin1: pair.thinningMm[0] === 0 ? "" : n(pair.thinningMm[0]),
        thin2: pair.thinningMm[1] === 0 ? "" : n(pair.thinningMm[1]),
        face: n(pair.faceWidthMm),
        centres: n(pair.centreDistanceMm),
        internal: pair.internal ? "yes" : "",
        material1: parts.materials?.[0] ?? "",
        material2: parts.materials?.[1] ?? "",
        bore1: n(parts.boresMm?.[0]),
        bore2: n(parts.boresMm?.[1]),
        key1: n(parts.keywaysMm?.[0]),
        key2: n(parts.keywaysMm?.[1]),
        pitch2: n(parts.gearModuleMm),
        switches: gears ? "yes" : "",
        gearName: gearName ?? "",
        gears: (gears ?? [])
          .map(({ name, teeth, profileShift }) => [name, ...teeth, ...profileShift.map((x) => n(x))].join(" "))
          .join("\n"),
      };
    }
    case "worm": {
      const { worm, hand } = element;
      return {
        kind,
        hand,
        starts: String(worm.wormStarts),
        z2: String(worm.wheelTeeth),
        pitch: n(worm.axialModuleMm),
        d1: n(worm.wormPitchDiameterMm),
        alpha: n(worm.pressureAngleDeg),
        centres: n(worm.centreDistanceMm),
      };
    }
    case "bevel": {
      const { bevel, shimmed, faceWidthMm } = element;
      return {
        kind,
        shimmed,
        z1: String(bevel.teeth[0]),
        z2: String(bevel.teeth[1]),
        pitch: n(bevel.moduleMm),
        shafts: n(bevel.shaftAngleDeg),
        alpha: n(bevel.pressureAngleDeg),
        spiral: bevel.spiralAngleDeg === 0 ? "" : n(Math.abs(bevel.spiralAngleDeg)),
        hand: bevel.spiralAngleDeg < 0 ? "left" : "right",
        face: n(faceWidthMm),
      };
    }
    case "planetary": {
      const { set } = element;
      return {
        kind,
        planetary: set.kind === "simple" ? "simple" : "compound",
        sun: String(set.sun),
        planets: String(set.planets),
        planetA: String(set.planet[0]),
        planetB: n(set.planet[1]),
        ring1: String(set.ring[0]),
        ring2: n(set.ring[1]),
        pitch: n(set.moduleMm),
        fixed: set.fixed,
        input: set.input,
        output: set.output,
      };
    }
    case "toothed-belt":
      return {
        ...runTexts(element),
        beltPitch: n(element.pitchMm),
        z1: String(element.teeth[0]),
        z2: String(element.teeth[1]),
        beltTeeth: String(element.beltTeeth),
      };
    case "v-belt":
      return {
        ...runTexts(element),
        d1: n(element.pitchDiameterMm[0]),
        d2: n(element.pitchDiameterMm[1]),
        beltLength: n(element.lengthMm),
        belts: String(element.belts),
      };
    case "chain":
      return {
        ...runTexts(element),
        beltPitch: n(element.pitchMm),
        z1: String(element.teeth[0]),
        z2: String(element.teeth[1]),
        links: String(element.links),
        incline: n(element.inclinationDeg),
      };
    case "gap":
      return { kind, gapWhat: element.what, gapPlaces: String(element.places), gapDiameter: n(element.diameterMm) };
  }
}

function runTexts(element: Extract<StageElement, { idlers: readonly Idler[] }>): Texts {
  return {
    kind: element.kind,
    centres: n(element.centreDistanceMm),
    idlers: element.idlers
      .map(({ x, y, diameterMm, side, strand }) => `${n(x)} ${n(y)} ${n(diameterMm)} ${side} ${strand}`)
      .join("\n"),
    moved: String(element.moved),
    ...("massKgPerM" in element
      ? {
          mass: n(element.massKgPerM),
          stiffness: n(element.stiffnessN),
          bending: element.bendingStiffnessNMm2 === 0 ? "" : n(element.bendingStiffnessNMm2),
        }
      : {}),
  };
}
