import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { Counterbalance } from "~/core/axes";
import { BalancePicture } from "../../axes/balance-picture";
import { count, over0, over0Or, positiveOr } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

function readBalance(texts: Texts) {
  const read = new TextReader(texts);
  const loadN = read.force("load");
  read.want("load", loadN > 0, "too-small");
  const rows = read.rows("points", ["at", "force"]);
  read.want("points", rows.length >= 2, "too-few");
  const points = rows.map((row) => ({ extensionMm: read.length(`${row}.at`), forceN: read.force(`${row}.force`) }));
  for (const [i, row] of rows.entries()) {
    const [point, before] = [points[i], points[i - 1]];
    read.want(`${row}.at`, !(point && point.extensionMm < 0), "too-small");
    read.want(`${row}.force`, !(point && point.forceN < 0), "too-small");
    read.want(`${row}.at`, !(point && before && point.extensionMm <= before.extensionMm), "too-small");
    read.want(`${row}.force`, !(point && before && point.forceN < before.forceN), "too-small");
  }
  const extensionAtTopMm = read.length("top");
  read.want("top", !(extensionAtTopMm < 0), "too-small");
  const frictionN = read.has("friction") ? read.force("friction") : 0;
  read.want("friction", !(frictionN < 0), "too-small");
  const most = over0Or(read, "most", undefined);
  const pulley = over0Or(read, "pulley", undefined);
  return read.done({
    loadN,
    strand: { points },
    strands: count(read, "strands", 0),
    reeving: positiveOr(read, "reeving", 1),
    extensionAtTopMm,
    travelMm: over0(read, "travel"),
    frictionN,
    ...(most === undefined ? {} : { maxExtensionMm: most }),
    ...(pulley === undefined ? {} : { pulleyPitchDiameterMm: pulley }),
  });
}

export const tool = benchTool(
  "counterbalance",
  async () => (await import("~/calc/tools/counterbalance")).counterbalanceTool,
  {
    example: {
      load: "330",
      ...rowTexts("points", [
        { at: "100", force: "28" },
        { at: "500", force: "44" },
      ]),
      strands: "8",
      top: "120",
      travel: "420",
      friction: "12",
    },
    Fields: () => (
      <>
        <div className="grid grid-cols-2 gap-4">
          <TextField name="load" label="Load" hint="N, or kg" />
          <TextField name="travel" label="Travel" hint="mm" />
        </div>
        <RowsField
          name="points"
          legend="One strand, as read"
          hint="Stretched step by step with a spring scale; an elastic cord from the side on which it will work."
          one="Point"
          columns={[
            { name: "at", label: "Stretch, mm" },
            { name: "force", label: "Force, N" },
          ]}
        />
        <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
          <TextField name="strands" label="Strands" inputMode="numeric" />
          <TextField name="top" label="Stretch at the top" hint="mm" />
          <TextField name="reeving" label="mm of strand a mm of load" hint="empty: 1" />
          <TextField name="friction" label="Friction" hint="N; half of up less down" />
          <TextField name="most" label="Never stretched beyond" hint="mm" />
          <TextField name="pulley" label="Pulley of the drive" hint="pitch diameter, mm" />
        </div>
      </>
    ),
    read: (texts) => inputFrom(readBalance(texts)),
    say: (reader, { worstN, worstGoing, worstAtMm, bestStrands, bestWorstN, feasible, reachMm }) => {
      const f = (value: number) => formatNumber(reader, value, 0);
      if (!feasible) return `A strand would be stretched too far: the travel may be ${f(reachMm ?? 0)} mm`;
      const worst = `At worst ${f(worstN)} N ${worstGoing === "up" ? "to lift" : "to press down"}, ${f(worstAtMm)} mm below the top`;
      return bestWorstN < worstN - 0.5 ? `${worst}; ${bestStrands} strands would leave ${f(bestWorstN)} N` : worst;
    },
    View,
  },
);

function View({ output }: { output: Counterbalance }) {
  const reader = useWords();
  const f = (value: number, decimals = 0) => formatNumber(reader, value, decimals);
  const [top, bottom] = [output.positions[0], output.positions.at(-1)];
  return (
    <div className="grid gap-4">
      <BalancePicture
        positions={output.positions}
        worstAtMm={output.worstAtMm}
        balanceAtMm={output.balanceAtMm}
        figure={(value) => f(value)}
      />
      <FigureList
        of={[
          ["At the top", `up ${f(top?.upN ?? 0)} N, down ${f(top?.downN ?? 0)} N`],
          ["At the bottom", `up ${f(bottom?.upN ?? 0)} N, down ${f(bottom?.downN ?? 0)} N`],
          ["Even", output.balanceAtMm === null ? "nowhere" : `${f(output.balanceAtMm)} mm below the top`],
          ...(output.torqueNm === undefined ? [] : [["Torque at the pulley", `${f(output.torqueNm, 2)} N·m`] as const]),
        ]}
      />
      <p>
        {output.staysPut
          ? "The load stays wherever it is left; a strand that fails shows as a drop."
          : "Where the drive lets go, the load sinks or rises: land it before a strand is touched."}
      </p>
      {output.extrapolated && (
        <p className="border-l-4 border-near pl-3">
          A strand goes beyond what was read of it. Read it there before trusting the rest.
        </p>
      )}
      <p className="text-mid">
        Springs and cords are released under control. A cord loses 10 to 20 % in its first weeks (common practice).
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
