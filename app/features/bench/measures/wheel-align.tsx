import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { wheelAlignTool } from "~/calc/tools/wheel-align";
import { StateMark } from "~/ui/state-mark";
import { ChoiceField } from "../../form/choice-field";
import { choice, over0 } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { EdgePicture } from "../../frames/edge-picture";
import { verdictState } from "../../words/state";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";

type Output = z.output<typeof wheelAlignTool.output>;

const kinds = ["toothed", "v-belt", "chain"] as const;

function readWheels(texts: Texts) {
  const read = new TextReader(texts);
  const gaps = (name: string) => ({
    nearMm: read.length(`${name}.near`),
    farMm: read.length(`${name}.far`),
    apartMm: over0(read, `${name}.apart`),
  });
  const any = (...names: string[]) => names.some((name) => read.has(name));
  const feet = any("front", "rear") ? { frontMm: read.length("front"), rearMm: read.length("rear") } : null;
  if (feet) read.want("rear", !(feet.rearMm <= feet.frontMm), "window-upside-down");
  const expandedUncertaintyMm = read.lengthOrNull("u") ?? 0;
  read.want("u", !(expandedUncertaintyMm < 0), "too-small");
  const limitDeg = read.has("limit") ? read.number("limit") : undefined;
  read.want("limit", limitDeg === undefined || !(limitDeg <= 0), "too-small");
  const widths = any("width.fixed", "width.movable")
    ? ([over0(read, "width.fixed"), over0(read, "width.movable")] as [number, number])
    : null;
  return read.done({
    kind: choice(read, "kind", kinds),
    centreDistanceMm: over0(read, "centres"),
    movable: gaps("movable"),
    ...(any("fixed.near", "fixed.far", "fixed.apart") ? { fixed: gaps("fixed") } : {}),
    ...(widths ? { rimWidthMm: widths } : {}),
    ...(any("top", "bottom", "acrossApart")
      ? { across: { topMm: read.length("top"), bottomMm: read.length("bottom"), apartMm: over0(read, "acrossApart") } }
      : {}),
    ...(feet ? { feet } : {}),
    ...(limitDeg === undefined ? {} : { limitDeg }),
    expandedUncertaintyMm,
  });
}

/** How a foot goes: along from the fixed wheel, and up or down. */
const footWords = (
  reader: Reader,
  name: string,
  { apartMm, shimMm }: { apartMm: number; shimMm?: number | undefined },
) => {
  const mm = (value: number) => `${formatNumber(reader, Math.abs(value), 2)} mm`;
  const shim = shimMm === undefined ? "" : `, ${mm(shimMm)} of shim ${shimMm < 0 ? "out" : "in"}`;
  return `${name} feet ${mm(apartMm)} ${apartMm < 0 ? "towards" : "away from"} the fixed wheel${shim}`;
};

export const tool = benchTool("wheel-align", async () => (await import("~/calc/tools/wheel-align")).wheelAlignTool, {
  example: {
    kind: "toothed",
    centres: "480",
    "movable.near": "0.4",
    "movable.far": "1.1",
    "movable.apart": "150",
    front: "85",
    rear: "265",
    u: "0.05",
  },
  Fields: () => (
    <>
      <ChoiceField
        name="kind"
        legend="Wheels of a"
        usual="toothed"
        options={[
          { value: "toothed", label: "toothed belt" },
          { value: "v-belt", label: "V-belt" },
          { value: "chain", label: "chain" },
        ]}
      />
      <p className="text-mid">
        A straight edge across the faces along the line of centres. Near: the rim point that faces the other wheel. A
        wheel that wobbles is read twice, half a turn apart, and the mean taken.
      </p>
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="centres" label="Centre distance" hint="mm" />
        <TextField name="movable.near" label="Movable, gap near" hint="mm from the edge" />
        <TextField name="movable.far" label="Movable, gap far" />
        <TextField name="movable.apart" label="Movable, points apart" hint="mm" />
        <TextField name="fixed.near" label="Fixed, gap near" hint="empty: the edge lies flush" />
        <TextField name="fixed.far" label="Fixed, gap far" />
        <TextField name="fixed.apart" label="Fixed, points apart" />
        <TextField name="width.fixed" label="Rim of the fixed" hint="mm wide; empty: both alike" />
        <TextField name="width.movable" label="Rim of the movable" />
        <TextField name="top" label="Across, gap at the top" hint="empty: twist not looked at" />
        <TextField name="bottom" label="Across, at the bottom" />
        <TextField name="acrossApart" label="Across, points apart" />
        <TextField name="front" label="Front feet" hint="mm behind the wheel" />
        <TextField name="rear" label="Rear feet" hint="mm behind the wheel" />
        <TextField name="limit" label="Limit" hint="°; empty: 0.25, V-belt 0.5" />
        <TextField name="u" label="Uncertainty of a gap" hint="± mm, k = 2; empty: 0" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readWheels(texts)),
  say: (reader, { misalignmentDeg, overDeg, twistDeg }) => {
    const f = (value: number) => `${formatNumber(reader, value, 2)}°`;
    const over = overDeg > 0 ? `, ${f(overDeg)} beyond the limit` : ", within the limit";
    return `Out of line by ${f(misalignmentDeg)}${over}${twistDeg === undefined ? "; twist not looked at" : ""}`;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readWheels(texts).value;
  if (!input) return null;
  const f = (value: number, decimals = 2) => formatNumber(reader, value, decimals);
  const { moves } = output;
  return (
    <div className="grid gap-4">
      <p className="text-xl">
        <StateMark state={verdictState[output.verdict]} />
      </p>
      <EdgePicture fixed={input.fixed ?? null} movable={input.movable} />
      {moves && (
        <p className="text-lg">
          {footWords(reader, "Front", moves.front)}; {footWords(reader, "rear", moves.rear)}; then all by{" "}
          {f(Math.abs(moves.axialMm))} mm {moves.axialMm < 0 ? "towards" : "away from"} the edge.
        </p>
      )}
      <FigureList
        of={[
          ["Angle", `${f(output.angleDeg, 3)}°`],
          ["Offset", `${f(output.offsetMm)} mm`],
          ...(output.twistDeg === undefined ? [] : ([["Twist", `${f(output.twistDeg, 3)}°`]] as const)),
          ["Limit", `${f(output.limitDeg)}°${input.limitDeg === undefined ? " (common practice)" : ""}`],
        ]}
      />
      <p className="text-mid">
        Twist by shims first, then the angle by the feet, then slide; tension it, and read again.
      </p>
    </div>
  );
}
