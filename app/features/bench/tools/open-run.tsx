import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { OpenRun, RunRange } from "~/core/chains";
import { ChoiceField } from "../../form/choice-field";
import { choice, count, notNegativeOr, over0, over0Or } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

function readRun(texts: Texts) {
  const read = new TextReader(texts);
  const wheel =
    choice(read, "wheel", ["cord", "chain"]) === "cord"
      ? { pitchDiameterMm: over0(read, "diameter") }
      : { pitchMm: over0(read, "pitch"), teeth: count(read, "teeth", 3) };
  const side = (name: string) => {
    const jointMm = read.length(`${name}.joint`);
    read.want(`${name}.joint`, !(jointMm < 0), "too-small");
    const guardMm = read.lengthOrNull(`${name}.guard`) ?? 0;
    read.want(`${name}.guard`, !(guardMm < 0), "too-small");
    const endMm = over0Or(read, `${name}.end`, undefined);
    read.want(`${name}.end`, endMm === undefined || !(endMm < jointMm), "too-small");
    return { jointMm, guardMm, ...(endMm === undefined ? {} : { endMm }) };
  };
  const wrapDeg = read.angleOr("wrap", 180);
  read.want("wrap", wrapDeg > 0, "too-small");
  const needed = read.has("forward") || read.has("back");
  const turns = (name: string) => {
    const deg = read.angleOr(name, 0);
    read.want(name, !(deg < 0), "too-small");
    return deg;
  };
  const falls = read.has("falls") ? { falls: count(read, "falls", 1) } : null;
  const efficiency = notNegativeOr(read, "efficiency", 0.96);
  read.want("efficiency", efficiency > 0 && efficiency <= 1, "too-large");
  const loadN = falls ? read.force("load") : 0;
  read.want("load", !falls || loadN > 0, "too-small");
  return read.done({
    ...wheel,
    wrapDeg,
    sides: [side("first"), side("second")] as [ReturnType<typeof side>, ReturnType<typeof side>],
    ...(needed ? { neededDeg: { forward: turns("forward"), back: turns("back") } } : {}),
    ...(falls
      ? {
          tackle: {
            ...falls,
            sheaveEfficiency: efficiency,
            haulFrom: choice(read, "from", ["fixed", "moving"]),
            loadN,
            loadTravelMm: over0(read, "travel"),
          },
        }
      : {}),
  });
}

export const tool = benchTool("open-run", async () => (await import("~/calc/tools/open-run")).openRunTool, {
  example: {
    wheel: "chain",
    pitch: "9.525",
    teeth: "12",
    wrap: "180",
    "first.joint": "90",
    "first.guard": "10",
    "second.joint": "60",
    "second.guard": "5",
    "second.end": "100",
    forward: "150",
    back: "60",
  },
  Fields,
  read: (texts) => inputFrom(readRun(texts)),
  say: (reader, { forward, back, shiftMm, shortMm, feasible }) => {
    const deg = (value: number) => `${formatNumber(reader, value, 0)}°`;
    if (shiftMm === null) return `It is ${formatNumber(reader, shortMm ?? 0, 1)} mm too short for both ways`;
    if (shiftMm)
      return `Shift it ${formatNumber(reader, Math.abs(shiftMm), 1)} mm towards the ${shiftMm > 0 ? "first" : "second"} side`;
    return feasible
      ? `It turns ${deg(forward.deg)} forward and ${deg(back.deg)} back`
      : "A joint stands beyond its place already";
  },
  View,
});

