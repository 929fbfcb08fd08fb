import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { framePullTool } from "~/calc/tools/frame-pull";
import { StateMark } from "~/ui/state-mark";
import { over0 } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { PullPicture } from "../../frames/pull-picture";
import { verdictState } from "../../words/state";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";

type Output = z.output<typeof framePullTool.output>;

function readPull(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("readings", ["tension", "offset", "angle"]);
  read.want("readings", rows.length >= 2, "too-few");
  const readings = rows.map((row) => {
    const tensionN = read.force(`${row}.tension`);
    read.want(`${row}.tension`, !(tensionN < 0), "too-small");
    return { tensionN, offsetMm: read.length(`${row}.offset`), angleDeg: read.angleOr(`${row}.angle`, 0) };
  });
  const targetN = read.force("target");
  read.want("target", !(targetN < 0), "too-small");
  const banded = read.has("lo") || read.has("hi");
  const bandN = banded ? { lo: read.force("lo"), hi: read.force("hi") } : { lo: targetN, hi: targetN };
  read.want("lo", !(bandN.lo < 0), "too-small");
  read.want("lo", !(bandN.lo > bandN.hi), "window-upside-down");
  read.want("target", !(targetN < bandN.lo || targetN > bandN.hi), "aim-outside");
  const angleDeg = read.angleOr("limit.angle", Number.NaN);
  read.want("limit.angle", angleDeg > 0, read.has("limit.angle") ? "too-small" : "missing");
  return read.done({ readings, targetN, bandN, limits: { offsetMm: over0(read, "limit.offset"), angleDeg } });
}

export const tool = benchTool("frame-pull", async () => (await import("~/calc/tools/frame-pull")).framePullTool, {
  example: {
    ...rowTexts("readings", [
      { tension: "0", offset: "0.05", angle: "0.02" },
      { tension: "120", offset: "0.17", angle: "0.08" },
    ]),
    target: "400",
    lo: "60",
    hi: "760",
    "limit.offset": "0.5",
    "limit.angle": "0.25",
  },
  Fields: () => (
    <>
      <RowsField
        name="readings"
        legend="Slack and tensioned"
        hint="Always after going up; then slack once more: what does not come back has slipped, not sprung."
        one="Reading"
        columns={[
          { name: "tension", label: "Tension, N" },
          { name: "offset", label: "Offset, mm" },
          { name: "angle", label: "Angle, °" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="target" label="Tension it will have" hint="N" />
        <TextField name="lo" label="It stays above" hint="N; empty: the same" />
        <TextField name="hi" label="and below" hint="N" />
        <TextField name="limit.offset" label="Offset within ±" hint="mm" />
        <TextField name="limit.angle" label="Angle within ±" hint="°" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readPull(texts)),
  say: (reader, { action, preset, stiffenBy = 1 }) => {
    if (action === "none") return "It stays true: nothing to do";
    if (action === "brace")
      return `No pre-set holds it: brace the frame, ${formatNumber(reader, stiffenBy, 1)} times as stiff`;
    return `Set it up slack at ${formatNumber(reader, preset?.offsetMm ?? 0, 2)} mm and ${formatNumber(reader, preset?.angleDeg ?? 0, 3)}°, and tension pulls it true`;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readPull(texts).value;
  if (!input) return null;
  const f = (value: number, decimals = 2) => formatNumber(reader, value, decimals);
  const ways = [
    { way: "offsetMm", unit: "mm" },
    { way: "angleDeg", unit: "°" },
  ] as const;
  return (
    <div className="grid gap-4">
      <p className="text-xl flex gap-3 items-center">
        As it stands: <StateMark state={verdictState[output.verdict]} />
      </p>
      {ways.map(({ way, unit }) => (
        <PullPicture
          key={way}
          readings={input.readings}
          way={way}
          line={{ slack: output.slack[way], perN: output.perN[way] }}
          preset={output.preset?.[way] ?? null}
          band={input.bandN}
          limit={input.limits[way]}
          unit={unit}
          figure={(value) => f(value)}
        />
      ))}
      <FigureList
        of={[
          ["100 N pull", `${f(100 * output.perN.offsetMm)} mm and ${f(100 * output.perN.angleDeg, 3)}°`],
          ["At its tension", `${f(output.atTarget.offsetMm)} mm and ${f(output.atTarget.angleDeg, 3)}°`],
          ["Readings off the line", `${f(output.residual.offsetMm, 3)} mm and ${f(output.residual.angleDeg, 3)}°, rms`],
        ]}
      />
      <p className="text-mid">
        A pre-set is right for one tension only. A tie between the two shafts stiffens far more than thicker feet
        (common practice).
      </p>
    </div>
  );
}
