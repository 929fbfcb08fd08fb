import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { amountFor } from "~/core/advice";
import type { SwapOption } from "~/core/gears";
import type { Refusal } from "~/core/quantity";
import type { Stage, StoreItem } from "~/core/records";
import { asGearPair } from "~/core/stages";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { moveWords } from "../words/amount";
import { refusalWords } from "../words/refusal";
import { lengthWords } from "../words/spoken";

/** What is looked at when a gear goes on, in the words that are kept with the entry. */
export const exchangeChecks = [
  { key: "faces", text: "Faces of the two gears in line" },
  { key: "flat", text: "Set screw on the flat, or key home" },
  { key: "compound", text: "Locking compound on the set screw" },
  { key: "system", text: "Both of one pitch, by span or rolled together" },
] as const;

const places = ["driver", "driven"] as const;

/** These gears go in: what changes by it, what is looked at, and where the old ones are put. */
export function ExchangeForm({
  stage,
  option,
  stock,
  jobId,
  onBack,
}: {
  stage: Stage;
  option: SwapOption;
  stock: readonly StoreItem[];
  jobId: string;
  onBack: () => void;
}) {
  const reader = useWords();
  const fetcher = useFetcher<{ refusal?: Refusal }>();
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7() }));
  const [checked, setChecked] = useState<ReadonlySet<string>>(new Set());
  const [drawers, setDrawers] = useState<[string, string]>(["", ""]);
  const [text, setText] = useState("");
  const comesOut = option.gears.map((gear) => gear !== null);
  const pair = asGearPair(stage.geometry.element)?.pair;
  const submit = (event: React.FormEvent) => {
    event.preventDefault();
    const said = (on: boolean) =>
      exchangeChecks.filter(({ key }) => checked.has(key) === on).map((check) => ({ ...check }));
    fetcher.submit(
      {
        exchange: {
          ...ids,
          jobId,
          seenRevision: stage.geometry.revision,
          items: option.gears.map((gear) => gear?.id ?? null),
          drawers: drawers.map((drawer) => drawer || null),
          centreDistanceMm: option.centreDistanceMm,
          acknowledged: said(true),
          notAcknowledged: said(false),
          text,
        },
      },
      { method: "post", encType: "application/json" },
    );
  };
  return (
    <form onSubmit={submit} aria-label="These go in" className="bg-panel p-5 grid gap-4 max-w-3xl">
      <h2 className="text-2xl font-bold">
        {option.teeth.join(" : ")} go in for {pair?.teeth.join(" : ")}
      </h2>
      <ul className="text-lg grid gap-1">
        {whatChanges(reader, stage, option).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <fieldset className="grid gap-1">
        <legend className="font-semibold">Looked at</legend>
        {exchangeChecks.map((check) => (
          <Tick
            key={check.key}
            label={check.text}
            checked={checked.has(check.key)}
            onChange={(on) =>
              setChecked((now) => new Set(on ? [...now, check.key] : [...now].filter((key) => key !== check.key)))
            }
          />
        ))}
      </fieldset>
      <div className="grid sm:grid-cols-2 gap-4">
        {places.map(
          (place, i) =>
            comesOut[i] && (
              <Select
                key={place}
                label={`The old ${place}, ${pair?.teeth[i]} teeth, goes to`}
                value={drawers[i]}
                onChange={(event) =>
                  setDrawers((now) => (i === 0 ? [event.target.value, now[1]] : [now[0], event.target.value]))
                }
              >
                <option value="">no drawer: scrapped, or kept elsewhere</option>
                {stock
                  .filter((item) => Number(item.figures.teeth) === pair?.teeth[i])
                  .map((item) => (
                    <option key={item.id} value={item.id}>
                      {item.name}
                      {item.place ? `, ${item.place}` : ""}
                    </option>
                  ))}
              </Select>
            ),
        )}
        <Field label="Why" value={text} autoComplete="off" onChange={(event) => setText(event.target.value)} />
      </div>
      {fetcher.data?.refusal && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, fetcher.data.refusal)}
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <Button kind="now" large type="submit" disabled={fetcher.state !== "idle"}>
          They are in
        </Button>
        <Button kind="quiet" onClick={onBack}>
          Not these
        </Button>
      </div>
    </form>
  );
}

/** Speed and torque, what the adjuster has to do for it, and what to watch then. */
function whatChanges(reader: Reader, stage: Stage, option: SwapOption): string[] {
  const { speedPercent, torquePercent, moveMm, backlashMm } = option;
  const percent = (value: number) => `${value > 0 ? "+" : ""}${formatNumber(reader, value, 1)} %`;
  const { adjuster } = stage;
  const amount = adjuster.adjuster ? amountFor(adjuster.adjuster, moveMm) : null;
  const moves = Math.abs(moveMm) >= 5e-4;
  const way = moveMm > 0 ? "apart" : "together";
  return [
    `What is behind it turns ${percent(speedPercent)}, with ${percent(torquePercent)} of torque.`,
    moves
      ? `The centres go ${lengthWords(reader, Math.abs(moveMm), 3)} ${way}${
          amount && adjuster.adjuster
            ? `: ${adjuster.name}, ${moveWords(reader, adjuster, amount.amount)}${amount.reaches ? "" : ", which is all it reaches"}`
            : ""
        }; it should then read ${lengthWords(reader, backlashMm, 3)}.`
      : `It stands where it stood, and should read ${lengthWords(reader, backlashMm, 3)}.`,
    speedPercent > 0
      ? "More speed is more current and more heat: watch the motor's temperature while proving it."
      : "Watch the motor's temperature while proving it all the same: a tight mesh heats too.",
  ];
}
