import { mirroredText } from "../guides";
import type { ShaftFields, ShaftPart } from "./schema";

/**
 * The same shaft for a machine of the other hand: seen from the same side it runs the other way round, so the parts change their order,
 * planes are measured from what was the right face, and texts change left and right. Planes that meet another shaft stay tied to it.
 * A plane from the left face can only be turned where the length is known as drawn: else it is left out, to be said anew.
 */
export function mirroredShaft(shaft: ShaftFields): ShaftFields {
  const { lengthMm } = shaft;
  const turned = (part: ShaftPart): ShaftPart["plane"] => {
    if (!part.plane) return null;
    const { at, onPartMm, toleranceMm } = part.plane;
    if (onPartMm !== null && part.widthMm === null) return null;
    const plane = {
      onPartMm: onPartMm === null || part.widthMm === null ? null : rounded(part.widthMm - onPartMm),
      toleranceMm,
    };
    if (!("fromFaceMm" in at)) return { ...plane, at };
    return lengthMm === null ? null : { ...plane, at: { fromFaceMm: rounded(lengthMm - at.fromFaceMm) } };
  };
  return {
    ...shaft,
    name: mirroredText(shaft.name),
    leftFace: mirroredText(shaft.rightFace),
    rightFace: mirroredText(shaft.leftFace),
    leftFaceAtMm: null,
    parts: [...shaft.parts].reverse().map((part) => ({
      ...part,
      name: mirroredText(part.name),
      clocking: mirroredText(part.clocking),
      facing: mirroredText(part.facing),
      plane: turned(part),
    })),
  };
}

const rounded = (mm: number): number => Number(mm.toFixed(6));
