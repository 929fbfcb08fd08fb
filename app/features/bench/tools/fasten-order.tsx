import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { ClampPoints } from "../../clamps/clamp-points";
import { readClampPoints } from "../../clamps/read-clamps";
import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

type Order = { order: number[]; passes: { torqueNm?: number; order: number[] }[] };

const inputOf = (texts: Texts) => {
  const read = new TextReader(texts);
  const passes = read.has("passes") ? read.number("passes", true) : 3;
  read.want("passes", passes >= 1, "too-small");
  read.want("passes", passes <= 100, "too-large");
  const torqueNm = read.has("torque") ? read.torque("torque") : undefined;
  read.want("torque", torqueNm === undefined || torqueNm >= 0, "too-small");
  const shared = { passes, ...(torqueNm === undefined ? {} : { torqueNm }) };
  if (texts["clamps.way"] === "points") {
    const points = readClampPoints(texts);
    Object.assign(read.problems, points.problems ?? {});
    return read.done({ points: points.value ?? [], ...shared });
  }
  const bolts = read.number("bolts", true);
  read.want("bolts", bolts >= 1, "too-small");
  read.want("bolts", bolts <= 1000, "too-large");
  return read.done({ bolts, ...shared });
};

export const tool = benchTool("fasten-order", async () => (await import("~/calc/tools/fasten-order")).fastenOrderTool, {
  example: { bolts: "6", passes: "3", torque: "24" },
  Fields,
  read: (texts) => {
    const read = inputOf(texts);
    return read.value ? { input: read.value, problems: null } : { input: null, problems: read.problems };
  },
  say: (_, { order }) => (order.length > 16 ? `${order.slice(0, 16).join(", ")} …` : order.join(", ")),
  View,
});

function Fields() {
  const texts = useFormTexts();
  return (
    <>
      <ChoiceField
        name="clamps.way"
        legend="They stand"
        usual="circle"
        options={[
          { value: "circle", label: "on a circle" },
          { value: "points", label: "point by point" },
        ]}
      />
      {texts["clamps.way"] === "points" ? (
        <ClampPoints />
      ) : (
        <TextField name="bolts" label="How many" inputMode="numeric" className="max-w-60" />
      )}
      <div className="grid grid-cols-2 gap-4">
        <TextField name="passes" label="Passes" hint="3 is usual" inputMode="numeric" />
        <TextField name="torque" label="Full torque" hint="N·m" />
      </div>
    </>
  );
}

function View({ output, texts }: { output: Order; texts: Texts }) {
  const reader = useWords();
  const read = inputOf(texts).value;
  if (!read) return null;
  const places =
    "points" in read
      ? read.points
      : Array.from({ length: read.bolts }, (_, i) => ({
          x: Math.sin((2 * Math.PI * i) / read.bolts),
          y: -Math.cos((2 * Math.PI * i) / read.bolts),
        }));
  const reach = Math.max(...places.flatMap(({ x, y }) => [Math.abs(x), Math.abs(y)]), 1e-9);
  const at = (value: number) => (130 * value) / reach;
  const small = places.length > 24;
  return (
    <div className="grid gap-3">
      <svg
        viewBox="-165 -165 330 330"
        className="w-full max-h-80 bg-panel"
        role="img"
        aria-label="Where they stand, each with its turn in the order"
      >
        <polyline
          points={output.order.map((n) => `${at(places[n - 1]?.x ?? 0)},${at(places[n - 1]?.y ?? 0)}`).join(" ")}
          className="fill-none stroke-rule"
          strokeWidth="1.5"
          strokeDasharray="4 4"
        />
        {places.map(({ x, y }, i) => (
          <g key={`${i + 1}`} transform={`translate(${at(x)} ${at(y)})`}>
            <circle r={small ? 7 : 16} className="fill-panel stroke-ink" strokeWidth="2" />
            {!small && (
              <text y="6" textAnchor="middle" fontSize="17" className="fill-ink figure">
                {i + 1}
              </text>
            )}
          </g>
        ))}
      </svg>
      <ol className="grid gap-1">
        {output.passes.map((pass, i) => (
          <li key={`${i + 1}`} className="border-t border-rule py-1">
            <b>Pass {i + 1}</b>
            {pass.torqueNm !== undefined && (
              <>
                , <span className="figure">{formatNumber(reader, pass.torqueNm, 1)}</span> N·m
              </>
            )}
            : <span className="figure">{pass.order.join(" – ")}</span>
          </li>
        ))}
      </ol>
      <p className="text-mid">
        Start every screw before any is tightened. Opposite ones in turn, as wheel nuts are (common practice).
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
