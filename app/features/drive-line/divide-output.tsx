import { useState } from "react";
import { Link } from "react-router";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { fraction, fractionOfValue } from "~/core/numerics";
import { accept, parseNumber, type Result, refuse } from "~/core/quantity";
import { type IndexError, indexError, type OutputState, stepRounding } from "~/core/trains";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { Refused } from "../words/refused";
import { IndexPicture } from "./index-picture";

/** A turn of an output divided: whether whole steps of the motor do it, and how far off each division may be by steps and lost motion. */
export function DivideOutput({ output, slips }: { output: OutputState; slips: boolean }) {
  const reader = useWords();
  const [texts, setTexts] = useState({ divisions: "", steps: "", tolerance: "" });
  const [oneSided, setOneSided] = useState(false);
  const ratio = slips ? null : fractionOfValue(Math.abs(output.shaft.ratio ?? 0));
  if (!ratio)
    return (
      <p>
        {slips ? "A V-belt stands before it, and slips: it divides no turn." : "Its ratio is none of tooth counts."}
      </p>
    );
  const divisions = wholeIn("divisions", texts.divisions);
  const steps = wholeIn("steps", texts.steps);
  const tolerance = texts.tolerance.trim() === "" ? null : over0In("tolerance", texts.tolerance);
  const perTurn = steps.ok ? fraction(steps.value * ratio.num, ratio.den) : null;
  // The sum is of what was read: with a stage that never was, it is no lost motion of this output.
  const read = output.shares.every(({ arcmin }) => arcmin !== null);
  const found =
    divisions.ok && perTurn && tolerance?.ok !== false
      ? indexError({
          divisions: divisions.value,
          wheels: [],
          stepsPerOutputTurn: [perTurn.num, perTurn.den],
          lostMotionArcmin: read ? output.lostMotionArcmin : undefined,
          oneSided,
          others: [],
          // What is not known cannot be within it.
          toleranceArcmin: read ? tolerance?.value : undefined,
        })
      : null;
  const field = (name: keyof typeof texts, label: string, hint: string, read: Result<number> | null) => (
    <Field
      label={label}
      hint={hint}
      inputMode="decimal"
      autoComplete="off"
      value={texts[name]}
      onChange={(event) => setTexts((was) => ({ ...was, [name]: event.target.value }))}
      error={read && !read.ok && texts[name].trim() !== "" ? <Refused refusal={read.refusal} /> : undefined}
    />
  );
  return (
    <div className="grid gap-3 max-w-2xl pt-2">
      <div className="grid grid-cols-3 gap-4">
        {field("divisions", "Divisions", "of one turn of this output", divisions)}
        {field("steps", "Motor steps a turn", "microsteps counted in", steps)}
        {field("tolerance", "Tolerance ±", "′; empty: none", tolerance)}
      </div>
      <Tick label="Every position is approached from one side" checked={oneSided} onChange={setOneSided} />
      {found?.ok && divisions.ok && perTurn && (
        <>
          <p className="text-lg font-semibold" role="status">
            {dividedWords(reader, perTurn, divisions.value, found.value, read)}
          </p>
          <IndexPicture
            output={found.value}
            divisions={divisions.value}
            tolerance={tolerance?.ok ? tolerance.value : undefined}
            figure={(value) => formatNumber(reader, value, 1)}
          />
          <Link to={`/bench/index-error?${onBench(perTurn, divisions.value, output, oneSided, texts.tolerance)}`}>
            Put the runout of its wheels in as well, on the Bench
          </Link>
        </>
      )}
    </div>
  );
}

function dividedWords(
  reader: ReturnType<typeof useWords>,
  perTurn: { num: number; den: number },
  divisions: number,
  { position, contributions, verdict }: IndexError,
  read: boolean,
): string {
  const each = fraction(perTurn.num, perTurn.den * divisions);
  const f = (value: number) => `${formatNumber(reader, value, 2)}′`;
  const rounding = contributions.find(({ id }) => id === stepRounding)?.positionArcmin ?? 0;
  const steps =
    each.den === 1
      ? `Each division is ${formatNumber(reader, each.num, 0)} whole steps.`
      : `A division is ${each.num}/${each.den} steps: rounded to whole ones from the first position, it is off by ${f(rounding)} at most and never adds up.`;
  const ends = {
    within: " It keeps to the tolerance.",
    likely: " It mostly keeps to it.",
    beyond: " It does not keep to it.",
  };
  if (!read) return `${steps} The lost motion is not known: not every stage before it was read, so nothing is judged.`;
  return `${steps} Steps and lost motion together ± ${f(position.worstArcmin)} at worst.${verdict ? ends[verdict] : ""}`;
}

const onBench = (
  perTurn: { num: number; den: number },
  divisions: number,
  { lostMotionArcmin, shares }: OutputState,
  oneSided: boolean,
  tolerance: string,
) =>
  new URLSearchParams({
    divisions: String(divisions),
    steps: `${perTurn.num}/${perTurn.den}`,
    lost: shares.some(({ arcmin }) => arcmin === null) ? "" : String(Number(lostMotionArcmin.toFixed(4))),
    sides: oneSided ? "one" : "both",
    tolerance,
  });

function over0In(name: string, text: string): Result<number> {
  const read = parseNumber(text);
  if (!read.ok) return read;
  return read.value > 0 ? read : refuse("too-small", [name]);
}

/** A whole number from 1 on. */
function wholeIn(name: string, text: string): Result<number> {
  const read = parseNumber(text, true);
  if (!read.ok) return read;
  if (read.value < 1) return refuse("too-small", [name]);
  return read.value > 100_000 ? refuse("too-large", [name]) : accept(read.value);
}
