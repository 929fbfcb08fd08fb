import { judge, type Verdict } from "../limits";

/** Lengths in mm; uncertainties expanded, k = 2, null where nobody knows them. */
export type ReadWidth = { mm: number; expandedUncertaintyMm: number | null };
export type ShaftRead = {
  length: ReadWidth;
  /** In order from the left face. */
  parts: readonly (ReadWidth & {
    key: string;
    planeMm?: { onPartMm: number; wantedMm: number; toleranceMm: number };
  })[];
  /** What lies before each part, and behind the last one. */
  laidMm: readonly number[];
  endFloat: { loMm: number; hiMm: number };
  /** As read with the indicator; null: not read. */
  floatRead: ReadWidth | null;
};

export type ShaftStands = {
  parts: { key: string; leftMm: number }[];
  planes: {
    key: string;
    atMm: number;
    /** Positive: it stands too far to the right. */
    errorMm: number;
    expandedUncertaintyMm: number | null;
    /** null: its uncertainty is not known. */
    verdict: Verdict | null;
  }[];
  endFloat: {
    /** Length less everything; below 0 the parts overlap the faces. */
    reckonedMm: number;
    expandedUncertaintyMm: number | null;
    verdict: Verdict | null;
    /** Whether what was read agrees with what was reckoned, within both uncertainties; null: not read, or not to be told. */
    closes: boolean | null;
    /** Read less reckoned. */
    apartMm: number | null;
  };
};

/**
 * Where everything on a shaft stands, pushed to the left face, and what each window says of it. The uncertainty of a plane is that of
 * every width before it, half of its own part's where the plane is its middle; that of the end float is that of all widths and of the
 * length, added in quadrature. Spacers are taken as the drawer has them. Where the end float was read, that reading is judged; else
 * what is left by reckoning.
 *
 * @source JCGM 100:2008, 5.1.2 (independent parts in quadrature); decision rule ISO 14253-1
 */
export function standOnShaft({ length, parts, laidMm, endFloat, floatRead }: ShaftRead): ShaftStands {
  let at = 0;
  const before: ReadWidth[] = [];
  const stands: ShaftStands = {
    parts: [],
    planes: [],
    endFloat: { reckonedMm: 0, expandedUncertaintyMm: null, verdict: null, closes: null, apartMm: null },
  };
  parts.forEach((part, i) => {
    at += laidMm[i] ?? 0;
    stands.parts.push({ key: part.key, leftMm: at });
    if (part.planeMm) {
      const { onPartMm, wantedMm, toleranceMm } = part.planeMm;
      const own = part.expandedUncertaintyMm;
      const share = Math.abs(onPartMm / part.mm);
      const u = quadrature([...before, { mm: 0, expandedUncertaintyMm: own === null ? null : own * share }]);
      const errorMm = clean(at + onPartMm - wantedMm);
      stands.planes.push({
        key: part.key,
        atMm: clean(at + onPartMm),
        errorMm,
        expandedUncertaintyMm: u,
        verdict: u === null ? null : judge(errorMm, { lo: -toleranceMm, hi: toleranceMm }, u).verdict,
      });
    }
    at += part.mm;
    before.push(part);
  });
  at += laidMm[parts.length] ?? 0;
  const reckonedMm = clean(length.mm - at);
  const u = quadrature([...before, length]);
  const window = { lo: endFloat.loMm, hi: endFloat.hiMm };
  const judged = floatRead ?? { mm: reckonedMm, expandedUncertaintyMm: u };
  const apartMm = floatRead && clean(floatRead.mm - reckonedMm);
  const both = floatRead && quadrature([floatRead, { mm: 0, expandedUncertaintyMm: u }]);
  stands.endFloat = {
    reckonedMm,
    expandedUncertaintyMm: u,
    verdict:
      judged.expandedUncertaintyMm === null ? null : judge(judged.mm, window, judged.expandedUncertaintyMm).verdict,
    closes: apartMm === null || both === null ? null : Math.abs(apartMm) <= both + 1e-9,
    apartMm,
  };
  return stands;
}

function quadrature(widths: readonly ReadWidth[]): number | null {
  let sum = 0;
  for (const { expandedUncertaintyMm: u } of widths) {
    if (u === null) return null;
    sum += u * u;
  }
  return Math.sqrt(sum);
}

/** To a nanometre, so that binary fractions do not decide. */
const clean = (mm: number): number => Number(mm.toFixed(6)) + 0;

/** The mean of repeats, and its uncertainty: the instrument's, or half of what they spread where that is more. */
export function readWidth(readings: readonly number[], expandedUncertaintyMm: number | null): ReadWidth {
  const mm = readings.reduce((sum, one) => sum + one, 0) / readings.length;
  const half = (Math.max(...readings) - Math.min(...readings)) / 2;
  return { mm, expandedUncertaintyMm: expandedUncertaintyMm === null ? null : Math.max(expandedUncertaintyMm, half) };
}
