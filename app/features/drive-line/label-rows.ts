export type Label = { id: string; text: string; x: number };
export type PlacedLabel = Label & { row: number; end: number };

/** Width of a letter at 16 px, roughly. */
export const letterPx = 8.8;
const gap = 14;

/**
 * Labels over a drawing, each beginning above its own point, in rows counted upwards from the drawing. A label stands above all whose
 * points lie under its text, so that no leader runs through a name.
 */
export function labelRows(labels: readonly Label[]): PlacedLabel[] {
  const placed: PlacedLabel[] = [];
  for (const label of [...labels].sort((a, b) => b.x - a.x)) {
    const end = label.x + label.text.length * letterPx;
    const under = placed.filter(({ x }) => x <= end + gap).map(({ row }) => row + 1);
    placed.push({ ...label, end, row: Math.max(0, ...under) });
  }
  return placed;
}
