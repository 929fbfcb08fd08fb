import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { handSlackTool } from "~/calc/tools/hand-slack";
import { handSlackTarget } from "~/core/chains";
import { StateMark } from "~/ui/state-mark";
import { ChoiceField } from "../../form/choice-field";
import { choice, over0, over0Or } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { verdictState } from "../../words/state";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

type Output = z.output<typeof handSlackTool.output>;

function readSlack(texts: Texts) {
  const read = new TextReader(texts);
  const spanMm = over0(read, "span");
  const movementMm = read.length("movement");
  read.want("movement", !(movementMm < 0), "too-small");
  const forceN = read.has("force") ? read.force("force") : undefined;
  read.want("force", forceN === undefined || forceN > 0, "too-small");
  read.want("movement", forceN === undefined || movementMm !== 0, "movement-missing");
  const centres = over0Or(read, "centres", undefined);
  read.want("centres", centres === undefined || !(centres < spanMm), "too-small");
  const uncertain = read.has("u") ? read.length("u") : 0;
  read.want("u", !(uncertain < 0), "too-small");
  const roller = read.has("along")
    ? {
        roller: {
          alongMm: over0(read, "along"),
          diameterMm: over0(read, "diameter"),
          pressMm: read.lengthOrNull("press") ?? 0,
          ...(read.has("most") ? { maxPressMm: read.length("most") } : {}),
        },
      }
    : {};
  return read.done({
    spanMm,
    movementMm,
    shape: choice(read, "shape", ["triangle", "arc"]),
    ...(forceN === undefined ? {} : { forceN }),
    drive: choice(read, "drive", ["level", "steep", "reversing"]),
    ...(centres === undefined ? {} : { centreDistanceMm: centres }),
    expandedUncertaintyMm: uncertain,
    ...roller,
  });
}

