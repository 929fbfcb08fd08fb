import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { StateMark } from "~/ui/state-mark";
import { ChoiceField } from "../../form/choice-field";
import { over0 } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { InLinePicture } from "../../kinds/coupling/in-line-picture";
import { moveWords, notClosedWords, standWords } from "../../kinds/coupling/in-line-words";
import { verdictState } from "../../words/state";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";

const places = ["top", "right", "bottom", "left"] as const;

/** What is read with the second dial: the hub's face, or the other rim. */
const secondOf = (texts: Texts) => (texts.method === "two-rim" ? ("rim2" as const) : ("face" as const));

function Dial({ name, title }: { name: string; title: string }) {
  return (
    <fieldset className="grid grid-cols-2 sm:grid-cols-5 gap-3">
      <legend className="font-semibold mb-1">{title}</legend>
      {places.map((place) => (
        <TextField
          key={place}
          name={`${name}.${place}`}
          label={
            <>
              <span className="sr-only">{title}, </span>
              {place}
            </>
          }
        />
      ))}
      <TextField
        name={`${name}.sag`}
        label={
          <>
            <span className="sr-only">{title}, </span>
            sag
          </>
        }
        hint="empty: 0"
      />
    </fieldset>
  );
}

function Fields() {
  const texts = useFormTexts();
  const second = secondOf(texts);
  return (
    <>
      <ChoiceField
        name="method"
        legend="Read by"
        usual="rim-face"
        options={[
          { value: "rim-face", label: "rim and face" },
          { value: "two-rim", label: "two rims" },
        ]}
      />
      <p className="text-mid">
        Seen from the movable machine towards the coupling; zero at the top, plunger pushed in is plus, both shafts
        turned together. Sag: what the same dial shows at the bottom on a stiff bar.
      </p>
      <Dial name="rim" title="On the rim" />
      <Dial name={second} title={second === "face" ? "On the face" : "On the other rim"} />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        {second === "face" ? (
          <TextField name="diameter" label="Face read on a diameter of" hint="mm" />
        ) : (
          <TextField name="apart" label="Rims stand apart" hint="mm" />
        )}
        <TextField name="rpm" label="Speed" hint="turns a minute" />
        <TextField name="u" label="Uncertainty of one reading" hint="± mm, k = 2; empty: 0" />
        <TextField name="front" label="Front feet" hint="mm behind the rim; empty: not known" />
        <TextField name="rear" label="Rear feet" hint="mm behind the rim" />
      </div>
    </>
  );
}

function read(texts: Texts) {
  const from = new TextReader(texts);
  const dial = (name: string) => ({
    topMm: from.length(`${name}.top`),
    rightMm: from.length(`${name}.right`),
    bottomMm: from.length(`${name}.bottom`),
    leftMm: from.length(`${name}.left`),
    sagMm: from.lengthOrNull(`${name}.sag`) ?? 0,
  });
  const rpm = from.number("rpm");
  from.want("rpm", rpm > 0, "too-small");
  from.want("rpm", rpm <= 6000, "too-large");
  const expandedUncertaintyMm = from.lengthOrNull("u") ?? 0;
  from.want("u", expandedUncertaintyMm >= 0, "too-small");
  const feet =
    from.has("front") || from.has("rear") ? { frontMm: from.length("front"), rearMm: from.length("rear") } : null;
  if (feet) from.want("rear", feet.rearMm > feet.frontMm, "window-upside-down");
  const common = { rim: dial("rim"), rpm, expandedUncertaintyMm, ...(feet ? { feet } : {}) };
  return from.done(
    secondOf(texts) === "face"
      ? { method: "rim-face" as const, ...common, face: { ...dial("face"), diameterMm: over0(from, "diameter") } }
      : { method: "two-rim" as const, ...common, rim2: dial("rim2"), planesApartMm: over0(from, "apart") },
  );
}

export const tool = benchTool("shaft-align", async () => (await import("~/calc/tools/shaft-align")).shaftAlignTool, {
  example: {
    "rim.top": "0",
    "rim.right": "0.11",
    "rim.bottom": "0.32",
    "rim.left": "0.21",
    "rim.sag": "-0.06",
    "face.top": "0",
    "face.right": "-0.05",
    "face.bottom": "-0.12",
    "face.left": "-0.07",
    diameter: "120",
    rpm: "1450",
    front: "180",
    rear: "460",
  },
  Fields,
  read: (texts) => {
    const { value, problems } = read(texts);
    return value ? { input: value, problems: null } : { input: null, problems };
  },
  say: (reader, found) => (found.valid ? standWords(reader, found) : notClosedWords(reader, found)),
  View: ({ output, texts }) => {
    const reader = useWords();
    const feet = read(texts).value?.feet ?? null;
    const f = (value: number) => formatNumber(reader, value, 2);
    return (
      <div className="grid gap-4">
        <p className="text-xl">
          <StateMark state={verdictState[output.verdict]} />
        </p>
        <InLinePicture found={output} feet={feet} />
        {output.moves && <p className="text-lg">{moveWords(reader, output.moves)}</p>}
        <FigureList
          of={[
            ["Offset", `${f(output.offsetMm)} mm, up to ${f(output.limits.offsetMm)} at this speed (common practice)`],
            [
              "Angle",
              `${f(output.angleMmPerM)} mm a metre, up to ${f(output.limits.angleMmPerM)} at this speed (common practice)`,
            ],
            ["Does not close by", `${output.closureMm.map(f).join(" and ")} mm; 0.02 is the most (common practice)`],
          ]}
        />
      </div>
    );
  },
});
