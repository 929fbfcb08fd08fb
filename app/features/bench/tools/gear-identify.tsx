import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import {
  basePitchMm as basePitchOf,
  comparePitches,
  gearSpan,
  type Identified,
  type PitchName,
  rackAsExternal,
  ringAsExternal,
  saidToothToTooth,
  toothCircles,
  toothOutlines,
} from "~/core/gears";
import { severalQuantities } from "~/core/quantity";
import { moduleOfDiametralPitch } from "~/core/reference";
import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { readPitch, TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { matchWords } from "../../words/unwise";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const nameOf = (reader: Reader, { system, value }: PitchName): string =>
  system === "module" ? `module ${formatNumber(reader, value, 3).replace(/\.?0+$/, "")}` : `${value} DP`;
const moduleOf = ({ system, value }: PitchName): number =>
  system === "module" ? value : moduleOfDiametralPitch(value);
const f = (reader: Reader, value: number, decimals = 3): string => formatNumber(reader, value, decimals);

function readMean(read: TextReader, texts: Texts, name: string): number {
  const values = severalQuantities(texts[name] ?? "").map((typed, i) =>
    new TextReader({ [`${name}${i}`]: typed }).length(`${name}${i}`),
  );
  if (values.length === 0 || values.some((value) => !(value > 0))) {
    // Read as one, so that the refusal names what was not understood.
    const value = read.length(name);
    read.want(name, value > 0, "too-small");
    return value;
  }
  return values.reduce((a, b) => a + b, 0) / values.length;
}

/** Teeth and diameters of the first gear, or with `2` behind the names of a second one. */
function readGear(read: TextReader, texts: Texts, suffix: "" | "2") {
  const teeth = read.number(`teeth${suffix}`, true);
  read.want(`teeth${suffix}`, teeth >= 3, "teeth-too-few");
  const tip = readMean(read, texts, `tip${suffix}`);
  const root = read.has(`root${suffix}`) ? readMean(read, texts, `root${suffix}`) : undefined;
  return {
    toothCount: teeth,
    tipDiameterMm: tip,
    ...(root === undefined ? {} : { rootDiameterMm: root }),
    measuredBy: read.text("by") === "diameter" ? ("diameter" as const) : ("caliper" as const),
    resolutionMm: read.has("resolution") ? read.length("resolution") : 0.01,
  };
}

const shapes = ["gear", "ring", "rack"] as const;
const shapeIn = (texts: Texts): (typeof shapes)[number] => shapes.find((shape) => shape === texts.shape) ?? "gear";

/** As the external gear by whose rule it is identified: a ring by its inside tips, a rack by its pitches. */
function readShape(read: TextReader, texts: Texts) {
  const shape = shapeIn(texts);
  if (shape === "rack") {
    const pitches = read.number("pitches", true);
    read.want("pitches", !(pitches < 2), "too-small");
    read.want("pitches", !(pitches > 1000), "too-large");
    const mm = readMean(read, texts, "rack");
    const step = read.has("resolution") ? read.length("resolution") : 0.01;
    return { ...rackAsExternal(pitches, mm), measuredBy: "diameter" as const, resolutionMm: step };
  }
  const gear = readGear(read, texts, "");
  if (shape === "gear") return gear;
  const { tipDiameterMm, rootDiameterMm } = gear;
  read.want("root", rootDiameterMm === undefined || rootDiameterMm > tipDiameterMm, "too-small");
  return { ...gear, ...ringAsExternal(gear), measuredBy: "diameter" as const };
}

export const tool = benchTool("gear-identify", async () => (await import("~/calc/tools/gear-identify")).gearIdentify, {
  example: { teeth: "52", tip: "42.9", root: "39.5" },
  Fields,
  read: (texts) => {
    const read = new TextReader(texts);
    const gear = readShape(read, texts);
    const spans = ["span1", "span2"].flatMap((name) =>
      read.has(`${name}.mm`) || read.has(`${name}.teeth`)
        ? [{ teeth: read.number(`${name}.teeth`, true), mm: readMean(read, texts, `${name}.mm`) }]
        : [],
    );
    if (spans.length === 1) read.want(read.has("span1.mm") ? "span2.mm" : "span1.mm", false, "missing");
    read.want("resolution", gear.resolutionMm > 0, "too-small");
    const done = read.done({ ...gear, ...(spans.length === 2 ? { spans } : {}) });
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, output, texts) => {
    const { all, one } = mayBe(reader, output, texts);
    if (all.length === 0) return "No standard pitch is near";
    if (one && all.length === 1) return `It is ${nameOf(reader, one)}`;
    const said = `${all.map((name) => nameOf(reader, name)).join(" or ")}, not to be told by this`;
    return one ? `${said}; by the system used here ${nameOf(reader, one)}` : said;
  },
  View,
  part: (reader, output, texts) => {
    const { all, one } = mayBe(reader, output, texts);
    if (all.length === 0 || shapeIn(texts) === "rack") return null;
    const shape = shapeIn(texts) === "ring" ? "Ring gear" : "Gear";
    const pitch = (one ? [one] : all).map((name) => nameOf(reader, name).replace("module ", "m ")).join(" or ");
    const teeth = texts.teeth?.trim() ?? "";
    return {
      name: `${shape} ${pitch} z ${teeth}`,
      // Of two that cannot be told apart neither is put into a drawer as a fact.
      figures: { teeth, ...(one ? { moduleMm: String(Number(moduleOf(one).toFixed(6))) } : {}) },
    };
  },
});

/** Pitches nearer than this to what was measured cannot be told from the best: a tip is turned, worn or burred by as much (common practice). */
const toldApartPercent = 1;
/** Of a base pitch from two spans. */
const baseToldApartPercent = 0.3;

/** What it may be, the nearest first, and which of them it is: where it is the only one, or the only one of the system used here. */
function mayBe(reader: Reader, output: Identified, texts: Texts): { all: PitchName[]; one: PitchName | null } {
  const [best] = output.candidates;
  if (!best) return { all: [], one: null };
  const all = [best, ...notToBeTold(reader, output)];
  const usual = all.length === 1 ? all : all.filter(({ system }) => system === texts.system);
  return { all, one: usual.length === 1 ? (usual[0] ?? null) : null };
}

/** Candidates beside the best that it may as well be. */
function notToBeTold(
  reader: Reader,
  { candidates, confusable, basePitchMm, pressureAngleDeg }: Identified,
): PitchName[] {
  const [best, ...rest] = candidates;
  if (!best) return [];
  if (basePitchMm !== undefined && pressureAngleDeg !== undefined) {
    const off = (name: PitchName) =>
      100 * Math.abs(basePitchOf({ moduleMm: moduleOf(name), pressureAngleDeg }) / basePitchMm - 1);
    return rest.filter((name) => off(name) <= baseToldApartPercent);
  }
  const confused = (name: PitchName) =>
    confusable.some(
      (pair) =>
        pair.some((one) => nameOf(reader, one) === nameOf(reader, best)) &&
        pair.some((one) => nameOf(reader, one) === nameOf(reader, name)),
    );
  return rest.filter((name) => Math.abs(name.deviationPercent) <= toldApartPercent || confused(name));
}

function Fields() {
  const shape = shapeIn(useFormTexts());
  const inside = shape === "ring";
  return (
    <>
      <ChoiceField
        name="shape"
        legend="It is a"
        usual="gear"
        options={[
          { value: "gear", label: "gear" },
          { value: "ring", label: "ring, teeth inside" },
          { value: "rack", label: "rack" },
        ]}
      />
      {shape === "rack" ? (
        <div className="grid grid-cols-2 gap-4">
          <TextField name="pitches" label="Over so many teeth" hint="from flank to like flank" inputMode="numeric" />
          <TextField name="rack" label="it measures" hint="mm; repeats with a space between" />
        </div>
      ) : (
        <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
          <TextField name="teeth" label="Teeth" inputMode="numeric" />
          <TextField
            name="tip"
            label={inside ? "Between the tips" : "Over the tips"}
            hint="mm; repeats with a space between"
          />
          <TextField name="root" label="Over the roots" hint="in two gaps; may be left out" />
        </div>
      )}
      {shape === "gear" && (
        <ChoiceField
          name="by"
          legend="Measured as"
          usual="caliper"
          options={[
            { value: "caliper", label: "a caliper reads it" },
            { value: "diameter", label: "true diameters" },
          ]}
        />
      )}
      <ChoiceField
        name="system"
        legend="Used here"
        usual=""
        options={[
          { value: "", label: "not known" },
          { value: "module", label: "modules" },
          { value: "diametral-pitch", label: "diametral pitch" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-4 gap-4">
        <TextField name="span1.teeth" label="Span over" hint="teeth" inputMode="numeric" />
        <TextField name="span1.mm" label="reads" hint="mm" />
        <TextField name="span2.teeth" label="and over" hint="teeth" inputMode="numeric" />
        <TextField name="span2.mm" label="reads" hint="mm" />
      </div>
      <div className="grid grid-cols-2 gap-4">
        <TextField name="resolution" label="Instrument's step" hint="mm, 0.01 for a good caliper" />
        <TextField name="said" label="Said to be" hint="module, or with DP: what somebody told you" />
      </div>
      <fieldset className="border-t border-rule pt-3">
        <legend className="font-bold">Will this other gear mesh with it?</legend>
        <div className="grid grid-cols-2 sm:grid-cols-4 gap-4">
          <TextField name="pitch2" label="Its pitch" hint="module, or with DP" />
          <TextField name="teeth2" label="or its teeth" inputMode="numeric" />
          <TextField name="tip2" label="over the tips" />
          <TextField name="root2" label="over the roots" />
        </div>
      </fieldset>
    </>
  );
}

function View({ output, texts }: { output: Identified; texts: Texts }) {
  const reader = useWords();
  const { candidates, moduleEstimateMm } = output;
  const best = candidates[0];
  const scatter = severalQuantities(texts.tip ?? "").length > 1 ? severalQuantities(texts.tip ?? "").length : 0;
  const said = texts.said?.trim() ? readPitch(texts.said) : null;
  const teeth = Number(texts.teeth);
  const shape = shapeIn(texts);
  return (
    <div className="grid gap-4">
      {best && shape !== "rack" && <GearPicture teeth={teeth} moduleMm={best.moduleMm} ring={shape === "ring"} />}
      {best && shape === "rack" && <RackPicture moduleMm={best.moduleMm} />}
      <p>
        By measurement module <b className="figure">{f(reader, moduleEstimateMm, 4)}</b>
        {scatter > 0 && `, from ${scatter} readings`}
        {output.basePitchMm !== undefined && (
          <>
            ; base pitch <b className="figure">{f(reader, output.basePitchMm, 4)}</b> mm, pressure angle{" "}
            {output.pressureAngleDeg}°
          </>
        )}
        .
      </p>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1">Standard pitch</th>
            <th>As a module</th>
            <th>Off by</th>
          </tr>
        </thead>
        <tbody>
          {candidates.map((candidate) => (
            <tr key={nameOf(reader, candidate)} className="border-b border-rule">
              <td className="py-1">{nameOf(reader, candidate)}</td>
              <td className="figure">{f(reader, candidate.moduleMm, 4)}</td>
              <td className="figure">{f(reader, candidate.deviationPercent, 1)} %</td>
            </tr>
          ))}
        </tbody>
      </table>
      {best &&
        notToBeTold(reader, output).map((other) => (
          <p key={nameOf(reader, other)} className="border-l-4 border-near pl-3">
            {nameOf(reader, best)} and {nameOf(reader, other)} cannot be told apart by this.{" "}
            {shape === "gear" ? tellingWords(reader, best, other, teeth) : toldApart[shape]}
          </p>
        ))}
      {said?.ok && <Said saidMm={said.value} estimateMm={moduleEstimateMm} dp={/dp/i.test(texts.said ?? "")} />}
      {best && (
        <Other
          texts={texts}
          against={saidPitch(texts, moduleEstimateMm) ?? { name: nameOf(reader, best), moduleMm: best.moduleMm }}
        />
      )}
    </div>
  );
}

/** How those that have no span to measure are told apart. */
const toldApart = {
  ring: "Measure over pins, or roll a gear of known pitch in it all the way round.",
  rack: "Measure over more teeth: the difference grows with each.",
} as const;

/** What measurement would tell two pitches apart, and how sharp it has to be. */
function tellingWords(reader: Reader, a: PitchName, b: PitchName, teeth: number): string {
  const span = (name: PitchName) =>
    gearSpan({
      teeth,
      moduleMm: moduleOf(name),
      pressureAngleDeg: 20,
      helixAngleDeg: 0,
      profileShift: 0,
      thinningMm: 0,
      ring: false,
    });
  const [first, second] = [span(a), span(b)];
  if (!first.ok || !second.ok) return "Measure over two spans.";
  const apart = Math.abs(first.value.spanMm - second.value.spanMm);
  return `A span over ${first.value.spanTeeth} teeth reads ${f(reader, first.value.spanMm)} or ${f(reader, second.value.spanMm)} mm at 20°: ${f(reader, apart)} mm apart, so the instrument has to be good to ${f(reader, apart / 4)}. Two spans, over ${first.value.spanTeeth} and ${first.value.spanTeeth + 2} teeth, do it without knowing the shift.`;
}

function Said({ saidMm, estimateMm, dp }: { saidMm: number; estimateMm: number; dp: boolean }) {
  const reader = useWords();
  if (saidToothToTooth(saidMm, estimateMm))
    return (
      <p role="status" className="border-l-4 border-outside pl-3">
        <b>
          {dp
            ? "What was said is the teeth in an inch of rim, not the diametral pitch."
            : "What was said is the distance from tooth to tooth, not the module."}
        </b>{" "}
        It is π times too large: divided by π it is module {f(reader, saidMm / Math.PI, 3)}.
      </p>
    );
  const off = (100 * (saidMm - estimateMm)) / estimateMm;
  return (
    <p role="status" className="border-l-4 border-rule pl-3">
      What was said is {f(reader, Math.abs(off), 1)} % {off > 0 ? "more" : "less"} than what was measured.
    </p>
  );
}

/** The pitch that somebody said, where it can be one: then the other gear is held against that, and not against what was measured. */
function saidPitch(texts: Texts, estimateMm: number): { name: string; moduleMm: number } | null {
  const said = texts.said?.trim() ? readPitch(texts.said) : null;
  if (!said?.ok || saidToothToTooth(said.value, estimateMm)) return null;
  return { name: `${texts.said?.trim()}, as it was said`, moduleMm: said.value };
}

/** The second gear against the first: graded by the error of its base pitch. */
function Other({ texts, against }: { texts: Texts; against: { name: string; moduleMm: number } }) {
  const reader = useWords();
  const pitch = texts.pitch2?.trim() ? readPitch(texts.pitch2) : null;
  const read = new TextReader(texts);
  const measured = !pitch && read.has("teeth2") && read.has("tip2") ? readGear(read, texts, "2") : null;
  const moduleMm = pitch?.ok
    ? pitch.value
    : measured && Object.keys(read.problems).length === 0
      ? measuredModule(measured)
      : null;
  if (!moduleMm) return null;
  const rack = { moduleMm: against.moduleMm, pressureAngleDeg: 20 };
  const { errorMm, errorPercent, match } = comparePitches(rack, { moduleMm, pressureAngleDeg: 20 });
  const good = match === "same" || match === "near-miss";
  return (
    <p role="status" className={`border-l-4 pl-3 text-lg ${good ? "border-inside" : "border-outside"}`}>
      <b>Against {against.name}:</b> base pitch {errorMm >= 0 ? "+" : "−"}
      {f(reader, Math.abs(errorMm), 4)} mm, {f(reader, Math.abs(errorPercent), 1)} %. {matchWords[match]}{" "}
      <span className="text-mid">
        {measured && !pitch ? `The other measures module ${f(reader, moduleMm, 3)}. ` : ""}Grades by the error of the
        base pitch, both at 20° (common practice).
      </span>
    </p>
  );
}

const measuredModule = ({ toothCount, tipDiameterMm, rootDiameterMm }: ReturnType<typeof readGear>): number =>
  rootDiameterMm === undefined
    ? tipDiameterMm / (toothCount + 2)
    : (tipDiameterMm - (tipDiameterMm - rootDiameterMm) / 2.25) / toothCount;

/** A few teeth of a rack at 20°, to scale. */
function RackPicture({ moduleMm }: { moduleMm: number }) {
  const pitch = Math.PI * moduleMm;
  const slant = Math.tan(Math.PI / 9) * moduleMm;
  const tooth = (x: number) =>
    `L${x + pitch / 4 - 1.25 * slant} ${1.25 * moduleMm}L${x + pitch / 4 + slant} ${-moduleMm}L${x + (3 * pitch) / 4 - slant} ${-moduleMm}L${x + (3 * pitch) / 4 + 1.25 * slant} ${1.25 * moduleMm}`;
  const teeth = [0, 1, 2, 3, 4].map((i) => tooth(i * pitch)).join("");
  return (
    <svg
      viewBox={`${-pitch / 4} ${-2 * moduleMm} ${5.5 * pitch} ${5 * moduleMm}`}
      className="w-full max-h-40 bg-panel"
      role="img"
      aria-label="Five teeth of the rack, to scale"
    >
      <path
        d={`M0 ${2.5 * moduleMm}V${1.25 * moduleMm}${teeth}L${5 * pitch} ${1.25 * moduleMm}V${2.5 * moduleMm}Z`}
        className="fill-ground stroke-ink"
        strokeWidth="1.3"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

function GearPicture({ teeth, moduleMm, ring }: { teeth: number; moduleMm: number; ring: boolean }) {
  const reader = useWords();
  const blank = {
    teeth,
    moduleMm,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    profileShift: 0,
    thinningMm: 0,
    ring,
  };
  const { tipDiameterMm, rootDiameterMm } = toothCircles(blank);
  const r = Math.max(tipDiameterMm, rootDiameterMm) / 2;
  const path = toothOutlines(blank, 3)
    .flat()
    .map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`)
    .join("L");
  return (
    <svg
      viewBox={`${-1.15 * r} ${-1.15 * r} ${2.3 * r} ${2.3 * r}`}
      className="h-64 bg-panel w-full"
      role="img"
      aria-label={`${teeth} teeth, tip circle ${f(reader, tipDiameterMm, 2)} mm, root circle ${f(reader, rootDiameterMm, 2)} mm`}
    >
      <path d={`M${path}Z`} className="fill-ground stroke-ink" strokeWidth="1.3" vectorEffect="non-scaling-stroke" />
      <path
        d={`M${-r} ${-1.08 * r}V${1.08 * r}M${r} ${-1.08 * r}V${1.08 * r}`}
        className="stroke-mid"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
      <circle
        r={rootDiameterMm / 2}
        className="fill-none stroke-mid"
        strokeDasharray="4 4"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
