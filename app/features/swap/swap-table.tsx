import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { type SwapAnswer, type SwapBy, type SwapGear, type SwapOption, unwiseContact } from "~/core/gears";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { refusalWords } from "../words/refusal";
import { type Spoken, spoken } from "../words/spoken";

const mostShown = 60;
const byWords: Record<SwapBy, string> = {
  present: "as it stands now",
  stands: "where it stands",
  travel: "by the slot",
  shift: "by a profile shift",
};
const places = ["driver", "driven"] as const;

/** The present pair first, then every pair that fits, the nearest ratio first; each may be kept beside the present one with a reason. */
export function SwapTable({
  answer,
  names,
  rpm,
  torqueNm,
  mayKeep,
  empty,
}: {
  answer: SwapAnswer;
  /** Of the gears that were looked through. */
  names: readonly { id: string; name: string }[];
  rpm: number | null;
  torqueNm: number | null;
  mayKeep: boolean;
  empty: string;
}) {
  const reader = useWords();
  const [chosen, setChosen] = useState<string | null>(null);
  const [coarse, fine, rough] = [2, 3, 0].map((digits) => spoken(reader, "mm", digits)) as [Spoken, Spoken, Spoken];
  const torque = spoken(reader, "N·m", 1);
  const { options } = answer;
  return (
    <div className="grid gap-4">
      {options.length < 2 && <p className="text-lg text-mid border-l-4 border-rule pl-4">{empty}</p>}
      {options.length > 0 && (
        <div className="overflow-x-auto">
          <table className="w-full text-left" aria-label="The present pair and those that fit">
            <thead>
              <tr className="border-b-2 border-ink align-bottom">
                <th className="py-1 pr-4">Teeth</th>
                <th className="pr-4">Ratio</th>
                <th className="pr-4">Speed, torque behind it</th>
                {rpm !== null && <th className="pr-4">Then turns a minute</th>}
                {torqueNm !== null && <th className="pr-4">Torque, {torque.unit}</th>}
                <th className="pr-4">Centres, {coarse.unit}</th>
                <th className="pr-4">Backlash, {fine.unit}</th>
                <th className="pr-4">Contact ratio, usable</th>
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
                const key = option.gears.map((gear) => gear?.id ?? "stays").join(" ");
                return (
                  <tr key={key} className="border-b border-rule align-top">
                    <td className="figure text-lg py-2 pr-4">
                      {option.teeth.join(" : ")}
                      <span className="block text-base text-mid">{whatStays(option)}</span>
                    </td>
                    <td className="figure py-2 pr-4">{formatNumber(reader, option.ratio, 3)}</td>
                    <td className="figure py-2 pr-4">
                      {option.by === "present"
                        ? "–"
                        : `${signed(reader, option.speedPercent)} %, ${signed(reader, option.torquePercent)} %`}
                    </td>
                    {rpm !== null && (
                      <td className="figure py-2 pr-4">{formatNumber(reader, rpm / option.ratio, 1)}</td>
                    )}
                    {torqueNm !== null && (
                      <td className="figure py-2 pr-4">{torque.figure(torqueNm * option.ratio)}</td>
                    )}
                    <td className="figure py-2 pr-4">
                      {coarse.figure(option.centreDistanceMm)}
                      <span className="block text-mid">
                        {byWords[option.by]}
                        {option.by === "travel" &&
                          `, ${fine.figure(Math.abs(option.moveMm))} ${option.moveMm > 0 ? "apart" : "together"}`}
                        {option.by === "shift" &&
                          `, x = ${option.profileShift.map((x) => formatNumber(reader, x, 2)).join(" and ")}`}
                      </span>
                    </td>
                    <td className="figure py-2 pr-4">
                      {fine.figure(option.backlashMm)}
                      {!option.fits && <span className="block text-base text-outside font-semibold">does not fit</span>}
                    </td>
                    <td className="figure py-2 pr-4">
                      {formatNumber(reader, option.usableRatio, 2)}
                      <Contact {...option} />
                    </td>
                    <td className="figure py-2 pr-4">{option.envelopeMm.map((mm) => rough.figure(mm)).join(" × ")}</td>
                    <td className="figure py-2 pr-4">
                      {option.price === null || option.by === "present" ? "–" : formatNumber(reader, option.price, 2)}
                    </td>
                    <td className="py-2 pr-4">
                      {[...new Set(option.gears.map((gear) => gear?.noise ?? ""))].filter(Boolean).join(", ") || "–"}
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
        </div>
      )}
      {options.length > mostShown && (
        <p className="text-mid">
          The {mostShown} nearest to the present ratio are shown, of {options.length}.
        </p>
      )}
      <NotTaken answer={answer} names={names} digits={fine} />
    </div>
  );
}

const signed = (reader: Reader, percent: number) => `${percent > 0 ? "+" : ""}${formatNumber(reader, percent, 1)}`;

/** Which of the two stays, where one does. */
function whatStays({ gears, by }: SwapOption): string {
  if (by === "present") return "now";
  const stays = gears.indexOf(null);
  return stays < 0 ? "both new" : `the ${places[stays]} stays`;
}

/** What is to be said of a contact ratio, and how much of it the tips would reach. */
function Contact({ usableRatio, totalRatio }: SwapOption) {
  const reader = useWords();
  const thin = unwiseContact(usableRatio);
  return (
    <>
      {totalRatio - usableRatio > 0.005 && (
        <span className="block text-mid">of {formatNumber(reader, totalRatio, 2)}, cut away</span>
      )}
      {thin && (
        <span className="block text-base text-near font-semibold">
          {thin.code === "handed-on-with-a-jerk" ? "handed on with a jerk" : "below 1.2"}
        </span>
      )}
    </>
  );
}

const gearReasons: Record<SwapAnswer["rejectedGears"][number]["reason"], string> = {
  module: "another module",
  "pressure-angle": "another pressure angle",
  helix: "another helix angle",
  bore: "its bore goes on neither shaft",
  count: "none left",
};
const pairReasons: Record<SwapAnswer["nearest"][number]["reason"], string> = {
  count: "there is only one of them",
  "needs-more-room": "the slot would have to go further by",
  "too-loose": "too loose however it is set",
  "tip-clearance": "tips would run into roots",
  "contact-ratio": "a tooth lets go before the next has hold",
};

/** Gears that fit neither place, and the nearest pairs that do not go, each with its reason. */
function NotTaken({
  answer: { rejectedGears, nearest },
  names,
  digits,
}: {
  answer: SwapAnswer;
  names: readonly { id: string; name: string }[];
  digits: Spoken;
}) {
  if (rejectedGears.length + nearest.length === 0) return null;
  const named = (id: string) => names.find((item) => item.id === id)?.name ?? id;
  return (
    <details>
      <summary className="min-h-11 content-center cursor-pointer">What does not go, and why</summary>
      <ul className="grid gap-1">
        {nearest.map(({ driver, driven, teeth, reason, byMm }) => (
          <li key={`${driver} ${driven}`}>
            <span className="figure">{teeth.join(" : ")}</span>: {pairReasons[reason]}
            {reason === "needs-more-room" &&
              (byMm === undefined ? " more than there is" : ` ${digits.figure(byMm)} ${digits.unit}`)}
          </li>
        ))}
        {rejectedGears.slice(0, mostShown).map(({ id, reason }) => (
          <li key={id}>
            {named(id)}: {gearReasons[reason]}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** What a gear is called beside the pair: the present one stays as it is. */
const nameOf = (gear: SwapGear | null) => gear?.name ?? "the present one";

function KeepForm({ option, done }: { option: SwapOption; done: () => void }) {
  const reader = useWords();
  const fetcher = useFetcher<{ refusal?: Refusal; done?: string }>();
  const [id] = useState(() => v7());
  const [reason, setReason] = useState("");
  const taken = fetcher.data?.done !== undefined;
  useEffect(() => {
    if (taken) done();
  }, [taken, done]);
  const keep = (event: React.FormEvent) => {
    event.preventDefault();
    const { teeth, centreDistanceMm, ratio, backlashMm, totalRatio, usableRatio, price } = option;
    const kept = {
      names: option.gears.map(nameOf),
      teeth: [...teeth],
      centreDistanceMm,
      ratio,
      backlashMm,
      contactRatio: totalRatio,
      usableContactRatio: usableRatio,
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
        error={fetcher.data?.refusal && refusalWords(reader, fetcher.data.refusal)}
      />
      <Button kind="solid" type="submit" className="min-h-12" disabled={fetcher.state !== "idle"}>
        Keep it
      </Button>
    </form>
  );
}
