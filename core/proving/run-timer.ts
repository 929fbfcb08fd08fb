/**
 * A run that is being timed. The page's own clock (`ticksMs`, running only forwards) stands beside the wall's, so that a clock that was set while
 * it ran is noticed; across a reload or a sleep only the wall's goes on.
 */
export type RunTimer = {
  /** On the wall, ms since 1970. */
  startedAtMs: number;
  /** Where both clocks last stood. */
  seenAtMs: number;
  seenTicksMs: number;
  /** What the wall's clock was set by while it was watched, ms: forwards positive. */
  jumpedMs: number;
  /** Longest stretch in which nobody watched, ms: asleep, or away from the page. */
  unwatchedMs: number;
};

/** Clocks that part by less than this are only busy. */
const partMs = 2_000;

export const startTimer = (wallMs: number, ticksMs: number): RunTimer => ({
  startedAtMs: wallMs,
  seenAtMs: wallMs,
  seenTicksMs: ticksMs,
  jumpedMs: 0,
  unwatchedMs: 0,
});

/**
 * The timer as it is seen again. Between two looks the wall's clock and the page's own should go equally far: where the wall's went back, or much
 * further than the page was looked at, either it was set or the tablet slept; a clock cannot be told from a sleep there, and is said to be.
 *
 * @param samePage false after a reload: the page's own clock began anew
 */
export function watchTimer(timer: RunTimer, wallMs: number, ticksMs: number, samePage: boolean): RunTimer {
  const wall = wallMs - timer.seenAtMs;
  const seen = { ...timer, seenAtMs: wallMs, seenTicksMs: ticksMs };
  const watched = samePage ? ticksMs - timer.seenTicksMs : 0;
  const beyond = wall - watched;
  if (wall < -partMs) return { ...seen, jumpedMs: timer.jumpedMs + beyond };
  if (beyond > partMs) return { ...seen, unwatchedMs: Math.max(timer.unwatchedMs, beyond) };
  return seen;
}

/** How long it ran, ms: what the clock was set back by is taken out again. */
export const ranMs = (timer: RunTimer, wallMs: number): number => wallMs - timer.startedAtMs - timer.jumpedMs;

/** Nobody proves for so long unless the plan says so: it was forgotten. */
const forgottenMs = 8 * 3_600_000;

/** Whether a run that was to take so many minutes seems to have been forgotten: four times as long, and eight hours at least. */
export const isForgotten = (timer: RunTimer, wallMs: number, minutes: number | null): boolean =>
  ranMs(timer, wallMs) > Math.max(forgottenMs, 4 * 60_000 * (minutes ?? 0));

/**
 * Where the output stands after so long, degrees from where it began, in [0, 360).
 *
 * @param rpm of the output, a magnitude
 */
export const turnedTo = (fromDeg: number, rpm: number, ms: number): number =>
  (((fromDeg + (rpm * 360 * ms) / 60_000) % 360) + 360) % 360;
