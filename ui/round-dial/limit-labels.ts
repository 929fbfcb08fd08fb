import { onCircle } from "./layout";

export type LimitLabelAt = { text: string; x: number; y: number };

/** Both limits on their circles; where one would lie on the other they are moved apart, upwards and downwards. */
export function limitLabels(
  angle: number,
  limits: readonly [number, number],
  radius: (value: number) => number,
  figure: (value: number) => string,
): LimitLabelAt[] {
  const [hi, lo] = limits.map((limit): LimitLabelAt => {
    const [x, y] = onCircle(angle, radius(limit));
    return { text: figure(limit), x, y };
  }) as [LimitLabelAt, LimitLabelAt];
  const apart = Math.abs(hi.y - lo.y);
  if (apart >= lineHeight || Math.abs(hi.x - lo.x) > 10 * hi.text.length) return [hi, lo];
  const push = ((lineHeight - apart) / 2) * (hi.y > lo.y ? 1 : -1);
  return [
    { ...hi, y: hi.y + push },
    { ...lo, y: lo.y - push },
  ];
}

const lineHeight = 20;
