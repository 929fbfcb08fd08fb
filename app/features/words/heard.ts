import type { AlikePeriods, HeardPeriod, PeriodMatch } from "~/core/proving";
import { formatNumber } from "./figure";
import type { Reader } from "./reader";

/** "Belt joint, 2 times a turn". */
export const suspectWords = (
  { id, times }: Pick<PeriodMatch, "id" | "times">,
  nameOf: (id: string) => string,
): string => (times === 1 ? nameOf(id) : `${nameOf(id)}, ${times} times a turn`);

/** What comes as often as what was heard, the first suspect first. */
export function heardWords({ matches, nearest }: HeardPeriod, nameOf: (id: string) => string): string {
  const [first, ...others] = matches.map((match) => suspectWords(match, nameOf));
  if (!first) return `Nothing comes so often; nearest is ${nearest ? suspectWords(nearest, nameOf) : "nothing"}`;
  if (others.length === 0) return `It fits ${first}`;
  const also = others.length > 3 ? [...others.slice(0, 2), `${others.length - 2} more`] : others;
  const list = also.length === 1 ? also[0] : `${also.slice(0, -1).join(", ")}, and ${also.at(-1)}`;
  return `It fits ${first}; also ${list}`;
}

/** What tells two suspects apart, as something to do. */
export function tellWords(reader: Reader, alike: AlikePeriods, nameOf: (id: string) => string): string {
  const [a, b] = [suspectWords(alike.a, nameOf), suspectWords(alike.b, nameOf)];
  const f = (value: number, decimals: number) => formatNumber(reader, value, decimals);
  switch (alike.tellBy) {
    case "speed":
      return `${a} or ${b}: run it ${f(alike.speedChangePercent ?? 0, 0)} % faster or slower and time it again.`;
    case "count":
      return `${a} or ${b}: count both for ${f(alike.seconds ?? 0, 1)} s; by then they are one apart.`;
    case "hold":
      return `${a} or ${b} come equally often: stop it, uncouple or hold one of them, and listen again.`;
  }
}
