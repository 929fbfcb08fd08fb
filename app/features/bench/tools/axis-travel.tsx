import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { AxisTravel, EndTravel } from "~/core/axes";
import { TravelPicture } from "../../axes/travel-picture";
import { travelFaultWords } from "../../axes/travel-words";
import { ChoiceField } from "../../form/choice-field";
import { choice, notNegativeOr, positiveNumber } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

function readTravel(texts: Texts) {
  const read = new TextReader(texts);
  const unit = choice(read, "unit", ["mm", "deg"]);
  const at = (name: string) => (unit === "mm" ? read.length(name) : read.angleOr(name, Number.NaN));
  const given = (name: string) => {
    read.want(name, read.has(name), "missing");
    return at(name);
  };
  const end = (name: string) => ({
    ...(read.has(`${name}.switch`) ? { switchAt: at(`${name}.switch`) } : {}),
    bufferAt: given(`${name}.buffer`),
  });
  const work = { lo: given("lo"), hi: given("hi") };
  read.want("lo", !(work.lo >= work.hi), "window-upside-down");
  const [low, high] = [end("low"), end("high")];
  read.want("high.buffer", !(high.bufferAt <= low.bufferAt), "window-upside-down");
  const perTurn = given("perTurn");
  read.want("perTurn", perTurn > 0, "too-small");
  const sensor = read.has("turns")
    ? {
        sensor: {
          turnsAvailable: positiveNumber(read, "turns"),
          ...(read.has("atLow") ? { turnsAtLow: read.number("atLow") } : {}),
        },
      }
    : {};
  return read.done({
    unit,
    perTurn,
    work,
    low,
    high,
    speed: positiveNumber(read, "speed"),
    decel: positiveNumber(read, "decel"),
    reactionS: notNegativeOr(read, "reaction", 0),
    ...sensor,
  });
}

const unitOf = (texts: Texts): string => (choice(new TextReader(texts), "unit", ["mm", "deg"]) === "mm" ? "mm" : "°");

export const tool = benchTool("axis-travel", async () => (await import("~/calc/tools/axis-travel")).axisTravelTool, {
  example: {
    unit: "mm",
    perTurn: "60",
    lo: "0",
    hi: "900",
    "low.switch": "-12",
    "low.buffer": "-35",
    "high.switch": "910",
    "high.buffer": "927",
    speed: "260",
    decel: "2600",
    reaction: "0.02",
  },
  Fields: () => (
    <>
      <ChoiceField
        name="unit"
        legend="It moves"
        usual="mm"
        options={[
          { value: "mm", label: "along, mm" },
          { value: "deg", label: "round, degrees" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="lo" label="Work begins at" />
        <TextField name="hi" label="Work ends at" />
        <TextField name="perTurn" label="A turn of the shaft moves it" />
        <TextField name="low.switch" label="Switch at the low end" hint="empty: none" />
        <TextField name="low.buffer" label="Low buffer" hint="first touch" />
        <span className="max-sm:hidden" />
        <TextField name="high.switch" label="Switch at the high end" hint="empty: none" />
        <TextField name="high.buffer" label="High buffer" hint="first touch" />
        <span className="max-sm:hidden" />
        <TextField name="speed" label="Speed" hint="a second" />
        <TextField name="decel" label="It brakes with" hint="a second squared" />
        <TextField name="reaction" label="Until it brakes" hint="s; switch, controller, brake" />
        <TextField name="turns" label="Turns of its sensor" hint="empty: none" />
        <TextField name="atLow" label="Sensor where the work begins" hint="turns; empty: as it is best" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readTravel(texts)),
  say: (reader, { faults, stopping, ends }, texts) => {
    const unit = unitOf(texts);
    const f = (value: number) => `${formatNumber(reader, value, 1)} ${unit}`;
    const [first, ...more] = faults;
    if (!first)
      return `Both ends stop in time: ${f(Math.min(ends.low.margin ?? 0, ends.high.margin ?? 0))} left, ${f(stopping)} to stop`;
    const by = first.end === "sensor" ? formatNumber(reader, first.by, 2) : f(first.by);
    const name = first.end === "sensor" ? "The sensor" : `The ${first.end} end`;
    return `${name} ${travelFaultWords(first.code, by)}${more.length === 0 ? "" : `, and ${more.length} more`}`;
  },
  View,
});

function View({ output, texts }: { output: AxisTravel; texts: Texts }) {
  const reader = useWords();
  const input = readTravel(texts).value;
  if (!input) return null;
  const unit = unitOf(texts);
  const f = (value: number, decimals = 1) => `${formatNumber(reader, value, decimals)} ${unit}`;
  const end = ({ margin, switchWindow, speedAtBuffer }: EndTravel) =>
    [
      switchWindow ? `switch from ${f(switchWindow[0])} to ${f(switchWindow[1])}` : "no room to stop",
      ...(margin === undefined
        ? []
        : [margin < 0 ? `meets the buffer at ${f(speedAtBuffer ?? 0, 0)} a second` : `${f(margin)} left`]),
    ].join("; ");
  return (
    <div className="grid gap-4">
      <TravelPicture
        work={input.work}
        low={input.low}
        high={input.high}
        travel={output}
        label="The axis along its travel"
        figure={(value) => formatNumber(reader, value, 1)}
      />
      {output.faults.length > 0 && (
        <ul className="grid gap-1">
          {output.faults.map(({ end: at, code, by }) => (
            <li key={at + code}>
              {at === "sensor" ? "The sensor" : `The ${at} end`}{" "}
              {travelFaultWords(code, at === "sensor" ? formatNumber(reader, by, 2) : f(by))}.
            </li>
          ))}
        </ul>
      )}
      <FigureList
        of={[
          ["It stops in", f(output.stopping)],
          ["Low end", end(output.ends.low)],
          ["High end", end(output.ends.high)],
          ["Work", `${f(output.travel, 0)}, ${formatNumber(reader, output.shaftTurns, 2)} turns of the shaft`],
          ...(output.sensor
            ? ([
                [
                  "Sensor",
                  `${formatNumber(reader, output.sensor.turnsUsed, 2)} turns used, left ${output.sensor.turnsLeft.map((left) => formatNumber(reader, left, 2)).join(" and ")}`,
                ],
              ] as const)
            : []),
        ]}
      />
      <p className="text-mid">
        {output.feasible ? "" : "Setting alone does not cure it. "}
        Set a switch near the middle of its window, by the worst stop that was read: fastest, heaviest, downhill (common
        practice). Whether it is safe enough for people is another matter.
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
