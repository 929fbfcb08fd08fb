import { judge, type Verdict } from "../limits";
import { degrees, radians } from "../numerics";
import type { AxisElement } from "../stages";
import { type SwitchesRead, stopsIn, travelWith } from "../stages/kinds/axis/travel";

export type SwitchMove = {
  end: "low" | "high";
  /** From where it acts to the buffer, outwards; below 0: behind it. */
  read: number;
  /** What is left between the stop and the buffer; below 0: it runs into it. */
  left: number;
  /** null: nobody has said limits. */
  verdict: Verdict | null;
  /** Towards the work; below 0: towards the buffer; 0: it stays. */
  by: number;
  /** What it should read then. */
  willRead: number;
  /** There is nowhere it could stand: the axis needs more room than it has at that end. */
  noRoom: boolean;
};

/** What was read last at either end of an axis. */
export const switchesRead = (readings: readonly { tooth: number; value: number }[]): SwitchesRead => ({
  low: readings.findLast(({ tooth }) => tooth === 1)?.value,
  high: readings.findLast(({ tooth }) => tooth === 2)?.value,
});

/** A way of the axis, in its unit, as mm at its switch; null: nobody said how far from the pivot that stands. */
export const mmAtSwitch = ({ unit, switchRadiusMm }: AxisElement, along: number): number | null =>
  unit === "mm" ? along : switchRadiusMm === null ? null : radians(along) * switchRadiusMm;

const stepAlong = ({ unit, switchRadiusMm }: AxisElement, step: number): number =>
  unit === "mm" ? step : switchRadiusMm === null ? 0.1 : degrees(step / switchRadiusMm);

/**
 * How each end switch of an axis has to be moved, each by itself, to the aim of the limits or else the middle of its window. One that conforms
 * stays.
 *
 * @param step the smallest way that a hand can set, mm; only whole steps are advised
 * @returns a row for each end that was read, the low one first
 */
export function switchMoves(
  element: AxisElement,
  limits: { lo: number; aim: number | null; hi: number } | null,
  readings: readonly { tooth: number; value: number }[],
  expandedUncertainty: number,
  step: number,
): SwitchMove[] {
  const whole = stepAlong(element, step);
  const switches = switchesRead(readings);
  const { ends } = travelWith(element, switches);
  const stops = stopsIn(element);
  return (["low", "high"] as const).flatMap((end): SwitchMove[] => {
    const read = switches[end];
    if (read === undefined) return [];
    const { room, switchWindow } = ends[end];
    const aim = limits ? (limits.aim ?? (limits.lo + limits.hi) / 2) : (stops + room) / 2;
    const verdict = limits && judge(read, limits, expandedUncertainty).verdict;
    const noRoom = switchWindow === null;
    const stays = noRoom || (limits ? verdict === "conforms" : read >= stops && read <= room);
    const by = stays ? 0 : whole * Math.round((aim - read) / whole);
    return [{ end, read, left: read - stops, verdict, by, willRead: read + by, noRoom }];
  });
}