export const tool = benchTool("hand-slack", async () => (await import("~/calc/tools/hand-slack")).handSlackTool, {
  example: { span: "400", movement: "60", drive: "level", along: "130", diameter: "32", press: "4" },
  Fields: () => (
    <>
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="span" label="Free span" hint="mm" />
        <TextField name="movement" label="It moves by hand" hint="mm, up and down together, at mid-span" />
        <TextField name="u" label="Uncertainty of that" hint="mm" />
        <TextField name="force" label="With a force of" hint="N; empty: not read" />
        <TextField name="centres" label="Centre distance" hint="mm; empty: as the span" />
      </div>
      <ChoiceField
        name="drive"
        legend="The drive"
        usual="level"
        options={[
          { value: "level", label: "level" },
          { value: "steep", label: "steep" },
          { value: "reversing", label: "reversing, shocks" },
        ]}
      />
      <ChoiceField
        name="shape"
        legend="The strand goes"
        usual="triangle"
        options={[
          { value: "triangle", label: "to a triangle, pushed" },
          { value: "arc", label: "to an arc, hanging" },
        ]}
      />
      <fieldset className="grid grid-cols-2 sm:grid-cols-4 gap-4">
        <legend className="font-semibold mb-1">A roller pressed on the strand</legend>
        <TextField name="along" label="From one end" hint="mm; empty: none" />
        <TextField name="diameter" label="Diameter" hint="mm" />
        <TextField name="press" label="Pressed in now" hint="mm" />
        <TextField name="most" label="At most" hint="mm" />
      </fieldset>
    </>
  ),
  read: (texts) => inputFrom(readSlack(texts)),
  say: (reader, { verdict, percent, target, takeUpMm, roller }) => {
    const f = (value: number, decimals = 1) => formatNumber(reader, value, decimals);
    const is = `${f(percent)} % of the span`;
    if (verdict === "conforms") return `Right: ${is}`;
    const to = `${f(Math.abs(takeUpMm))} mm to ${takeUpMm > 0 ? "take up" : "let out"}, then it moves ${f(target.movementMm, 0)} mm`;
    return `${is}: ${to}${roller ? `; roller ${f(Math.abs(roller.moveMm))} mm ${roller.moveMm < 0 ? "out" : "in"}${roller.leftMm === undefined ? "" : ", its end, and that is not enough"}` : ""}`;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readSlack(texts).value;
  if (!input) return null;
  const f = (value: number, decimals = 1) => formatNumber(reader, value, decimals);
  const { loPercent, hiPercent } = handSlackTarget[input.drive];
  return (
    <div className="grid gap-4">
      <p className="text-xl flex gap-3 items-center">
        Half of the movement, {f(loPercent, 0)} to {f(hiPercent, 0)} % of the span:{" "}
        <StateMark state={verdictState[output.verdict]} />
      </p>
      <SlackPicture
        span={input.spanMm}
        now={input.movementMm}
        then={output.target.movementMm}
        band={[(2 * loPercent * input.spanMm) / 100, (2 * hiPercent * input.spanMm) / 100]}
        roller={"roller" in input && input.roller ? { along: input.roller.alongMm, d: input.roller.diameterMm } : null}
        figure={(value) => f(value, 0)}
      />
      <FigureList
        of={[
          ["Length too much", `${f(output.excessMm[input.shape], 2)} mm`],
          ["Centres", `${f(Math.abs(output.moveCentreMm), 2)} mm ${output.moveCentreMm < 0 ? "together" : "apart"}`],
          ...(output.tensionN === undefined ? [] : [["Tension while pressed", `${f(output.tensionN, 0)} N`] as const]),
          ...(output.roller ? [["Roller then", `${f(output.roller.pressMm)} mm in`] as const] : []),
        ]}
      />
      <p className="text-mid">
        Ranges count half of the movement (common practice); another school names all of it: 4 to 6 % and 2 to 3 % (from
        memory). All slack into one strand first, at the tightest place of a whole turn of the chain.
      </p>
    </div>
  );
}

/** The strand pushed up and pulled down, as found and, dashed, as wanted; filled: between the limits. Drawn deeper than it is. */
function SlackPicture({
  span,
  now,
  then,
  band,
  roller,
  figure,
}: {
  span: number;
  now: number;
  then: number;
  band: readonly [number, number];
  roller: { along: number; d: number } | null;
  figure: (value: number) => string;
}) {
  const x = (at: number) => 30 + (420 * at) / span;
  const most = Math.max(now, then, band[1]) || 1;
  const y = (half: number) => 120 + (90 * half) / most;
  const both = (movement: number) =>
    [-1, 1].map((side) => `M${x(0)} 120 L${x(span / 2)} ${y(side * movement)} L${x(span)} 120`).join(" ");
  const between = [-1, 1].map(
    (side) =>
      `M${x(0)} 120 L${x(span / 2)} ${y(side * band[0])} L${x(span)} 120 L${x(span / 2)} ${y(side * band[1])} Z`,
  );
  return (
    <svg viewBox="0 0 480 250" className="w-full bg-panel" role="img" aria-label="The strand moved by hand">
      {between.map((d) => (
        <path key={d} d={d} className="fill-band stroke-none" />
      ))}
      <path d={both(now)} className="fill-none stroke-ink" strokeWidth="3" />
      <path d={both(then)} className="fill-none stroke-now" strokeWidth="3" strokeDasharray="8 5" />
      <circle cx={x(0)} cy="120" r="8" className="fill-ink" />
      <circle cx={x(span)} cy="120" r="8" className="fill-ink" />
      {roller && (
        <circle cx={x(roller.along)} cy={120 - 12} r="12" className="fill-ground stroke-ink" strokeWidth="2" />
      )}
      <text
        x={x(span / 2)}
        y={Math.min(244, y(now) + 24)}
        textAnchor="middle"
        fontSize="17"
        className="fill-ink figure"
      >
        {figure(now)} mm
      </text>
      <text x="8" y="20" fontSize="16" className="fill-mid">
        Line: found; dashed: wanted; filled: right. Drawn deeper than it is
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
