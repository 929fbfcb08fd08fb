import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { trendTool } from "~/calc/tools/trend";
import { PointsPlot } from "~/ui/points-plot";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

type Trend = z.output<typeof trendTool.output>;

function readPoints(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("points", ["t", "y"]);
  read.want("points", rows.length >= 3, "too-few-readings");
  const points = rows.map((row) => ({ t: read.number(`${row}.t`), y: read.number(`${row}.y`) }));
  const resets = read.rows("resets", ["t"]).map((row) => read.number(`${row}.t`));
  return read.done({ points, resets, ...(read.has("limit") ? { limit: read.number("limit") } : {}) });
}

export const tool = benchTool("trend", async () => (await import("~/calc/tools/trend")).trendTool, {
  example: {
    ...rowTexts("points", [
      { t: "0", y: "92" },
      { t: "200", y: "88" },
      { t: "450", y: "83" },
      { t: "700", y: "95" },
      { t: "900", y: "91" },
      { t: "1150", y: "87" },
    ]),
    ...rowTexts("resets", [{ t: "700" }]),
    limit: "75",
  },
  Fields: () => (
    <>
      <RowsField
        name="points"
        legend="Read over time, hours or starts"
        one="Reading"
        columns={[
          { name: "t", label: "At" },
          { name: "y", label: "Read" },
        ]}
      />
      <RowsField
        name="resets"
        legend="Set anew, or a part changed"
        hint="The line starts anew there; a reading at the same time is the first after it."
        one="Reset"
        columns={[{ name: "t", label: "At" }]}
      />
      <TextField name="limit" label="Its limit" hint="empty: not known" />
    </>
  ),
  read: (texts) => inputFrom(readPoints(texts)),
  say: (reader, { slope, crossing }) => {
    const f = (value: number) => formatNumber(reader, value, decimalsFor(value));
    if (crossing === undefined) return `It changes by ${f(slope)} a unit of time`;
    if (crossing === null) return "It does not come to its limit";
    const { t, earliest, latest } = crossing;
    const until = latest === null ? "or later, or never" : `and ${f(latest)}`;
    return `It comes to its limit at ${f(t)}: ${latest === null ? "at" : "between"} ${f(earliest)} ${until}`;
  },
  View,
});

/** Three figures that count. */
const decimalsFor = (value: number): number =>
  value === 0 ? 0 : Math.min(6, Math.max(0, 2 - Math.floor(Math.log10(Math.abs(value)))));

function View({ output: { slope, slopeInterval, level, crossing }, texts }: { output: Trend; texts: Texts }) {
  const reader = useWords();
  const { value } = readPoints(texts);
  if (!value) return null;
  const { points, resets, limit } = value;
  const ts = points.map(({ t }) => t);
  const last = Math.max(...ts);
  const since = Math.max(Math.min(...ts), ...resets.filter((reset) => reset <= last));
  const ahead = crossing ? crossing.t : last;
  const at = (t: number) => ({ x: t, y: level + slope * (t - last) });
  return (
    <div className="grid gap-3">
      <PointsPlot
        points={points.map(({ t, y }) => ({ x: t, y }))}
        lines={[
          { kind: "fit", points: [at(since), at(last)] },
          ...(ahead > last ? [{ kind: "ahead" as const, points: [at(last), at(ahead)] }] : []),
          ...(limit === undefined
            ? []
            : [
                {
                  kind: "limit" as const,
                  points: [Math.min(...ts), Math.max(last, ahead)].map((x) => ({ x, y: limit })),
                },
              ]),
        ]}
        label="Readings over time, the line through those since it was last set, and where it leads"
        axes="Read over time"
        figure={(figure, decimals) => formatNumber(reader, figure, decimals)}
      />
      <p className="text-lg">
        It changes by {formatNumber(reader, slope, decimalsFor(slope))} a unit of time, surely between{" "}
        {formatNumber(reader, slopeInterval[0], decimalsFor(slope))} and{" "}
        {formatNumber(reader, slopeInterval[1], decimalsFor(slope))}.
      </p>
      <p className="text-mid">
        The middle of the slopes of all pairs (Theil–Sen): one bad reading does not turn it. First readings after a
        reset may still be running in; leave them out.
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
