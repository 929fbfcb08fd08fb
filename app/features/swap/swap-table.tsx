import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import { formatNumber } from "~/app/features/words/figure";
import type { SwapOption } from "~/core/gears";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { refusalWords } from "../words/refusal";
import { type Spoken, spoken } from "../words/spoken";

const mostShown = 60;
const byWords = {
  "same-sum": "where it stands",
  travel: "by the slot",
  shift: "by a profile shift",
} as const;

/** Every pair that fits, the present ratio first; each may be kept beside the present one with a reason. */
export function SwapTable({
  options,
  rpm,
  torqueNm,
  mayKeep,
  empty,
}: {
  options: readonly SwapOption[];
  rpm: number | null;
  torqueNm: number | null;
  mayKeep: boolean;
  empty: string;
}) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [coarse, fine, rough] = [2, 3, 0].map((digits) => spoken("mm", digits)) as [Spoken, Spoken, Spoken];
  const torque = spoken("N·m", 1);
  if (options.length === 0) return <p className="text-lg text-mid border-l-4 border-rule pl-4">{empty}</p>;
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left" aria-label="Pairs that fit">
        <thead>
          <tr className="border-b-2 border-ink align-bottom">
            <th className="py-1 pr-4">Teeth</th>
            <th className="pr-4">Ratio</th>
            {rpm !== null && <th className="pr-4">Then turns a minute</th>}
            {torqueNm !== null && <th className="pr-4">Torque, {torque.unit}</th>}
            <th className="pr-4">Centres, {coarse.unit}</th>
            <th className="pr-4">Backlash, {fine.unit}</th>
            <th className="pr-4">Contact ratio</th>
            <th className="pr-4">Space, {rough.unit}</th>
            <th className="pr-4">Price</th>
            <th className="pr-4">Noise</th>
            <th>
              <span className="sr-only">Keep</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {options.slice(0, mostShown).map((option) => {
            const key = option.gears.map(({ id }) => id).join(" ");
            return (
              <tr key={key} className="border-b border-rule align-top">
                <td className="figure text-lg py-2 pr-4">
                  {option.teeth.join(" : ")}
                  {option.undercut && <span className="block text-base text-near font-semibold">undercut</span>}
                </td>
                <td className="figure py-2 pr-4">{formatNumber(option.ratio, 3)}</td>
                {rpm !== null && <td className="figure py-2 pr-4">{formatNumber(rpm / option.ratio, 1)}</td>}
                {torqueNm !== null && <td className="figure py-2 pr-4">{torque.figure(torqueNm * option.ratio)}</td>}
                <td className="figure py-2 pr-4">
                  {coarse.figure(option.centreDistanceMm)}
                  <span className="block text-mid">
                    {byWords[option.by]}
                    {option.by === "shift" && `, x = ${formatNumber(option.profileShift[1], 2)}`}
                  </span>
                </td>
                <td className="figure py-2 pr-4">{fine.figure(option.backlashMm)}</td>
                <td className="figure py-2 pr-4">{formatNumber(option.contactRatio, 2)}</td>
                <td className="figure py-2 pr-4">{option.envelopeMm.map((mm) => rough.figure(mm)).join(" × ")}</td>
                <td className="figure py-2 pr-4">{option.price === null ? "–" : formatNumber(option.price, 2)}</td>
                <td className="py-2 pr-4">
                  {[...new Set(option.gears.map(({ noise }) => noise))].filter(Boolean).join(", ") || "–"}
                </td>
                <td className="py-1">
                  {mayKeep &&
                    (chosen === key ? (
                      <KeepForm option={option} done={() => setChosen(null)} />
                    ) : (
                      <Button
                        kind="quiet"
                        onClick={() => setChosen(key)}
                        aria-label={`Keep ${option.teeth.join(" to ")} beside the present pair`}
                      >
                        Keep
                      </Button>
                    ))}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {options.length > mostShown && (
        <p className="text-mid py-2">
          The {mostShown} nearest to the present ratio are shown, of {options.length}.
        </p>
      )}
    </div>
  );
}

function KeepForm({ option, done }: { option: SwapOption; done: () => void }) {
  const fetcher = useFetcher<{ refusal?: Refusal; done?: string }>();
  const [id] = useState(() => v7());
  const [reason, setReason] = useState("");
  const taken = fetcher.data?.done !== undefined;
  useEffect(() => {
    if (taken) done();
  }, [taken, done]);
  const keep = (event: React.FormEvent) => {
    event.preventDefault();
    const { teeth, centreDistanceMm, ratio, backlashMm, contactRatio, price } = option;
    const kept = {
      names: option.gears.map(({ name }) => name),
      teeth: [...teeth],
      centreDistanceMm,
      ratio,
      backlashMm,
      contactRatio,
      price,
    };
    fetcher.submit({ id, option: kept, reason }, { method: "post", encType: "application/json" });
  };
  return (
    <form onSubmit={keep} className="flex flex-wrap gap-2 items-end min-w-64">
      <Field
        autoFocus
        label="Why this one?"
        value={reason}
        autoComplete="off"
        onChange={(event) => setReason(event.target.value)}
        error={fetcher.data?.refusal && refusalWords(fetcher.data.refusal)}
      />
      <Button kind="solid" type="submit" className="min-h-12" disabled={fetcher.state !== "idle"}>
        Keep it
      </Button>
    </form>
  );
}
