import { sprocketOutlines } from "../../../chains";
import { type PartOutline, polar } from "../../../drawing";
import { beltShapes } from "../../runs/shapes";
import type { KindDrawn } from "../kind-drawn";

export const chainDrawn: KindDrawn<"chain"> = {
  shapes: (element) =>
    beltShapes(element, {
      role: "chain",
      thickMm: 0.3 * element.pitchMm,
      wheel: (member) => sprocketOutlines(element.teeth[member], element.pitchMm),
    }),
  outline: ({ links }) => chainRing(links),
};

/** A chain laid in a ring: outer and inner links in turn; of a real sprocket only a part of it ever lies on the teeth. */
function chainRing(links: number): PartOutline {
  const step = (2 * Math.PI) / links;
  const outline = Array.from({ length: links }, (_, i) => {
    const at = i * step;
    const out = i % 2 === 0 ? 1 : 0.985;
    return [
      polar(0.93, at - 0.42 * step),
      polar(out, at - 0.42 * step),
      polar(out, at + 0.42 * step),
      polar(0.93, at + 0.42 * step),
    ];
  });
  return { outline, tipRadius: 1, rootRadius: 0.93 };
}
