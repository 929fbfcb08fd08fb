import { useMemo, useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import { type Race, races } from "~/core/guides";
import { isOverdue } from "~/core/logbook";
import { parseQuantity, type Refusal, type Result, severalQuantities } from "~/core/quantity";
import {
  type SeatAnswer,
  type Stack,
  type StackAnswer,
  seatChoices,
  seatStack,
  seatWasher,
  usualSeatLeft,
} from "~/core/stacks";
import { widthUncertainty } from "~/operations/entries/parts";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { PickList } from "~/ui/pick-list";
import { Running } from "../../calculation/running";
import { useWorker } from "../../calculation/use-worker";
import { piecesText } from "../../stacks/stack-words";
import { raceWords, seatSaysWords } from "../../words/parts";
import { Refused } from "../../words/refused";
import { lengthUnit, lengthWords, withUnit } from "../../words/spoken";
import { stockOf, takingsOf } from "../advise/drawer-items";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

const start = () => new Worker(new URL("../../../../workers/stack.ts", import.meta.url), { type: "module" });

/** A bearing against its seat: seat less bearing, and the washer for it from the drawer. */
export function SeatPane() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const texts = useTexts();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const [chosen, setChosen] = useState("0");
  const { apart } = job.record;
  const parts = [...apart.off, ...apart.parts.filter(({ on }) => on !== null)];
  const part = parts.find(({ key }) => key === texts["seat.of"]) ?? parts[0];
  const instruments = data.instruments.filter(({ dimension }) => dimension === "length");
  const instrument = instruments.find(({ id }) => id === texts["seat.with"]) ?? null;
  const bare = lengthUnit(reader);
  const typed = (name: string) =>
    severalQuantities(texts[`seat.${name}`] ?? "").map((one) => withUnit(one, bare, "mm"));
  const [seat, width] = [typed("seat"), typed("width")];
  const items = data.stock ?? [];
  const judged = judge(seat, width, instrument && widthUncertainty(instrument));
  const gap = judged?.ok && judged.value.says === "too-narrow" ? judged.value.gapMm : null;
  const question = useMemo(() => (gap === null ? null : seatStack(gap, stockOf(items))), [gap, items]);
  const found = useWorker<Result<StackAnswer>>(start, question);
  const answer = found.answer?.ok && gap !== null ? found.answer.value : null;
  const stacks: Stack[] = answer ? seatChoices(answer) : [];
  const stack = stacks[Number(chosen)] ?? stacks[0];
  if (!part) return null;
  const log = async (laid: Stack["shims"]) => {
    const result = await job.put({
      kind: "seat",
      key: part.key,
      name: part.name,
      seat,
      part: width,
      instrumentId: instrument?.id ?? null,
      race: races.find((race) => race === texts["seat.race"]) ?? "none",
      laid,
      stock: takingsOf([], laid, items),
    });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) for (const name of ["seat", "width", "race"]) job.changeText(`seat.${name}`, "");
  };
  const field = (name: string) => ({
    value: texts[`seat.${name}`] ?? "",
    inputMode: "decimal" as const,
    autoComplete: "off",
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
      setProblem(null);
      job.changeText(`seat.${name}`, event.target.value);
    },
  });
  const wrong = problem ?? (judged && !judged.ok ? judged.refusal : null);
  return (
    <section aria-label="In its seat" className="grid gap-3 py-2">
      <Select label="Part" value={part.key} onChange={(event) => job.changeText("seat.of", event.target.value)}>
        {parts.map(({ key, name }) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </Select>
      <div className="grid sm:grid-cols-2 gap-3">
        <Field
          label={`Depth of the seat, ${bare}`}
          hint="several times: 12.30 12.31"
          {...field("seat")}
          error={wrong?.path[0] === "seat" ? <Refused refusal={wrong} /> : undefined}
        />
        <Field
          label={`Width of the part, ${bare}`}
          {...field("width")}
          error={wrong?.path[0] === "part" ? <Refused refusal={wrong} /> : undefined}
        />
        <Select
          label="Measured with"
          value={instrument?.id ?? ""}
          onChange={(event) => job.changeText("seat.with", event.target.value)}
        >
          <option value="">not said</option>
          {instruments.map(({ id, name, dueOn }) => (
            <option key={id} value={id}>
              {name}
              {isOverdue(dueOn, data.now.slice(0, 10)) ? ", overdue" : ""}
            </option>
          ))}
        </Select>
        <Select
          label="The washer touches"
          value={texts["seat.race"] || "none"}
          onChange={(event) => job.changeText("seat.race", event.target.value)}
        >
          {races.map((race: Race) => (
            <option key={race} value={race}>
              {race === "none" ? "not said" : raceWords[race]}
            </option>
          ))}
        </Select>
      </div>
      {judged?.ok && <Says seat={judged.value} name={part.name} />}
      <Running of={found} />
      {answer && !answer.best && stacks.length > 0 && (
        <p className="text-lg text-near font-semibold">
          Nothing in the drawer fills it to within {lengthWords(reader, usualSeatLeft.hi, 2)}. Nearest:
        </p>
      )}
      {stacks.length > 0 && (
        <PickList
          legend="From the drawer"
          value={String(stacks.indexOf(stack as Stack))}
          onChange={setChosen}
          options={stacks.map((one, i) => ({
            value: String(i),
            label: (
              <>
                <b>{one.shims.length === 0 ? "nothing" : piecesText(reader, one.shims)}</b>
                <span className="figure">{lengthWords(reader, one.clearanceMm, 3)} left</span>
              </>
            ),
          }))}
        />
      )}
      {wrong && wrong.path[0] !== "seat" && wrong.path[0] !== "part" && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={wrong} />
        </p>
      )}
      {judged?.ok && (
        <div className="flex flex-wrap gap-3">
          {stack && stack.shims.length > 0 && (
            <Button large kind="now" onClick={() => log(stack.shims)}>
              Laid in: {piecesText(reader, stack.shims)}
            </Button>
          )}
          <Button large onClick={() => log([])}>
            Log it, nothing laid in
          </Button>
        </div>
      )}
    </section>
  );
}

