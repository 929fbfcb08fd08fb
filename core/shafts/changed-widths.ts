type Width = {
  key: string;
  name: string;
  mm: number;
  typed: readonly string[] | null;
  expandedUncertaintyMm: number | null;
};
export type ChangedWidth = { key: string; name: string; byMm: number; expandedUncertaintyMm: number };

/**
 * Parts whose width differs from when they were last measured by more than both measurements leave in doubt: worn, or another part. Below 0
 * it is narrower now. What was not measured both times, or nobody knows how well, is not compared.
 *
 * @source JCGM 100:2008, 5.1.2: the two uncertainties in quadrature
 */
export function changedWidths(before: readonly Width[], now: readonly Width[]): ChangedWidth[] {
  return now.flatMap((part) => {
    const was = before.find(({ key }) => key === part.key);
    if (!was?.typed || !part.typed || was.expandedUncertaintyMm === null || part.expandedUncertaintyMm === null)
      return [];
    const u = Math.hypot(was.expandedUncertaintyMm, part.expandedUncertaintyMm);
    const byMm = Number((part.mm - was.mm).toFixed(6));
    return Math.abs(byMm) > u ? [{ key: part.key, name: part.name, byMm, expandedUncertaintyMm: u }] : [];
  });
}
