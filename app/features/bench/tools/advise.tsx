import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { type Adjuster, canMove, centreChange, unitOf } from "~/core/advice";
import { parseQuantity, severalQuantities } from "~/core/quantity";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark } from "~/ui/state-mark";
import { choice, over0 } from "../../form/field-readers";
import { SelectField, TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { TickField } from "../../form/tick-field";
import { useFormTexts } from "../../form/use-form-texts";
import { AdjusterPicture } from "../../stage-form/adjuster-picture";
import { amountWords } from "../../words/amount";
import { verdictState } from "../../words/state";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const quantities = ["backlash", "clearance", "tension", "sag"] as const;
const types = ["slide", "screw", "pivot", "eccentric", "shims"] as const;
const typeWords: Record<(typeof types)[number], string> = {
  slide: "slides in a slot",
  screw: "screw",
  pivot: "swings on a pivot",
  eccentric: "eccentric",
  shims: "shims",
};
const typeIn = (texts: Texts) => types.find((type) => type === texts.type) ?? "slide";

function readAdjuster(read: TextReader): Adjuster {
  const angle = (usual: number) => read.angleOr("angle", usual);
  const back = read.has("back") ? -Math.abs(read.number("back")) : null;
  const on = read.has("on") ? Math.abs(read.number("on")) : null;
  const travel = back === null && on === null ? {} : { travel: { min: back ?? -1e6, max: on ?? 1e6 } };
  switch (choice(read, "type", types)) {
    case "screw":
      return {
        type: "screw",
        leadMm: over0(read, "lead"),
        angleDeg: angle(0),
        oneWay: read.has("oneWay"),
        springReturn: read.has("spring"),
        ...travel,
      };
    case "pivot":
      return {
        type: "pivot",
        armMm: over0(read, "arm"),
        leverMm: over0(read, "lever"),
        angleDeg: angle(90),
        ...travel,
      };
    case "eccentric":
      return { type: "eccentric", throwMm: over0(read, "throw"), angleDeg: angle(90), ...travel };
    case "shims": {
      const perMm = read.numberOr("per", 1);
      read.want("per", perMm !== 0, "is-zero");
      return { type: "shims", perMm, ...travel };
    }
    case "slide":
      return { type: "slide", angleDeg: angle(0), ...travel };
  }
}

function readQuestion(texts: Texts) {
  const read = new TextReader(texts);
  const quantity = choice(read, "quantity", quantities);
  const newtons = quantity === "tension";
  const value = (name: string): number => (newtons ? read.force(name) : read.length(name));
  const readings = severalQuantities(read.text("readings")).map((text) => {
    const parsed = parseQuantity(text, newtons ? "force" : "length", newtons ? "N" : "mm");
    if (!parsed.ok && !("readings" in read.problems)) read.problems.readings = parsed.refusal;
    return { value: parsed.ok ? parsed.value.value : Number.NaN };
  });
  read.want("readings", readings.length > 0, "missing");
  const limits = { lo: value("lo"), hi: value("hi"), ...(read.has("aim") ? { aim: value("aim") } : {}) };
  read.want("lo", !(limits.lo > limits.hi), "window-upside-down");
  const expandedUncertainty = read.has("u") ? value("u") : 0;
  read.want("u", !(expandedUncertainty < 0), "too-small");
  const sensitivity = read.number("per1");
  read.want("per1", sensitivity !== 0, "is-zero");
  const adjuster = readAdjuster(read);
  read.want("angle", !Number.isFinite(centreChange(adjuster, 1)) || canMove(adjuster), "cannot-move-the-centres");
  return read.done({
    quantity,
    readings,
    limits,
    expandedUncertainty,
    sensitivity,
    adjuster,
    school: choice(read, "school", ["centre-of-band", "tight-spot"]),
  });
}

function Fields() {
  const texts = useFormTexts();
  const type = typeIn(texts);
  const unit = texts.quantity === "tension" ? "N" : "mm";
  return (
    <>
      <div className="grid grid-cols-2 gap-4">
        <SelectField name="quantity" label="Read was" usual="backlash">
          {quantities.map((value) => (
            <option key={value}>{value}</option>
          ))}
        </SelectField>
        <TextField name="u" label="Expanded uncertainty" hint={`± ${unit}, k = 2`} />
        <TextField
          name="readings"
          label="Readings round the turn"
          hint={`${unit}, with a space between`}
          className="col-span-full"
        />
        <TextField name="lo" label="Lower limit" hint={unit} />
        <TextField name="hi" label="Upper limit" hint={unit} />
        <TextField name="aim" label="Aim" hint="usually the middle" />
        <TextField name="per1" label="A mm of centre distance does" hint={`${unit}; 0.73 for 20° gears, signed`} />
        <SelectField name="type" label="The adjuster" usual="slide">
          {types.map((value) => (
            <option key={value} value={value}>
              {typeWords[value]}
            </option>
          ))}
        </SelectField>
        {type === "screw" && <TextField name="lead" label="Lead" hint="mm a turn" />}
        {type === "pivot" && (
          <>
            <TextField name="arm" label="Arm" hint="mm, pivot to shaft" />
            <TextField name="lever" label="Lever" hint="mm, pivot to where it is read" />
          </>
        )}
        {type === "eccentric" && <TextField name="throw" label="Throw" hint="mm off centre" />}
        {type === "shims" ? (
          <TextField name="per" label="A mm of shim parts by" hint="mm; below 0: it closes" />
        ) : (
          <TextField name="angle" label="Angle" hint="degrees between its + and parting" />
        )}
        <TextField name="back" label="Travel left, −" hint="empty: not known" />
        <TextField name="on" label="Travel left, +" />
        <SelectField name="school" label="Set to" usual="centre-of-band">
          <option value="centre-of-band">the middle of the band</option>
          <option value="tight-spot">the tight spot</option>
        </SelectField>
      </div>
      {type === "screw" && (
        <>
          <TickField name="oneWay" label="It can only push" />
          <TickField name="spring" label="A spring brings it back" />
        </>
      )}
    </>
  );
}

export const tool = benchTool("advise", async () => (await import("~/calc/tools/advise")).adviseTool, {
  example: {
    quantity: "backlash",
    readings: "0.16 0.19 0.22 0.18",
    lo: "0.08",
    aim: "0.12",
    hi: "0.16",
    u: "0.012",
    per1: "0.73",
    type: "slide",
    angle: "0",
  },
  Fields,
  read: (texts) => inputFrom(readQuestion(texts)),
  say: (reader, { verdict, move, feasible, reasons }) => {
    if (verdict === "conforms") return "It conforms: leave it";
    if (!move) return reasons[0]?.text ?? "No move";
    const way = move.direction === "none" ? "" : `, ${move.direction}`;
    const said = `Move ${move.amount < 0 ? "−" : "+"} ${amountWords(reader, Math.abs(move.amount), move.unit, 0, "slot")}${way}`;
    return feasible ? said : `${said}, which is the best there is`;
  },
  View: ({ output, texts }) => {
    const reader = useWords();
    const { value } = readQuestion(texts);
    if (!value) return null;
    const unit = value.quantity === "tension" ? "N" : "mm";
    const figure = (mm: number) => formatNumber(reader, mm, unit === "N" ? 1 : 3);
    const read = value.readings.map((reading) => reading.value);
    const now = { min: Math.min(...read), max: Math.max(...read) };
    const { move, predicted } = output;
    return (
      <div className="grid gap-4">
        <p className="text-xl">
          <StateMark state={verdictState[output.verdict]} />
        </p>
        <div className="bg-panel p-3 max-w-lg">
          <BandGauge
            lo={value.limits.lo}
            hi={value.limits.hi}
            aim={value.limits.aim ?? null}
            now={now}
            then={move ? predicted : null}
            state={verdictState[output.verdict]}
            unit={unit}
            label="What was read, and dashed what it will read after the move"
          />
        </div>
        {move && (
          <p className="text-lg">
            Then it reads {figure(predicted.min)} to {figure(predicted.max)} {unit}
            {output.expectedUncertainty === undefined ? "" : `, ± ${figure(output.expectedUncertainty)}`}. The centres{" "}
            {move.direction === "apart" ? "part" : "close"} by {figure(Math.abs(move.centreDistanceChangeMm))} mm.
          </p>
        )}
        {output.steps.length > 1 && (
          <ol className="list-decimal pl-6" aria-label="In steps">
            {output.steps.map((step, i) => (
              <li key={i}>{step.text}</li>
            ))}
          </ol>
        )}
        {output.reasons.map(({ code, text }) => (
          <p key={code}>{text}</p>
        ))}
        {value.adjuster.type !== "shims" && (
          <div className="bg-panel p-3 max-w-md">
            <AdjusterPicture
              law={value.adjuster}
              apart={centreChange(value.adjuster, unitOf(value.adjuster) === "deg" ? 10 : 1) > 0}
              hand="right"
              part={value.quantity === "tension" || value.quantity === "sag" ? "pulley" : "pinion"}
            />
          </div>
        )}
      </div>
    );
  },
});

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
