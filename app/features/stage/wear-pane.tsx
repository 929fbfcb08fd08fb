import { formatNumber } from "~/app/features/words/figure";
import type { WearLeft } from "~/core/logbook";
import { StateMark } from "~/ui/state-mark";
import { day } from "../words/times";

/** How worn the chain is, and how long it will do at the rate so far. */
export function WearPane({ wear, usageUnit, timeZone }: { wear: WearLeft; usageUnit: string; timeZone: string }) {
  const { elongationPercent, limitPercent, days, usage, looks, measuredAt } = wear;
  const beyond = elongationPercent >= limitPercent;
  const lasts = [
    days === null ? "" : `${formatNumber(days, 0)} days`,
    usage === null ? "" : `${formatNumber(usage, 0)} ${usageUnit}`,
  ].filter(Boolean);
  return (
    <section aria-labelledby="wear">
      <h2 id="wear" className="text-xl font-bold flex gap-3 items-center">
        Wear <StateMark state={beyond ? "outside" : "inside"} />
      </h2>
      <p className="text-lg">
        <b className="figure">{formatNumber(elongationPercent, 2)} %</b> longer than new, measured{" "}
        {day(measuredAt, timeZone)}; {formatNumber(limitPercent, 2)} % is the limit.
      </p>
      <p className="text-lg">
        {beyond
          ? "It is worn out: replace it, with its sprockets if their teeth are hooked."
          : lasts.length > 0
            ? `At this rate it lasts ${lasts.join(" or ")} more, from that day.`
            : looks < 2
              ? "Measured once; the second look tells the rate."
              : "It does not grow by what was measured so far."}
      </p>
      <p className="text-mid">A median line through {looks} looks (Theil–Sen). A new chain begins anew.</p>
    </section>
  );
}
