/**
 * Whether places go round the turn: no half of it lies unread. A wave is not told from less of it than that (common practice): fitted all
 * the same it would be drawn far beyond everything that was read.
 *
 * @param anglesDeg of the places read, cumulative
 */
export function goesRound(anglesDeg: readonly number[]): boolean {
  const places = anglesDeg.map((angle) => ((angle % 360) + 360) % 360).sort((a, b) => a - b);
  return places.every((place, i) => (places[i + 1] ?? (places[0] ?? 0) + 360) - place <= 180 + 1e-6);
}
