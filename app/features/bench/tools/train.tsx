import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { trainTool } from "~/calc/tools/train";
import { parseNumber } from "~/core/quantity";
import { LinesField, TextField } from "../../form/text-field";
import { type Problems, TextReader, type Texts } from "../../form/text-reader";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";

/** "belt 20 60" or "pair 20 60 12": a name, driver and driven, lost motion in minutes and efficiency in per cent if known. */
function stagesOf(texts: Texts, problems: Problems) {
  const lines = (texts.stages ?? "").split(/\n|;/).filter((line) => line.trim() !== "");
  const stages = lines.flatMap((line) => {
    const [, name, rest] = /^(.*?)\s+([-\d\s.,:/]+)$/.exec(line.trim()) ?? [];
    const [driver, driven, lost, efficiency] = (rest ?? "")
      .split(/[\s:]+/)
      .filter(Boolean)
      .map((part) => {
        const read = parseNumber(part);
        return read.ok ? read.value : Number.NaN;
      });
    if (!name || !driver || !driven || Number.isNaN(driver) || Number.isNaN(driven)) {
      problems.stages = { code: "not-a-stage", path: ["stages"], facts: { text: line.trim() } };
      return [];
    }
    return [
      {
        id: name,
        ratio: driven / driver,
        ...(lost === undefined ? {} : { lostMotionArcmin: lost }),
        ...(efficiency === undefined ? {} : { efficiency: efficiency / 100 }),
      },
    ];
  });
  if (lines.length === 0) problems.stages = { code: "missing", path: ["stages"], facts: {} };
  return stages;
}

export const tool = benchTool(trainTool, {
  example: {
    stages: "belt 24 48\nhelical pair 21 63 9\nworm 1 40 14 55",
    rpm: "1440",
    torque: "14.6",
    wheel: "180",
  },
  Fields: () => (
    <>
      <LinesField
        name="stages"
        label="Stages, motor first, one a line: name, driver, driven, then lost motion in ′ and efficiency in % if known"
        hint="helical pair 21 63 9 97; a ratio as 1 and its value; an idler as two lines, minus for the sense"
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
    const stages = stagesOf(texts, read.problems);
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

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
