import type { JudgedRound } from "../rounds";
import { type Adjuster, centreChange, gainOf } from "./adjusters";
import type { Advice } from "./advise";
import { readsAfter, type Setting } from "./rounded-move";

/** `holes`: on from where it stands, positive in the adjuster's own direction; `amount` both together, as the adjuster counts. */
export type RollerSetting = Setting & { holes: number; barrelMm: number };

/** A barrel thicker by a millimetre presses the belt by half of one (common practice; the exact path: `rollerGrid`). */
const pressPerDiameter = 0.5;

const rank = { conforms: 0, undecided: 1, "does-not-conform": 2 } as const;

/**
 * Holes and barrels of a roller as one adjuster: every barrel at hand in every hole within travel, the best first: by verdict, then by how near
 * the middle of what it reads comes to the aim, then by the fewest holes. The next barrel is a much finer step than the next hole.
 *
 * A first move on a guessed stiffness stays within the safe part, nearest to what that would read.
 *
 * @param holeMm from hole to hole
 * @param barrels mm, the one that is on it now and those at hand
 * @returns none where no move is advised, or the row of holes does nothing
 */
export function rollerSettings(
  advice: Advice | null,
  adjuster: Adjuster,
  holeMm: number,
  barrels: { nowMm: number; atHandMm: readonly number[] },
  judged: JudgedRound,
  limits: { lo: number; aim?: number | undefined; hi: number },
): RollerSetting[] {
  if (!advice?.move || adjuster.type === "eccentric") return [];
  const gain = gainOf(adjuster);
  if (Math.abs(gain) < 1e-9 || holeMm <= 0) return [];
  const reads = readsAfter(advice, adjuster, judged, limits);
  // As far as the move that is advised would go, and a hole beyond it either way.
  const far = Math.ceil(Math.abs(advice.move.amount) / holeMm) + 1;
  // Where nobody knows how stiff the belt is, no setting goes further than the safe part.
  const safePart = advice.reasons.includes("guessed-stiffness");
  const safe = centreChange(adjuster, advice.move.amount);
  const aim = safePart
    ? (advice.predicted.min + advice.predicted.max) / 2
    : (limits.aim ?? (limits.lo + limits.hi) / 2);
  const { travel } = adjuster;
  const settings: RollerSetting[] = [];
  for (let holes = -far; holes <= far; holes++) {
    const along = holes * holeMm;
    if (travel && (along < travel.min - 1e-9 || along > travel.max + 1e-9)) continue;
    for (const barrelMm of new Set([barrels.nowMm, ...barrels.atHandMm])) {
      const change = along * gain + pressPerDiameter * (barrelMm - barrels.nowMm);
      if (safePart && (change * safe < 0 || Math.abs(change) > Math.abs(safe) + 1e-9)) continue;
      settings.push({ holes, barrelMm, amount: change / gain, ...reads(change) });
    }
  }
  const off = ({ min, max }: Setting) => Math.abs((min + max) / 2 - aim);
  return settings.sort(
    (a, b) =>
      (safePart ? 0 : rank[a.verdict] - rank[b.verdict]) || off(a) - off(b) || Math.abs(a.holes) - Math.abs(b.holes),
  );
}
