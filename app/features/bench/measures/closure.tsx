import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { Closure } from "~/core/proving";
import { StateMark } from "~/ui/state-mark";
import { ChoiceField } from "../../form/choice-field";
import { choice, notNegativeOr, over0, positiveOr } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { ClosurePicture } from "../../proving/closure-picture";
import { closureWords, stepsLostWords } from "../../words/closure";
import { verdictState } from "../../words/state";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";

const units = ["arcmin", "mm"] as const;

function readClosure(texts: Texts) {
  const read = new TextReader(texts);
  const onRim = choice(read, "unit", units) === "mm";
  const misses = (name: string) =>
    read.rows(name, ["miss"]).map((row) => (onRim ? read.length(`${row}.miss`) : read.number(`${row}.miss`)));
  const forward = misses("forward");
  read.want("forward", forward.length > 0, "too-few");
  const backward = misses("backward");
  const whole = (name: string, usual: number) => {
    const value = read.has(name) ? read.number(name, true) : usual;
    read.want(name, !(value < 1), "too-small");
    return value;
  };
  const toleranceArcmin = read.number("tolerance");
  read.want("tolerance", !(toleranceArcmin < 0), "too-small");
  const steps = positiveOr(read, "steps", null);
  return read.done({
    divisions: whole("divisions", 1),
    turns: whole("turns", 1),
    forward,
    ...(backward.length > 0 ? { backward } : {}),
    ...(onRim ? { radiusMm: over0(read, "radius") } : {}),
    toleranceArcmin,
    expandedUncertainty: notNegativeOr(read, "u", 0),
    ...(steps === null ? {} : { stepsPerTurn: steps }),
  });
}

function Fields() {
  const onRim = useFormTexts().unit === "mm";
  const unit = onRim ? "mm" : "′";
  return (
    <>
      <ChoiceField
        name="unit"
        legend="By how much the mark misses, in"
        usual="arcmin"
        options={[
          { value: "arcmin", label: "minutes of arc" },
          { value: "mm", label: "mm at a rim" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="divisions" label="Divisions of a turn" inputMode="numeric" />
        <TextField name="turns" label="Whole turns" hint="usually 1" inputMode="numeric" />
        <TextField name="tolerance" label="May miss by ±" hint="minutes of arc" />
        {onRim && <TextField name="radius" label="Radius there" hint="mm" />}
        <TextField name="u" label="A reading is good to ±" hint={`${unit}; empty: as read`} />
        <TextField name="steps" label="Motor steps a turn" hint="of the output; empty: none" />
      </div>
      {(
        [
          ["forward", "Driven forwards", "Beyond the mark +, short of it −; it was brought to zero driving forwards."],
          [
            "backward",
            "Driven back",
            "Counted its own way: beyond +, short −. Leave it empty where it only runs one way.",
          ],
        ] as const
      ).map(([name, legend, hint]) => (
        <RowsField
          key={name}
          name={name}
          legend={legend}
          hint={hint}
          one="Time"
          columns={[{ name: "miss", label: `Missed by, ${unit}` }]}
        />
      ))}
    </>
  );
}

export const tool = benchTool("closure", async () => (await import("~/calc/tools/closure")).closureTool, {
  example: {
    unit: "arcmin",
    divisions: "24",
    turns: "2",
    tolerance: "5",
    u: "0.5",
    steps: "4800",
    ...rowTexts("forward", [{ miss: "-1.2" }, { miss: "-1.4" }, { miss: "-1.1" }]),
    ...rowTexts("backward", [{ miss: "-3.6" }, { miss: "-3.4" }, { miss: "-3.7" }]),
  },
  Fields,
  read: (texts) => inputFrom(readClosure(texts)),
  say: (reader, output) => closureWords(reader, output),
  View,
});

function View({ output, texts }: { output: Closure; texts: Texts }) {
  const reader = useWords();
  const { value } = readClosure(texts);
  if (!value) return null;
  const f = (arcmin: number) => `${formatNumber(reader, arcmin, 2)}′`;
  const way = (name: string, closed: Closure["forward"] | undefined) =>
    closed
      ? [[name, `${f(closed.meanArcmin)} ± ${formatNumber(reader, closed.expandedUncertaintyArcmin, 2)}′`] as const]
      : [];
  return (
    <div className="grid gap-3">
      <p className="text-xl">
        <StateMark state={verdictState[output.verdict]} />
      </p>
      <ClosurePicture output={output} toleranceArcmin={value.toleranceArcmin} figure={f} />
      <FigureList
        of={[
          ...way("Forwards it misses by", output.forward),
          ...way("Backwards", output.backward),
          ["A turn", f(output.perTurnArcmin)],
          ["A division", `${formatNumber(reader, output.perDivisionArcmin, 3)}′`],
        ]}
      />
      {output.stepsLost && <p className="text-lg">{stepsLostWords(reader, output.stepsLost)}</p>}
      <p className="text-mid">
        Repeats count with Student’s t (JCGM 100). A forward miss that grows with the turns is a wrong ratio or step
        value; one that jumps is lost steps.
      </p>
    </div>
  );
}
