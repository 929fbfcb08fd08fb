import { type PrintableMesh, wholeDepthOf } from "../../printable";
import type { GearElement } from "./schema";

/** From so many times its teeth on a gear is a ring to its pinion: a print then goes by the whole error in depth (handbook of prints). */
const ringRatio = 5;

export function printedGear({ pair }: GearElement): PrintableMesh {
  const ring = pair.internal || pair.teeth[1] >= ringRatio * pair.teeth[0];
  return {
    kinds: ring ? ["ring-pinion", "spur"] : ["spur", "ring-pinion"],
    wholeDepthMm: wholeDepthOf(pair.moduleMm),
    faceWidthMm: pair.faceWidthMm ?? null,
    pressureAngleDeg: pair.pressureAngleDeg,
    spiral: false,
  };
}
