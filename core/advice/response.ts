export type Response = { perUnit: number; sd: number };
export type ObservedMove = { amount: number; change: number };

/**
 * What one unit of an adjuster does, learnt from its moves: regression through the origin with a normal prior and known
 * noise. Each change is the difference of two readings, so its variance is 2·readingSd². Successive moves share a reading;
 * that correlation is ignored, which is slightly cautious for a row of like moves.
 *
 * @param prior expected change per unit and its standard deviation
 * @param moves amounts in the adjuster's unit, changes in the quantity's
 * @param readingSd standard deviation of one reading, in the quantity's unit
 * @example learnResponse({ perUnit: 0.7, sd: 0.2 }, [{ amount: 0.5, change: 0.3 }], 0.01) // 0.60196 ± 0.02801
 */
export function learnResponse(prior: Response, moves: readonly ObservedMove[], readingSd: number): Response {
  const variance = 2 * readingSd ** 2;
  let weight = 1 / prior.sd ** 2;
  let weighted = prior.perUnit / prior.sd ** 2;
  for (const { amount, change } of moves) {
    weight += amount ** 2 / variance;
    weighted += (amount * change) / variance;
  }
  return { perUnit: weighted / weight, sd: 1 / Math.sqrt(weight) };
}

/** Whether a move is no child of this response: off by more than three standard deviations (clamp slipped, sense reversed). */
export function isSurprising(response: Response, move: ObservedMove, readingSd: number): boolean {
  const expected = response.perUnit * move.amount;
  return Math.abs(move.change - expected) > 3 * Math.sqrt(2 * readingSd ** 2 + (move.amount * response.sd) ** 2);
}
