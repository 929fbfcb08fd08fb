import { useFetcher } from "react-router";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { KeptOption } from "~/data/queries/swap-options";
import { Button } from "~/ui/button";
import { lengthWords } from "../words/spoken";
import { day } from "../words/times";

/** Pairs that were kept beside the present one, side by side, each with its reason. */
export function KeptOptions({ kept, mayDrop }: { kept: readonly KeptOption[]; mayDrop: boolean }) {
  const reader = useWords();
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
                  ["Ratio", formatNumber(reader, option.ratio, 3)],
                  ["Centres", lengthWords(reader, option.centreDistanceMm, 2)],
                  ["Backlash", lengthWords(reader, option.backlashMm, 3)],
                  [
                    "Contact ratio",
                    option.usableContactRatio === undefined
                      ? formatNumber(reader, option.contactRatio, 2)
                      : `${formatNumber(reader, option.usableContactRatio, 2)} usable`,
                  ],
                  ["Price", option.price === null ? "–" : formatNumber(reader, option.price, 2)],
                ] as const
              ).map(([name, value]) => (
                <div key={name} className="contents">
                  <dt className="text-mid">{name}</dt>
                  <dd className="figure">{value}</dd>
                </div>
              ))}
            </dl>
            <p className="text-mid mb-1">
              {madeByName}, {day(reader, madeAt)}
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
