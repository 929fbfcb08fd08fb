import { type DriveWay, handSlack, handSlackTarget, movementOf } from "../chains";
import { accept, type Result } from "../quantity";
import { type Adjuster, amountFor, centreChange } from "./adjusters";

export type SlackMove = {
  /** Half of the movement as a part of the span, and what is wanted (common practice). */
  percent: number;
  target: { loPercent: number; hiPercent: number; movementMm: number };
  /** 0 where it is inside already, or where no whole step brings it nearer. */
  amount: number;
  /** Whole free movement after it, mm. */
  thenMm: number;
  thenPercent: number;
  /** Whether that is inside. */
  reaches: boolean;
};

/**
 * What to do with the adjuster of a chain whose slack is moved up and down by hand, as on steep runs that have no rule for their sag: length to
 * take up (a triangle each way), the change of centres that takes it, and the nearest amount in whole steps.
 *
 * @param movementMm whole free movement at mid-span, up and down together
 * @param step smallest amount that can be set; 0: any
 * @returns the move, or a refusal of `handSlack`
 */
export function slackMove(
  {
    spanMm,
    centreDistanceMm,
    movementMm,
    way,
  }: { spanMm: number; centreDistanceMm: number; movementMm: number; way: DriveWay },
  adjuster: Adjuster,
  step: number,
): Result<SlackMove> {
  const slack = handSlack({ spanMm, movementMm, shape: "triangle", target: handSlackTarget[way], centreDistanceMm });
  if (!slack.ok) return slack;
  const { percent, target, excessMm, moveCentreMm } = slack.value;
  const inside = (share: number) => share >= target.loPercent - 1e-9 && share <= target.hiPercent + 1e-9;
  const after = (amount: number) =>
    movementOf(
      spanMm,
      Math.max(0, excessMm.triangle - (2 * spanMm * centreChange(adjuster, amount)) / centreDistanceMm),
    );
  const whole = inside(percent) ? 0 : amountFor(adjuster, moveCentreMm).amount;
  const candidates =
    step > 0 ? [Math.floor(whole / step + 1e-9) * step, Math.ceil(whole / step - 1e-9) * step] : [whole];
  const off = (amount: number) => Math.abs(after(amount) - target.movementMm);
  const amount = candidates.reduce((best, next) => (off(next) < off(best) ? next : best)) || 0;
  const thenMm = amount === 0 ? movementMm : after(amount);
  const thenPercent = (50 * thenMm) / spanMm;
  return accept({ percent, target, amount, thenMm, thenPercent, reaches: inside(thenPercent) });
}
