import { type Adjuster, centreChange, unitOf } from "~/core/advice";
import { formatNumber } from "~/core/quantity";
import { AdjusterPicture } from "./adjuster-picture";
import { ChoiceField, TextField, TickField, useForm } from "./text-field";
import { type AdjusterType, adjusterTypeOf, readLaw } from "./texts";

const typeWords: Record<AdjusterType, string> = {
  slide: "slides in a slot",
  screw: "screw",
  pivot: "swings on a pivot",
  eccentric: "eccentric",
  shims: "shims",
};

const angleHints: Record<Exclude<AdjusterType, "shims">, string> = {
  slide: "degrees between its + and the way the centres part; 0 if the same",
  screw: "degrees between its + and the way the centres part; 0 if the same",
  pivot: "degrees between the arm and the line of centres; 90 is best",
  eccentric: "degrees between the throw and the way the centres part, as it stands now",
};

/** What moves the centres, with a picture of what its positive direction means. */
export function AdjusterFields() {
  const { fields } = useForm();
  const type = adjusterTypeOf(fields.texts);
  const law = readLaw(fields.texts).value;
  return (
    <fieldset className="grid xl:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] gap-x-10 gap-y-4">
      <legend className="text-xl font-bold mb-2">Adjuster</legend>
      <div className="grid gap-4 content-start">
        <ChoiceField
          name="adjuster.type"
          legend="The part"
          usual="slide"
          options={Object.entries(typeWords).map(([value, label]) => ({ value, label }))}
        />
        <div className="grid grid-cols-2 gap-4">
          <TextField name="adjuster.name" label="Called" hint="Jack screw, motor slot …" />
          <TextField name="adjuster.from" label="Seen from" hint="from where + and − are meant" />
          <TextField name="adjuster.plus" label="+ is called" hint="in, clockwise, towards the wall …" />
          <TextField name="adjuster.minus" label="− is called" hint="out, counter-clockwise …" />
          {type === "screw" && <TextField name="adjuster.lead" label="Lead" hint="mm a turn: M8 has 1.25" />}
          {type === "pivot" && (
            <>
              <TextField name="adjuster.arm" label="Arm" hint="mm, pivot to shaft" />
              <TextField name="adjuster.lever" label="Lever" hint="mm, pivot to where it is read" />
            </>
          )}
          {type === "eccentric" && <TextField name="adjuster.throw" label="Throw" hint="mm off centre" />}
          {type === "shims" ? (
            <TextField
              name="adjuster.perMm"
              label="Centres a mm of shim"
              hint="1 straight under it; minus if they come together"
            />
          ) : (
            <TextField name="adjuster.angle" label="Angle" hint={angleHints[type]} />
          )}
          <TextField name="adjuster.step" label="Smallest step" hint={`a hand can set, in ${stepUnit[type]}`} />
          <TextField name="adjuster.back" label="Travel left, −" hint="how far it can still go; empty: not known" />
          <TextField name="adjuster.on" label="Travel left, +" />
        </div>
        {type === "screw" && (
          <>
            <ChoiceField
              name="adjuster.hand"
              legend="Thread"
              usual="right"
              options={[
                { value: "right", label: "right-hand" },
                { value: "left", label: "left-hand" },
              ]}
            />
            <TickField name="adjuster.oneWay" label="It can only push" />
            {fields.texts["adjuster.oneWay"] === "yes" && (
              <TickField name="adjuster.spring" label="A spring brings it back" />
            )}
          </>
        )}
        <ChoiceField
          name="adjuster.scale"
          legend="A hand can set an amount"
          usual="yes"
          options={[
            { value: "yes", label: "it has a scale, a thread or shims to count" },
            { value: "no", label: "no scale: set on a feeler" },
          ]}
        />
      </div>
      {law && (
        <Meaning
          law={law}
          plus={fields.texts["adjuster.plus"] || "+"}
          hand={fields.texts["adjuster.hand"] === "left" ? "left" : "right"}
        />
      )}
    </fieldset>
  );
}

const stepUnit: Record<AdjusterType, string> = {
  slide: "mm",
  screw: "turns (1/16 is usual)",
  pivot: "mm at the lever",
  eccentric: "degrees",
  shims: "mm",
};

const sampleAmount: Record<AdjusterType, number> = { slide: 1, screw: 1, pivot: 1, eccentric: 10, shims: 1 };
const unitWords = {
  mm: "mm",
  turns: "turn",
  "mm-at-lever": "mm at the lever",
  deg: "degrees",
  "mm-of-shim": "mm of shim",
};

/** What the positive direction does, in a picture and in a sentence: the sign is where most slips are made. */
function Meaning({ law, plus, hand }: { law: Adjuster; plus: string; hand: "left" | "right" }) {
  const amount = sampleAmount[law.type];
  const change = centreChange(law, amount);
  const way =
    change > 0 ? "parts the centres" : change < 0 ? "brings the centres together" : "does not move the centres";
  return (
    <figure className="bg-panel p-4 self-start max-w-md grid gap-3">
      <AdjusterPicture law={law} apart={change > 0} hand={hand} />
      <figcaption className="text-lg">
        {amount} {unitWords[unitOf(law)]} <b>{plus}</b> {way}
        {change !== 0 && (
          <>
            {" "}
            by <span className="figure">{formatNumber(Math.abs(change), 3)}</span> mm
          </>
        )}
        .
      </figcaption>
    </figure>
  );
}
