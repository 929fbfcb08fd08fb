type Point = readonly [x: number, y: number];

const polar = (radius: number, angle: number): Point => [radius * Math.sin(angle), -radius * Math.cos(angle)];

/** How far the tips of a toothed pulley lie inside the pitch line, as a part of the pitch (trapezoidal teeth; ISO 5294, from memory). */
const pitchLineDrop = 0.11;
/** Depth of the grooves, as a part of the pitch. */
const grooveDepth = 0.4;

/**
 * The outline of a toothed pulley for drawing: trapezoidal teeth, simplified. Tooth 0 stands at angle 0; angles go clockwise from the
 * top of the sheet, y downwards.
 *
 * @returns for each tooth its closed run of points, mm from the middle
 */
export function pulleyOutlines(teeth: number, pitchMm: number): Point[][] {
  const tip = (pitchMm * teeth) / (2 * Math.PI) - pitchLineDrop * pitchMm;
  const root = Math.max(tip * 0.5, tip - grooveDepth * pitchMm);
  const step = (2 * Math.PI) / teeth;
  return Array.from({ length: teeth }, (_, i) => {
    const at = i * step;
    return [
      polar(root, at - 0.3 * step),
      polar(tip, at - 0.2 * step),
      polar(tip, at + 0.2 * step),
      polar(root, at + 0.3 * step),
    ];
  });
}
