import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { daysToIso, isoToDays, type Left, type WearLeft } from "~/core/logbook";
import { StateMark } from "~/ui/state-mark";
import { day } from "../words/times";

/** What is left, with its interval where there is one: "1400 days (900 to 2100)". */
function leftWords(reader: Reader, { at, earliest, latest, coverage }: Left, unit: string): string {
  const between = `${formatNumber(reader, earliest, 0)} to ${latest === null ? "perhaps never" : formatNumber(reader, latest, 0)}`;
  return `${formatNumber(reader, at, 0)} ${unit}${coverage > 0 ? ` (${between})` : ""}`;
}

/** "It stretches by 0.100 % in 100 days (0.080 to 0.120)". */
function rateWords(reader: Reader, { rate, coverage }: Left, unit: string): string {
  const a100 = (perUnit: number) => formatNumber(reader, 100 * perUnit, 3);
  const between = coverage > 0 ? ` (${a100(rate.least)} to ${a100(rate.greatest)})` : "";
  return `${a100(rate.perUnit)} % in 100 ${unit}${between}`;
}

const sureWords = (reader: Reader, days: Left | null): string =>
  days === null
    ? ""
    : days.coverage > 0
      ? `In brackets: where it lies ${formatNumber(reader, 100 * days.coverage, 0)} times in a hundred. `
      : "Below five looks nobody can say how surely. ";

/** How worn the chain is, and how long it will do at the rate so far. */
export function WearPane({ wear, usageUnit }: { wear: WearLeft; usageUnit: string }) {
  const reader = useWords();
  const { elongationPercent, limitPercent, days, usage, looks, measuredAt } = wear;
  const beyond = elongationPercent >= limitPercent;
  const lasts = [
    days === null ? "" : leftWords(reader, days, "days"),
    usage === null ? "" : leftWords(reader, usage, usageUnit),
  ].filter(Boolean);
  const rates = [
    days === null ? "" : rateWords(reader, days, "days"),
    usage === null ? "" : rateWords(reader, usage, usageUnit),
  ].filter(Boolean);
  const limitOn = days && day(reader, daysToIso(isoToDays(measuredAt) + days.at));
  return (
    <section aria-labelledby="wear">
      <h2 id="wear" className="text-xl font-bold flex gap-3 items-center">
        Wear <StateMark state={beyond ? "outside" : "inside"} />
      </h2>
      <p className="text-lg">
        <b className="figure">{formatNumber(reader, elongationPercent, 2)} %</b> longer than new, measured{" "}
        {day(reader, measuredAt)}; {formatNumber(reader, limitPercent, 2)} % is the limit.
      </p>
      <p className="text-lg">
        {beyond
          ? "It is worn out: replace it, with its sprockets if their teeth are hooked."
          : lasts.length > 0
            ? `It stretches by ${rates.join(", ")}. At this rate it lasts ${lasts.join(" or ")} more from that day${limitOn ? `: it is at its limit on ${limitOn}` : ""}.`
            : looks < 2
              ? "Measured once; the second look tells the rate."
              : "It does not grow by what was measured so far."}
      </p>
      <p className="text-mid">
        {sureWords(reader, days)}A median line through {looks} looks (Theil–Sen). A new chain begins anew.
      </p>
    </section>
  );
}
