import { useEffect, useMemo, useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { type SwapAnswer, type SwapBy, type SwapGear, type SwapOption, unwiseContact } from "~/core/gears";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { type Column, DataTable } from "~/ui/data-table";
import { Field } from "~/ui/field";
import { refusalWords } from "../words/refusal";
import { type Spoken, spoken } from "../words/spoken";
import { swapMissWords } from "../words/swap-miss";

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
  onExchange = null,
  empty,
}: {
  answer: SwapAnswer;
  /** Of the gears that were looked through. */
  names: readonly { id: string; name: string }[];
  rpm: number | null;
  torqueNm: number | null;
  mayKeep: boolean;
  /** Within a job: these go in. */
  onExchange?: ((option: SwapOption) => void) | null;
  empty: string;
}) {
  const reader = useWords();
  const [chosen, setChosen] = useState<string | null>(null);
  const fine = spoken(reader, "mm", 3);
  const columns = useMemo(
    () => [
      ...columnsOf(reader, rpm, torqueNm),
      ...(onExchange ? [exchangeColumn(onExchange)] : []),
      {
        key: "keep",
        head: "Keep",
        keys: true,
        value: () => null,
        cell: (option: SwapOption) =>
          mayKeep &&
          (chosen === keyOf(option) ? (
            <KeepForm option={option} done={() => setChosen(null)} />
          ) : (
            <Button
              kind="quiet"
              onClick={() => setChosen(keyOf(option))}
              aria-label={`Keep ${option.teeth.join(" to ")} beside the present pair`}
            >
              Keep
            </Button>
          )),
      },
    ],
    [reader, rpm, torqueNm, mayKeep, onExchange, chosen],
  );
  const { options } = answer;
  return (
    <div className="grid gap-4">
      {options.length < 2 && <p className="text-lg text-mid border-l-4 border-rule pl-4">{empty}</p>}
      {options.length > 0 && (
        <DataTable
          label="The present pair and those that fit"
          name="swap"
          columns={columns}
          rows={options}
          rowKey={keyOf}
          most={mostShown}
        />
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

/** Only what lies in the stores can go in, and not what would have to be shifted for it. */
const exchangeColumn = (onExchange: (option: SwapOption) => void): Column<SwapOption> => ({
  key: "exchange",
  head: "In this job",
  keys: true,
  value: () => null,
  cell: (option) =>
    option.fits &&
    option.by !== "present" &&
    option.by !== "shift" &&
    option.gears.every((gear) => gear === null || gear.count !== null) && (
      <Button
        className="whitespace-nowrap"
        onClick={() => onExchange(option)}
        aria-label={`Put ${option.teeth.join(" to ")} in`}
      >
        Goes in
      </Button>
    ),
});

const keyOf = ({ gears }: SwapOption): string => gears.map((gear) => gear?.id ?? "stays").join(" ");

function columnsOf(reader: Reader, rpm: number | null, torqueNm: number | null): Column<SwapOption>[] {
  const [coarse, fine, rough] = [2, 3, 0].map((digits) => spoken(reader, "mm", digits)) as [Spoken, Spoken, Spoken];
  const torque = spoken(reader, "N·m", 1);
  const figures = true;
  return [
    {
      key: "teeth",
      head: "Teeth",
      figures,
      value: ({ teeth }) => teeth[0] * 10_000 + teeth[1],
      cell: (option) => (
        <>
          <span className="text-lg">{option.teeth.join(" : ")}</span>
          <span className="block text-base text-mid">{whatStays(option)}</span>
        </>
      ),
    },
    {
      key: "ratio",
      head: "Ratio",
      figures,
      value: ({ ratio }) => ratio,
      cell: ({ ratio }) => formatNumber(reader, ratio, 3),
    },
    {
      key: "behind",
      head: "Speed, torque behind it",
      figures,
      value: ({ speedPercent }) => speedPercent,
      cell: ({ by, speedPercent, torquePercent }) =>
        by === "present" ? "–" : `${signed(reader, speedPercent)} %, ${signed(reader, torquePercent)} %`,
    },
    ...(rpm === null
      ? []
      : [
          {
            key: "turns",
            head: "Then turns a minute",
            figures,
            value: ({ ratio }: SwapOption) => rpm / ratio,
            cell: ({ ratio }: SwapOption) => formatNumber(reader, rpm / ratio, 1),
          },
        ]),
    ...(torqueNm === null
      ? []
      : [
          {
            key: "torque",
            head: `Torque, ${torque.unit}`,
            figures,
            value: ({ ratio }: SwapOption) => torqueNm * ratio,
            cell: ({ ratio }: SwapOption) => torque.figure(torqueNm * ratio),
          },
        ]),
    {
      key: "centres",
      head: `Centres, ${coarse.unit}`,
      figures,
      value: ({ centreDistanceMm }) => centreDistanceMm,
      cell: (option) => (
        <>
          {coarse.figure(option.centreDistanceMm)}
          <span className="block text-mid">
            {byWords[option.by]}
            {option.by === "travel" &&
              `, ${fine.figure(Math.abs(option.moveMm))} ${option.moveMm > 0 ? "apart" : "together"}`}
            {option.by === "shift" &&
              `, x = ${option.profileShift.map((x) => formatNumber(reader, x, 2)).join(" and ")}`}
          </span>
        </>
      ),
    },
    {
      key: "backlash",
      head: `Backlash, ${fine.unit}`,
      figures,
      value: ({ backlashMm }) => backlashMm,
      cell: ({ backlashMm, fits }) => (
        <>
          {fine.figure(backlashMm)}
          {!fits && <span className="block text-base text-outside font-semibold">does not fit</span>}
        </>
      ),
    },
    {
      key: "contact",
      head: "Contact ratio, usable",
      figures,
      value: ({ usableRatio }) => usableRatio,
      cell: (option) => (
        <>
          {formatNumber(reader, option.usableRatio, 2)}
          <Contact {...option} />
        </>
      ),
    },
    {
      key: "space",
      head: `Space, ${rough.unit}`,
      figures,
      value: ({ envelopeMm }) => Math.max(...envelopeMm),
      cell: ({ envelopeMm }) => envelopeMm.map((mm) => rough.figure(mm)).join(" × "),
    },
    {
      key: "price",
      head: "Price",
      figures,
      value: ({ price, by }) => (by === "present" ? null : price),
      cell: ({ price, by }) => (price === null || by === "present" ? "–" : formatNumber(reader, price, 2)),
    },
    {
      key: "noise",
      head: "Noise",
      value: (option) => noiseOf(option) || null,
      cell: (option) => noiseOf(option) || "–",
    },
  ];
}

const noiseOf = ({ gears }: SwapOption): string =>
  [...new Set(gears.map((gear) => gear?.noise ?? ""))].filter(Boolean).join(", ");

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
            <span className="figure">{teeth.join(" : ")}</span>: {swapMissWords[reason]}
            {reason === "needs-more-room" &&
              (byMm === undefined ? " than it can" : ` by ${digits.figure(byMm)} ${digits.unit}`)}
          </li>
        ))}
        {rejectedGears.slice(0, mostShown).map(({ id, reason }) => (
          <li key={id}>
            {named(id)}: {swapMissWords[reason]}
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
