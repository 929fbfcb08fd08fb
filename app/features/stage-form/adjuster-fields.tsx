import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { type Adjuster, centreChange, unitOf } from "~/core/advice";
import type { AdjusterMeans } from "~/core/records";
import { ChoiceField } from "../form/choice-field";
import { TextField } from "../form/text-field";
import type { Texts } from "../form/texts";
import { TickField } from "../form/tick-field";
import { useFormTexts } from "../form/use-form-texts";
import { kindWords } from "../kinds";
import { kindForms, kindIn } from "../kinds/forms";
import { AdjusterPicture, type MovedPart } from "./adjuster-picture";
import { type AdjusterType, adjusterTypeOf, meansOf, readLaw, shimSense, usualNames } from "./adjuster-texts";
import { ShimPicture } from "./shim-picture";

const meansWords: Record<AdjusterMeans, string> = {
  slot: "slides in a slot",
  "jack-screw": "screw",
  "jack-screws": "a screw on each side",
  pivot: "swings on a pivot, then pinched",
  lever: "lever with a roller",
  eccentric: "eccentric",
  shims: "shims",
  spacers: "spacers",
  "roller-holes": "roller in a row of holes",
  "roller-diameter": "thicker or thinner roller",
  stop: "hard stop: a spacer or a shoulder",
};

const angleHints: Record<Exclude<AdjusterType, "shims">, string> = {
  slide: "degrees between its + and the way the centres part; 0 if the same",
  screw: "degrees between its + and the way the centres part; 0 if the same",
  pivot: "degrees between the arm and the line of centres; 90 is best",
  eccentric: "degrees between the throw and the way the centres part, as it stands now",
};

/** What moves the centres, with a picture of what its positive direction means. */
export function AdjusterFields({ others = [] }: { others?: readonly { id: string; name: string }[] }) {
  const texts = useFormTexts();
  const type = adjusterTypeOf(texts);
  const means = meansOf(texts);
  const law = means && readLaw(texts).value;
  const { means: possible, shims, moved } = kindForms[kindIn(texts)];
  if (possible.length === 0)
    return (
      <fieldset>
        <legend className="text-xl font-bold mb-2">Adjuster</legend>
        <p className="text-lg">{kindWords[kindIn(texts)].nothingToAdjust}</p>
      </fieldset>
    );
  return (
    <fieldset className="grid xl:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] gap-x-10 gap-y-4">
      <legend className="text-xl font-bold mb-2">Adjuster</legend>
      <div className="grid gap-4 content-start">
        <ChoiceField
          name="adjuster.means"
          legend="The part"
          usual={possible[0] ?? "slot"}
          options={[
            ...possible.map((value) => ({ value, label: meansWords[value] })),
            { value: "none", label: "nothing to adjust" },
          ]}
        />
        {means && (
          <>
            <div className="grid grid-cols-2 gap-4">
              <TextField name="adjuster.name" label="Called" hint={`empty: ${usualNames[means].name}`} />
              <TextField name="adjuster.from" label="Seen from" hint="optional: from where + and − are meant" />
              <TextField name="adjuster.plus" label="+ is called" hint={`empty: ${usualNames[means].plus}`} />
              <TextField name="adjuster.minus" label="− is called" hint={`empty: ${usualNames[means].minus}`} />
              {type === "screw" && (
                <TextField name="adjuster.lead" label="Thread, or its lead" hint="M8, or mm a turn" />
              )}
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
                  label={shims.label}
                  hint={means === "roller-diameter" ? "usually 0.5" : "1 straight under it, less at an angle"}
                />
              ) : (
                <TextField name="adjuster.angle" label="Angle" hint={angleHints[type]} />
              )}
              <TextField
                name="adjuster.step"
                label={means === "roller-holes" ? "Hole to hole" : "Smallest step"}
                hint={means === "roller-holes" ? "mm" : `optional: a hand can set, in ${stepUnit[type]}`}
              />
              <TextField name="adjuster.back" label="Travel left, −" hint="how far it can still go; empty: not known" />
              <TextField name="adjuster.on" label="Travel left, +" />
            </div>
            {type === "shims" && means !== "roller-diameter" && (
              <ChoiceField
                name="adjuster.sense"
                legend="One more shim"
                usual=""
                options={[
                  { value: "opens", label: waysOf(texts)[0] },
                  { value: "closes", label: waysOf(texts)[1] },
                ]}
              />
            )}
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
                {texts["adjuster.oneWay"] === "yes" && (
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
            <Also others={others} />
          </>
        )}
      </div>
      {means && type === "shims" && means !== "roller-diameter" && (
        <figure className="bg-panel p-4 self-start max-w-md grid gap-3">
          <ShimPicture drawn={shims.drawn} sense={shimSense(texts)} />
          <figcaption className="text-lg">
            {shimSense(texts) === null
              ? "Say which way one more shim sends it: look at the part, not at the drawing."
              : `One more shim ${waysOf(texts)[shimSense(texts) === 1 ? 0 : 1]}.`}
            {shims.remark && ` ${shims.remark}`}
          </figcaption>
        </figure>
      )}
      {law && type !== "shims" && (
        <Meaning
          law={law}
          ways={waysOf(texts)}
          part={moved(texts)}
          plus={texts["adjuster.plus"] || usualNames[means ?? "slot"].plus}
          hand={texts["adjuster.hand"] === "left" ? "left" : "right"}
        />
      )}
    </fieldset>
  );
}

/** Stages that the same move sets as well, as a motor does that carries a belt and a gear. */
function Also({ others }: { others: readonly { id: string; name: string }[] }) {
  const texts = useFormTexts();
  if (others.length === 0) return null;
  return (
    <fieldset className="grid gap-1">
      <legend className="font-semibold">The same move also moves</legend>
      {others.map(({ id, name }) => (
        <div key={id} className="grid gap-1">
          <TickField name={`adjuster.also.${id}.on`} label={name} />
          {texts[`adjuster.also.${id}.on`] === "yes" && (
            <TextField
              name={`adjuster.also.${id}.perMm`}
              label={`${name}: its centres part by`}
              hint="mm for each mm that these part; minus if they come together"
              className="max-w-72"
            />
          )}
        </div>
      ))}
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

/** What parting and coming together mean on the stage that is entered. */
const waysOf = (texts: Texts): readonly [string, string] => {
  const kind = kindIn(texts);
  return kindForms[kind].ways(texts) ?? kindWords[kind].ways;
};

/** What the positive direction does, in a picture and in a sentence: the sign is where most slips are made. */
function Meaning({
  law,
  ways: [apart, together],
  part,
  plus,
  hand,
}: {
  law: Adjuster;
  ways: readonly [string, string];
  /** null: it is not drawn. */
  part: MovedPart | null;
  plus: string;
  hand: "left" | "right";
}) {
  const reader = useWords();
  const amount = sampleAmount[law.type];
  const change = centreChange(law, amount);
  const way = change > 0 ? apart : change < 0 ? together : "does not move anything";
  return (
    <figure className="bg-panel p-4 self-start max-w-md grid gap-3">
      {part && <AdjusterPicture law={law} apart={change > 0} hand={hand} part={part} />}
      <figcaption className="text-lg">
        {amount} {unitWords[unitOf(law)]} <b>{plus}</b> {way}
        {change !== 0 && (
          <>
            , by <span className="figure">{formatNumber(reader, Math.abs(change), 3)}</span> mm
          </>
        )}
        .
      </figcaption>
    </figure>
  );
}
