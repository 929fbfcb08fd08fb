import { spoken } from "./spoken";

/** As many decimals as the torque needs: 9 N·m, 1.2 N·m, 0.45 N·m. */
export function torqueWords(torqueNm: number): string {
  const digits = torqueNm >= 100 ? 0 : torqueNm >= 10 ? 1 : 2;
  return spoken("N·m", decimalsOf(torqueNm, digits)).said(torqueNm);
}

/** No more decimals than there is something in. */
function decimalsOf(value: number, most: number): number {
  for (let digits = 0; digits < most; digits++)
    if (Math.abs(value - Number(value.toFixed(digits))) < 10 ** -most / 2) return digits;
  return most;
}