function Says({ seat, name }: { seat: SeatAnswer; name: string }) {
  const reader = useWords();
  const mm = (value: number) => lengthWords(reader, value, 2);
  return (
    <p className="text-xl" role="status">
      {name}: <b>{seatSaysWords[seat.says]}</b>
      {seat.says === "too-narrow" && (
        <>
          {" "}
          by <b className="figure">{mm(seat.gapMm)}</b>
        </>
      )}
      {seat.says === "proud" && ` by ${mm(-seat.gapMm)}: a cover drawn down on it squeezes it`}.{" "}
      <span className="text-mid text-lg">
        Seat {mm(seat.seatMm)} less part {mm(seat.partMm)}
        {seat.expandedUncertaintyMm === null
          ? ", with an instrument that nobody named"
          : `, difference ± ${mm(seat.expandedUncertaintyMm)} (k = 2)`}
        .
      </span>
    </p>
  );
}

/** null: not both of them are typed yet. */
function judge(seat: readonly string[], part: readonly string[], u: number | null): Result<SeatAnswer> | null {
  if (seat.length === 0 || part.length === 0) return null;
  const read = (typed: readonly string[], field: string): Result<number[]> => {
    const found: number[] = [];
    for (const one of typed) {
      const parsed = parseQuantity(one, "length", "mm");
      if (!parsed.ok) return { ok: false, refusal: { ...parsed.refusal, path: [field] } as Refusal };
      found.push(parsed.value.value);
    }
    return { ok: true, value: found };
  };
  const [seatMm, partMm] = [read(seat, "seat"), read(part, "part")];
  if (!seatMm.ok) return seatMm;
  if (!partMm.ok) return partMm;
  return seatWasher({ seatMm: seatMm.value, partMm: partMm.value, expandedUncertaintyMm: u, stock: [] });
}
