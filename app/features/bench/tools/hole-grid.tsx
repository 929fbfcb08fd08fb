import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { parseNumber } from "~/core/quantity";
import type { HoleGrid } from "~/core/trains";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { useWriteTexts } from "../../form/use-form-texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

/** In modules: how much nearer than the sum of the radii, and how much further apart, still runs (common practice, gears on 8 mm holes). */
const seenRunning = { lo: -0.22, hi: 0.84 };

function inputOf(texts: Texts) {
  const read = new TextReader(texts);
  const over0 = (name: string) => {
    const value = read.length(name);
    read.want(name, value > 0, "too-small");
    return value;
  };
  const teeth = read
    .text("teeth")
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((part) => {
      const count = parseNumber(part, true);
      read.want("teeth", count.ok && count.value >= 3, "teeth-too-few");
      return count.ok ? count.value : Number.NaN;
    });
  read.want("teeth", teeth.length > 0, "missing");
  read.want("teeth", teeth.length <= 200, "too-large");
  const moduleMm = over0("module");
  const band = {
    loMm: read.has("lo") ? read.length("lo") : seenRunning.lo * moduleMm,
    hiMm: read.has("hi") ? read.length("hi") : seenRunning.hi * moduleMm,
  };
  read.want("lo", !(band.loMm > band.hiMm), "window-upside-down");
  const maxHoles = read.has("holes") ? read.number("holes", true) : 8;
  read.want("holes", maxHoles >= 1 && maxHoles <= 100, "too-large");
  return read.done({ pitchMm: over0("pitch"), moduleMm, teeth, maxHoles, band });
}

export const tool = benchTool("hole-grid", async () => (await import("~/calc/tools/hole-grid")).holeGridTool, {
  example: { pitch: "8", module: "1", teeth: "12 16 20 24 32 40", show: "1" },
  Fields: () => (
    <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
      <TextField name="pitch" label="Hole to hole" hint="mm" />
      <TextField name="module" label="Module" hint="mm" />
      <TextField name="holes" label="At most so many holes apart" hint="usually 8" inputMode="numeric" />
      <TextField name="teeth" label="Gears at hand" hint="12 16 20 …" className="col-span-full" />
      <TextField name="lo" label="Opening, least" hint="mm; empty: −0.22 modules, nearer binds" />
      <TextField name="hi" label="Opening, most" hint="mm; empty: 0.84 modules, seen running" />
    </div>
  ),
  read: (texts) => {
    const done = inputOf(texts);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (_, { pairs, viaIdler }) =>
    `${pairs.length} ${pairs.length === 1 ? "place meshes" : "places mesh"}${viaIdler.length > 0 ? `, ${viaIdler.length} more through an idler` : ""}`,
  View,
});

function View({ output, texts }: { output: HoleGrid; texts: Texts }) {
  const reader = useWords();
  const write = useWriteTexts();
  const shown = Math.min(output.pairs.length, Math.max(1, Number(texts.show) || 1)) - 1;
  const pair = output.pairs[shown];
  const input = inputOf(texts).value;
  return (
    <div className="grid gap-4">
      {pair && input && <GridPicture pair={pair} pitchMm={input.pitchMm} moduleMm={input.moduleMm} />}
      <table className="w-full text-left" aria-label="Pairs that mesh">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1">Teeth</th>
            <th>Holes</th>
            <th>Centres, mm</th>
            <th>Opening, mm</th>
            <th>
              <span className="sr-only">Show</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {output.pairs.slice(0, 60).map(({ teeth, holes, centreDistanceMm, clearanceMm }, i) => (
            <tr key={`${teeth} ${holes}`} className={`border-b border-rule ${i === shown ? "bg-panel" : ""}`}>
              <td className="figure py-1">{teeth.join(" : ")}</td>
              <td className="figure">
                {holes[0]} along, {holes[1]} across
              </td>
              <td className="figure">{formatNumber(reader, centreDistanceMm, 3)}</td>
              <td className="figure">{formatNumber(reader, clearanceMm, 3)}</td>
              <td>
                <button
                  type="button"
                  className="min-h-11 underline cursor-pointer"
                  aria-label={`Draw ${teeth.join(" and ")} at ${holes.join(", ")}`}
                  onClick={() => write({ show: String(i + 1) })}
                >
                  draw
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {output.viaIdler.length > 0 && (
        <p>
          Through an idler, ratio unchanged and turning the same way:{" "}
          {output.viaIdler
            .slice(0, 30)
            .map(({ teeth, idler }) => `${teeth.join(" : ")} by ${idler}`)
            .join("; ")}
          .
        </p>
      )}
      {output.unreachable.length > 0 && (
        <p className="text-mid">
          Nothing within that opening: {output.unreachable.map((teeth) => teeth.join(" : ")).join(", ")}.
        </p>
      )}
    </div>
  );
}

function GridPicture({
  pair,
  pitchMm,
  moduleMm,
}: {
  pair: HoleGrid["pairs"][number];
  pitchMm: number;
  moduleMm: number;
}) {
  const [r1, r2] = pair.teeth.map((z) => (z * moduleMm) / 2) as [number, number];
  const at = [pair.holes[0] * pitchMm, -pair.holes[1] * pitchMm] as const;
  const left = Math.min(-r1, at[0] - r2) - pitchMm;
  const right = Math.max(r1, at[0] + r2) + pitchMm;
  const top = Math.min(-r1, at[1] - r2) - pitchMm;
  const bottom = Math.max(r1, at[1] + r2) + pitchMm;
  const holes: [number, number][] = [];
  for (let x = Math.ceil(left / pitchMm); x * pitchMm <= right; x++)
    for (let y = Math.ceil(top / pitchMm); y * pitchMm <= bottom; y++) holes.push([x * pitchMm, y * pitchMm]);
  return (
    <svg
      viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
      className="w-full max-h-80 bg-panel"
      role="img"
      aria-label={`Gears of ${pair.teeth.join(" and ")} teeth, ${pair.holes[0]} holes along and ${pair.holes[1]} across`}
    >
      {holes.map(([x, y]) => (
        <circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={0.12 * pitchMm}
          className="fill-ground stroke-mid"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {(
        [
          [0, 0, r1],
          [at[0], at[1], r2],
        ] as const
      ).map(([x, y, r]) => (
        <g key={`${x} ${y}`}>
          <circle
            cx={x}
            cy={y}
            r={r}
            className="fill-none stroke-ink"
            strokeWidth="1.5"
            strokeDasharray="6 3 1.5 3"
            vectorEffect="non-scaling-stroke"
          />
          <circle
            cx={x}
            cy={y}
            r={r + moduleMm}
            className="fill-none stroke-ink"
            strokeWidth="1"
            vectorEffect="non-scaling-stroke"
          />
          <circle cx={x} cy={y} r={0.2 * pitchMm} className="fill-ink" />
        </g>
      ))}
      <path
        d={`M0 0L${at[0]} ${at[1]}`}
        className="stroke-mid"
        strokeDasharray="10 3 2 3"
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
