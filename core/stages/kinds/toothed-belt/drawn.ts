import { pulleyOutlines } from "../../../belts";
import { beltShapes, outlineRadii } from "../../runs/shapes";
import type { KindDrawn } from "../kind-drawn";

export const toothedBeltDrawn: KindDrawn<"toothed-belt"> = {
  shapes: (element) =>
    beltShapes(element, {
      role: "belt",
      thickMm: 0.3 * element.pitchMm,
      wheel: (member) => pulleyOutlines(element.teeth[member], element.pitchMm),
    }),
  outline: ({ teeth, pitchMm }) => {
    const outline = pulleyOutlines(teeth[1], pitchMm);
    return { outline, ...outlineRadii(outline) };
  },
};
