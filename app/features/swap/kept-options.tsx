import { useFetcher } from "react-router";
import { formatNumber } from "~/app/features/words/figure";
import type { KeptOption } from "~/data/queries/swap-options";
import { Button } from "~/ui/button";
import { lengthWords } from "../words/spoken";
import { day } from "../words/times";

/** Pairs that were kept beside the present one, side by side, each with its reason. */
export function KeptOptions({
  kept,
  timeZone,
  mayDrop,
}: {
  kept: readonly KeptOption[];
  timeZone: string;
  mayDrop: boolean;
}) {
  const fetcher = useFetcher();
  if (kept.length === 0) return null;
  return (
    <section aria-labelledby="kept">
      <h2 id="kept" className="text-xl font-bold mb-2">
        Kept side by side
      </h2>
      <ul className="grid sm:grid-cols-2 xl:grid-cols-4 gap-x-8 gap-y-5">
        {kept.map(({ id, option, reason, madeByName, madeAt }) => (
          <li key={id} className="border-t-2 border-ink pt-2">
            <p className="text-2xl figure">{option.teeth.join(" : ")}</p>
            <p className="font-semibold">{reason}</p>
            <p className="text-mid">{option.names.join(" and ")}</p>
            <dl className="grid grid-cols-[auto_1fr] gap-x-4 my-1">
              {(
                [
                  ["Ratio", formatNumber(option.ratio, 3)],
                  ["Centres", lengthWords(option.centreDistanceMm, 2)],
                  ["Backlash", lengthWords(option.backlashMm, 3)],
                  [
                    "Contact ratio",
                    option.usableContactRatio === undefined
                      ? formatNumber(option.contactRatio, 2)
                      : `${formatNumber(option.usableContactRatio, 2)} usable`,
                  ],
                  ["Price", option.price === null ? "–" : formatNumber(option.price, 2)],
                ] as const
              ).map(([name, value]) => (
                <div key={name} className="contents">
                  <dt className="text-mid">{name}</dt>
                  <dd className="figure">{value}</dd>
                </div>
              ))}
            </dl>
            <p className="text-mid mb-1">
              {madeByName}, {day(madeAt, timeZone)}
            </p>
            {mayDrop && (
              <Button
                kind="quiet"
                aria-label={`Put ${option.teeth.join(" to ")} away`}
                onClick={() => fetcher.submit({ drop: id }, { method: "post", encType: "application/json" })}
              >
                Put away
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