function Fields() {
  return (
    <>
      <ChoiceField
        name="wheel"
        legend="Over the wheel runs"
        usual="cord"
        options={[
          { value: "cord", label: "a cord or belt" },
          { value: "chain", label: "a chain" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-4 gap-4">
        <TextField name="diameter" label="Cord: diameter at its middle" hint="mm" />
        <TextField name="pitch" label="Chain: pitch" hint="mm" />
        <TextField name="teeth" label="Teeth" inputMode="numeric" />
        <TextField name="wrap" label="Wrap" hint="°, usually 180" />
      </div>
      {(["first", "second"] as const).map((name) => (
        <fieldset key={name} className="grid grid-cols-3 gap-4">
          <legend className="font-semibold mb-1">
            {name === "first" ? "First side (pays out going forward)" : "Second side (takes in going forward)"}
          </legend>
          <TextField name={`${name}.joint`} label="Joint from the wheel" hint="mm" />
          <TextField name={`${name}.guard`} label="Not nearer than" hint="mm" />
          <TextField name={`${name}.end`} label="Not farther than" hint="mm" />
        </fieldset>
      ))}
      <div className="grid grid-cols-2 gap-4">
        <TextField name="forward" label="Needed forward" hint="°" />
        <TextField name="back" label="Needed back" hint="°" />
      </div>
      <fieldset className="grid grid-cols-2 sm:grid-cols-4 gap-4">
        <legend className="font-semibold mb-1">Block and tackle</legend>
        <TextField name="falls" label="Falls" hint="empty: none" inputMode="numeric" />
        <TextField name="load" label="Load" hint="N" />
        <TextField name="travel" label="Travel of the load" hint="mm" />
        <TextField name="efficiency" label="A sheave’s efficiency" hint="usually 0.96" />
      </fieldset>
      <ChoiceField
        name="from"
        legend="Hauled from"
        usual="fixed"
        options={[
          { value: "fixed", label: "the fixed block" },
          { value: "moving", label: "the moving block" },
        ]}
      />
    </>
  );
}

function View({ output, texts }: { output: OpenRun; texts: Texts }) {
  const reader = useWords();
  const input = readRun(texts).value;
  if (!input) return null;
  const f = (value: number, decimals = 1) => formatNumber(reader, value, decimals);
  const range = ({ mm, deg, limitedBy }: RunRange) =>
    `${f(mm)} mm, ${f(deg, 0)}°, until a joint meets its ${limitedBy === "wheel" ? "wheel or guard" : "end"}`;
  return (
    <div className="grid gap-4">
      <RunPicture sides={input.sides} shiftMm={output.shiftMm ?? 0} figure={(value) => f(value, 0)} />
      <FigureList
        of={[
          ["Forward", range(output.forward)],
          ["Back", range(output.back)],
          ["A turn takes", `${f(output.mmPerTurn, 2)} mm`],
          [
            "From joint to joint",
            `${f(output.cordLengthMm)} mm${output.links === undefined ? "" : `, ${f(output.links, 2)} links`}`,
          ],
          ...(output.tackle
            ? ([
                ["Hauled with", `${f(output.tackle.haulN, 0)} N over ${f(output.tackle.haulTravelMm, 0)} mm`],
                ["Let down with", `${f(output.tackle.lowerN, 0)} N`],
                ["At the dead end", `${f(output.tackle.deadEndN, 0)} N`],
              ] as const)
            : []),
        ]}
      />
      <p className="border-l-4 border-near pl-3">Secure the load and both ends before a joint is opened.</p>
    </div>
  );
}

type Side = { jointMm: number; guardMm: number; endMm?: number };

/** Both sides hanging from the wheel, with their joints; dashed: after the shift. */
function RunPicture({
  sides,
  shiftMm,
  figure,
}: {
  sides: readonly [Side, Side];
  shiftMm: number;
  figure: (value: number) => string;
}) {
  const most =
    Math.max(...sides.map(({ jointMm, endMm }) => Math.max(jointMm + Math.abs(shiftMm), endMm ?? 0))) * 1.1 || 1;
  const y = (mm: number) => 90 + (190 * mm) / most;
  return (
    <svg
      viewBox="0 0 460 300"
      className="w-full max-h-96 bg-panel"
      role="img"
      aria-label="Joints on both sides of the wheel"
    >
      <circle cx="230" cy="90" r="60" className="fill-ground stroke-ink" strokeWidth="2" />
      <path d="M170 290 V90 A60 60 0 0 1 290 90 V290" className="fill-none stroke-ink" strokeWidth="4" />
      {sides.map(({ jointMm, guardMm, endMm }, i) => {
        const [x, out] = i === 0 ? [170, -1] : [290, 1];
        const shifted = jointMm + (i === 0 ? shiftMm : -shiftMm);
        return (
          <g key={x}>
            <line x1={x - 22} x2={x + 22} y1={y(guardMm)} y2={y(guardMm)} className="stroke-outside" strokeWidth="3" />
            {endMm !== undefined && (
              <line x1={x - 22} x2={x + 22} y1={y(endMm)} y2={y(endMm)} className="stroke-outside" strokeWidth="3" />
            )}
            <circle cx={x} cy={y(jointMm)} r="9" className="fill-panel stroke-ink" strokeWidth="3" />
            {shiftMm !== 0 && (
              <circle
                cx={x}
                cy={y(shifted)}
                r="9"
                className="fill-none stroke-now"
                strokeWidth="3"
                strokeDasharray="4 3"
              />
            )}
            <text
              x={x + 34 * out}
              y={y(jointMm) + 6}
              textAnchor={out < 0 ? "end" : "start"}
              fontSize="17"
              className="fill-ink figure"
            >
              {figure(jointMm)} mm
            </text>
          </g>
        );
      })}
      <text x="8" y="22" fontSize="16" className="fill-mid">
        First side at the left; red: how near and how far{shiftMm === 0 ? "" : "; dashed: shifted"}
      </text>
    </svg>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
