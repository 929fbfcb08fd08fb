import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { Fit } from "~/core/limits";
import { severalQuantities } from "~/core/quantity";
import { holeClasses, shaftClasses } from "~/core/reference";
import { SelectField, TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { useFormTexts } from "../../form/use-form-texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const f = (reader: Reader, value: number): string => formatNumber(reader, value, 3);
const kindWords = {
  clearance: "It always runs free",
  transition: "It may be free or tight",
  interference: "It is always tight",
} as const;

export const tool = benchTool("fit", async () => (await import("~/calc/tools/fit")).fitTool, {
  example: { nominal: "20", "hole.class": "H7", "shaft.class": "g6" },
  Fields,
  read: (texts) => {
    const read = new TextReader(texts);
    const side = (name: "hole" | "shaft", classes: readonly string[]) => {
      const chosen = read.text(`${name}.class`);
      if (classes.includes(chosen)) return { [`${name}Class`]: chosen };
      const field = `${name}.read`;
      const typed = severalQuantities(read.text(field));
      const values = typed.map((text, i) => new TextReader({ [`${field}${i}`]: text }).length(`${field}${i}`));
      // Read as one, so that the refusal names what was not understood.
      if (values.length === 0 || values.some((value) => !(value > 0))) read.length(field);
      read.want(field, values.length > 0 && values.every((value) => value > 0), "too-small");
      return { [`${name}Mm`]: [Math.min(...values), Math.max(...values)] };
    };
    const input = { ...side("hole", holeClasses), ...side("shaft", shaftClasses) };
    const byClass = "holeClass" in input || "shaftClass" in input;
    const nominalMm = byClass ? read.length("nominal") : undefined;
    if (byClass) read.want("nominal", (nominalMm ?? 0) > 0 && (nominalMm ?? 0) <= 500, "nominal-out-of-range");
    const done = read.done({ ...input, ...(byClass ? { nominalMm } : {}) });
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, { kind, clearanceMm }) =>
    `${kindWords[kind]}: ${f(reader, clearanceMm[0])} to ${f(reader, clearanceMm[1])} mm of clearance`,
  View: ({ output, texts }) => <Zones output={output} nominal={Number((texts.nominal ?? "").replace(",", "."))} />,
});

function Fields() {
  return (
    <>
      <TextField name="nominal" label="Nominal" hint="mm, up to 500; for classes" className="max-w-60" />
      <div className="grid sm:grid-cols-2 gap-6">
        <Side name="hole" label="Hole" classes={holeClasses} />
        <Side name="shaft" label="Shaft" classes={shaftClasses} />
      </div>
    </>
  );
}

function Side({ name, label, classes }: { name: "hole" | "shaft"; label: string; classes: readonly string[] }) {
  const texts = useFormTexts();
  const chosen = texts[`${name}.class`] ?? "";
  return (
    <div className="grid gap-3 content-start">
      <SelectField name={`${name}.class`} label={label}>
        <option value="">as measured</option>
        {classes.map((item) => (
          <option key={item}>{item}</option>
        ))}
      </SelectField>
      {!classes.includes(chosen) && (
        <TextField
          name={`${name}.read`}
          label="Readings"
          hint="measure it more than once: all of them, with a space between"
        />
      )}
    </div>
  );
}

/** Both zones to one scale, about the nominal where there is one. */
function Zones({ output, nominal }: { output: Fit; nominal: number }) {
  const reader = useWords();
  const all = [...output.holeMm, ...output.shaftMm];
  const zero = nominal > 0 ? nominal : Math.min(...all);
  const low = Math.min(...all, zero);
  const high = Math.max(...all, zero);
  const reach = high - low || 1;
  const y = (value: number) => 20 + (180 * (high - value)) / reach;
  const bar = (x: number, [lo, hi]: readonly [number, number], name: string) => (
    <g>
      <rect
        x={x}
        y={y(hi)}
        width="90"
        height={Math.max(2, y(lo) - y(hi))}
        className="fill-band stroke-band-line"
        strokeWidth="1.5"
      />
      <text x={x + 45} y={Math.max(16, y(hi) - 6)} textAnchor="middle" fontSize="16" className="fill-ink">
        {name}
      </text>
      <text x={x + 96} y={y(hi) + 5} fontSize="15" className="fill-mid figure">
        {f(reader, hi)}
      </text>
      <text x={x + 96} y={Math.max(y(lo) + 5, y(hi) + 22)} fontSize="15" className="fill-mid figure">
        {f(reader, lo)}
      </text>
    </g>
  );
  return (
    <div className="grid gap-3">
      <svg
        viewBox="0 0 420 230"
        className="w-full bg-panel"
        role="img"
        aria-label="Tolerance zones of hole and shaft, to scale"
      >
        <line x1="20" x2="400" y1={y(zero)} y2={y(zero)} className="stroke-ink" strokeWidth="1.5" />
        {bar(50, output.holeMm, "hole")}
        {bar(230, output.shaftMm, "shaft")}
      </svg>
      <p className="text-mid">
        Classes by ISO 286-1 and -2. A light press fit for a bearing lies about nothing to a few hundredths of
        interference; try a sample first.
      </p>
    </div>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
