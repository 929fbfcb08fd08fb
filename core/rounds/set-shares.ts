import { type Strands, strands } from "../belts";
import { strandsLimitPercent, strandsVerdict, type Verdict } from "../limits";
import { type Frame, onBelt } from "../stages";

export type SetShares = Strands & { verdict: Verdict; limitPercent: number; uncertaintyPercent: number };

/**
 * How the belts of a set share their load, by the mean tension of each: they lie on one adjuster, so that what one carries too much another
 * carries too little, and no move mends it.
 *
 * @param readings tensions, N, by place
 * @param expandedUncertainty of one of them, N
 * @returns null where there is one belt, or not every belt was read
 */
export function setShares(
  frame: Frame,
  readings: readonly { tooth: number; value: number; struck: boolean }[],
  expandedUncertainty: number,
): SetShares | null {
  if (frame.belts < 2) return null;
  const tensions = Array.from({ length: frame.belts }, (_, i) => {
    const own = readings.filter(({ tooth, struck }) => !struck && onBelt(frame, tooth).belt === i + 1);
    return own.length === 0 ? null : own.reduce((sum, { value }) => sum + value, 0) / own.length;
  });
  const known = tensions.flatMap((value, i) => (value === null ? [] : [{ id: `${i + 1}`, value }]));
  if (known.length < frame.belts) return null;
  const shared = strands({ quantity: "tensionN", strands: known });
  if (!shared.ok) return null;
  const uncertaintyPercent = (100 * expandedUncertainty) / shared.value.aim;
  return {
    ...shared.value,
    verdict: strandsVerdict(shared.value.strands, strandsLimitPercent, uncertaintyPercent),
    limitPercent: strandsLimitPercent,
    uncertaintyPercent,
  };
}
