import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { OrderedRowsField } from "../../form/ordered-rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

/** Stages, motor first: a name, driver and driven, lost motion in minutes and efficiency in per cent if known. */
function readStages(read: TextReader) {
  const rows = read.rows("stages", ["name", "driver", "driven"]);
  read.want("stages", rows.length > 0, "missing");
  return rows.map((row) => {
    const driver = read.number(`${row}.driver`);
    const driven = read.number(`${row}.driven`);
    read.want(`${row}.driver`, driver !== 0, "is-zero");
    read.want(`${row}.driven`, driven !== 0, "is-zero");
    return {
      id: read.words(`${row}.name`),
      ratio: driven / driver,
      ...(read.has(`${row}.lost`) ? { lostMotionArcmin: read.number(`${row}.lost`) } : {}),
      ...(read.has(`${row}.efficiency`) ? { efficiency: read.number(`${row}.efficiency`) / 100 } : {}),
    };
  });
}

export const tool = benchTool("train", async () => (await import("~/calc/tools/train")).trainTool, {
  example: {
    ...rowTexts("stages", [
      { name: "belt", driver: "24", driven: "48" },
      { name: "helical pair", driver: "21", driven: "63", lost: "9" },
      { name: "worm", driver: "1", driven: "40", lost: "14", efficiency: "55" },
    ]),
    rpm: "1440",
    torque: "14.6",
    wheel: "180",
  },
  Fields: () => (
    <>
      <OrderedRowsField
        name="stages"
        legend="Stages, motor first"
        hint="A ratio alone as 1 and its value; an idler as two rows, minus for the sense."
        one="Stage"
        columns={[
          { name: "name", label: "Called", wide: true },
          { name: "driver", label: "Driver" },
          { name: "driven", label: "Driven" },
          { name: "lost", label: "Lost, ′" },
          { name: "efficiency", label: "Effic., %" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-4 gap-4">
        <TextField name="rpm" label="Turns a minute" />
        <TextField name="torque" label="Torque" hint="N·m" />
        <TextField name="wheel" label="Wheel diameter" hint="mm" />
        <TextField name="scale" label="Scale 1 :" />
      </div>
    </>
  ),
  read: (texts) => {
    const read = new TextReader(texts);
    const stages = readStages(read);
    const optional = (name: string, value: () => number) => (read.has(name) ? value() : undefined);
    const input = {
      stages,
      inputRpm: optional("rpm", () => read.number("rpm")),
      inputTorqueNm: optional("torque", () => read.torque("torque")),
      wheelDiameterMm: optional("wheel", () => read.length("wheel")),
      scale: optional("scale", () => read.number("scale")),
    };
    for (const name of ["wheel", "scale"] as const) {
      const value = name === "wheel" ? input.wheelDiameterMm : input.scale;
      read.want(name, value === undefined || value > 0, "too-small");
    }
    const done = read.done(input);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, { ratio, outputRpm }) =>
    `${formatNumber(reader, Math.abs(ratio), 3)} to 1${ratio < 0 ? ", reversed" : ""}${outputRpm === undefined ? "" : `: ${formatNumber(reader, outputRpm, 2)} turns a minute`}`,
  View: ({ output }) => {
    const reader = useWords();
    const most = Math.max(...output.contributions.map(({ arcmin }) => arcmin), 1e-9);
    const first = output.contributions.reduce((a, b) => (b.arcmin > a.arcmin ? b : a));
    return (
      <div className="grid gap-4">
        <FigureList
          of={[
            ...(output.outputTorqueNm === undefined
              ? []
              : [["Torque", `${formatNumber(reader, output.outputTorqueNm, 2)} N·m`] as const]),
            ...(output.surfaceSpeedMPerS === undefined
              ? []
              : [["At the wheel", `${formatNumber(reader, output.surfaceSpeedMPerS, 3)} m/s`] as const]),
            ...(output.prototypeSpeedKmPerH === undefined
              ? []
              : [["To scale", `${formatNumber(reader, output.prototypeSpeedKmPerH, 1)} km/h`] as const]),
            [
              "Lost motion",
              `${formatNumber(reader, output.lostMotionAtOutputArcmin, 1)}′ at the output, all of it together`,
            ],
          ]}
        />
        {output.lostMotionAtOutputArcmin > 0 && (
          <>
            <p className="text-lg">
              Work on <b>{first.id}</b> first: {formatNumber(reader, 100 * first.share, 0)} % of it.
            </p>
            <svg
              viewBox={`0 0 520 ${34 * output.contributions.length + 8}`}
              className="w-full bg-panel"
              role="img"
              aria-label="Each stage's share of the lost motion at the output"
            >
              {output.contributions.map(({ id, arcmin }, i) => (
                <g key={`${id} ${i}`} transform={`translate(0 ${34 * i + 8})`}>
                  <text x="150" y="19" textAnchor="end" fontSize="17" className="fill-ink">
                    {id}
                  </text>
                  <rect x="160" y="5" width={Math.max(2, (270 * arcmin) / most)} height="18" className="fill-mid" />
                  <text x={168 + (270 * arcmin) / most} y="20" fontSize="17" className="fill-ink figure">
                    {formatNumber(reader, arcmin, 1)}′
                  </text>
                </g>
              ))}
            </svg>
          </>
        )}
      </div>
    );
  },
});

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
