import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { flatnessTool } from "~/calc/tools/flatness";
import type { Rails } from "~/core/frames";
import { StateMark } from "~/ui/state-mark";
import { ChoiceField } from "../../form/choice-field";
import { choice, over0Or } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { FlatnessPicture } from "../../frames/flatness-picture";
import { stateOfVerdict } from "../../words/state";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";

type Output = z.output<typeof flatnessTool.output>;

/** Points of a rail by their numbers in the list, which begins at 1. */
function railOf(read: TextReader, name: string, points: number): number[] {
  const numbers = read
    .text(name)
    .split(/[\s,;]+/)
    .filter((word) => word !== "")
    .map(Number);
  read.want(name, numbers.length >= 2, "too-few");
  read.want(
    name,
    numbers.every((number) => Number.isInteger(number) && number >= 1 && number <= points),
    "not-listed",
  );
  return numbers.map((number) => number - 1);
}

function readFrame(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("points", ["x", "y", "z"]);
  read.want("points", rows.length >= 3, "too-few");
  const points = rows.map((row) => ({
    xMm: read.length(`${row}.x`),
    yMm: read.length(`${row}.y`),
    zMm: read.length(`${row}.z`),
  }));
  const expandedUncertaintyMm = read.lengthOrNull("u") ?? 0;
  read.want("u", !(expandedUncertaintyMm < 0), "too-small");
  const limitMm = over0Or(read, "limit", undefined);
  const railed = choice(read, "rails", ["none", "x", "y"]);
  const rails: Rails | undefined =
    railed === "none"
      ? undefined
      : { along: railed, a: railOf(read, "a", rows.length), b: railOf(read, "b", rows.length) };
  const railLimitMmPerM = rails && read.has("railLimit") ? read.number("railLimit") : undefined;
  read.want("railLimit", railLimitMmPerM === undefined || !(railLimitMmPerM <= 0), "too-small");
  return read.done({
    points,
    expandedUncertaintyMm,
    ...(limitMm === undefined ? {} : { limitMm }),
    ...(rails && { rails: { along: rails.along, a: [...rails.a], b: [...rails.b] } }),
    ...(railLimitMmPerM === undefined ? {} : { railLimitMmPerM }),
  });
}

function Fields() {
  const texts = useFormTexts();
  const railed = texts.rails === "x" || texts.rails === "y";
  return (
    <>
      <RowsField
        name="points"
        legend="Heights"
        hint="mm, along the frame, across it, and up. Read them all from one edge or level, the frame bolted as it will stand."
        one="Point"
        columns={[
          { name: "x", label: "Along" },
          { name: "y", label: "Across" },
          { name: "z", label: "Height" },
        ]}
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="limit" label="Flat within" hint="mm; empty: not judged" />
        <TextField name="u" label="Uncertainty of a height" hint="± mm, k = 2; empty: 0" />
      </div>
      <ChoiceField
        name="rails"
        legend="Two rails on it"
        usual="none"
        options={[
          { value: "none", label: "none" },
          { value: "x", label: "along" },
          { value: "y", label: "across" },
        ]}
      />
      {railed && (
        <div className="grid grid-cols-3 gap-4">
          <TextField name="a" label="First rail, points" hint="1, 2" />
          <TextField name="b" label="Second rail, points" hint="4, 3" />
          <TextField name="railLimit" label="Parallel within" hint="mm a metre" />
        </div>
      )}
    </>
  );
}

export const tool = benchTool("flatness", async () => (await import("~/calc/tools/flatness")).flatnessTool, {
  example: {
    ...rowTexts("points", [
      { x: "0", y: "0", z: "0" },
      { x: "600", y: "0", z: "0.3" },
      { x: "600", y: "400", z: "0.1" },
      { x: "0", y: "400", z: "0.2" },
    ]),
    limit: "0.1",
    u: "0.02",
  },
  Fields,
  read: (texts) => inputFrom(readFrame(texts)),
  say: (reader, { flatnessMm, shim }) => {
    const mm = (value: number) => `${formatNumber(reader, value, 2)} mm`;
    const flat = `Flat within ${mm(flatnessMm)}`;
    return shim ? `${flat}; ${mm(shim.mm)} under point ${shim.point + 1} makes the four stand` : flat;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readFrame(texts).value;
  if (!input) return null;
  const f = (value: number) => formatNumber(reader, value, 2);
  const { rails, verdict } = output;
  return (
    <div className="grid gap-4">
      {verdict && (
        <p className="text-xl">
          <StateMark state={stateOfVerdict(verdict)} />
        </p>
      )}
      <FlatnessPicture points={input.points} raiseMm={output.raiseMm} rails={input.rails ?? null} figure={f} />
      <p className="text-lg">
        Shim under each point what stands over it, and all lie in one plane. A frame screwed down without its shim is
        bent by it.
      </p>
      <FigureList
        of={[
          ["Plane climbs", `${f(output.plane.slopeXMmPerM)} mm a metre along, ${f(output.plane.slopeYMmPerM)} across`],
          ...(output.twistMm === undefined
            ? []
            : ([["One corner off the other three", `${f(output.twistMm)} mm`]] as const)),
          ...(rails
            ? ([
                ["Second rail climbs against the first", `${f(rails.heightMmPerM)} mm a metre`],
                ["and leaves it in plan", `${f(rails.planMmPerM)} mm a metre`],
              ] as const)
            : []),
        ]}
      />
      <p className="text-mid">Least squares plane (ISO 12781); judged by ISO 14253-1.</p>
    </div>
  );
}
