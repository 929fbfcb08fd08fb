type Point = readonly [x: number, y: number];

const polar = (radius: number, angle: number): Point => [radius * Math.sin(angle), -radius * Math.cos(angle)];

/**
 * The outline of a sprocket for drawing: tips between round seats, simplified (ISO 606 leaves the tooth form open between two limits).
 * Tooth 0 stands at angle 0; angles go clockwise from the top of the sheet, y downwards.
 *
 * @returns for each tooth its closed run of points, mm from the middle
 */
export function sprocketOutlines(teeth: number, pitchMm: number): Point[][] {
  const pitchRadius = pitchMm / (2 * Math.sin(Math.PI / teeth));
  // Rollers have five eighths of the pitch as diameter.
  const root = pitchRadius - 0.3125 * pitchMm;
  const tip = pitchRadius + 0.3 * pitchMm;
  const step = (2 * Math.PI) / teeth;
  return Array.from({ length: teeth }, (_, i) => {
    const at = i * step;
    return [
      polar(root, at - 0.36 * step),
      polar(pitchRadius, at - 0.22 * step),
      polar(tip, at - 0.07 * step),
      polar(tip, at + 0.07 * step),
      polar(pitchRadius, at + 0.22 * step),
      polar(root, at + 0.36 * step),
    ];
  });
}
