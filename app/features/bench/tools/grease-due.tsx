import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { greaseDueTool } from "~/calc/tools/grease-due";
import type { GreaseDue } from "~/core/greasing";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { IntervalPicture } from "../../greasing/interval-picture";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

type Output = z.output<typeof greaseDueTool.output>;

const dirts = ["clean", "dusty", "dirty"] as const;
const wets = ["dry", "damp", "wet"] as const;
const columns = ["id", "interval", "last", "here", "takes"] as const;
/** Up to it heat takes nothing of an interval. */
const coolC = 70;

/** "dirty, damp, upright, 85 °C, 40 of 180 days": what a point lives with, in any order; what is not said is good. */
function readHere(read: TextReader, name: string) {
  const all = read.text(name).toLowerCase();
  const age = /(\d+)\s*(?:of|\/)\s*(\d+)\s*(?:days?|d)?/.exec(all);
  const text = all.replace(age?.[0] ?? "", " ");
  const heat = /(-?\d+(?:[.,]\d+)?)\s*°?\s*c?(?![a-z])/.exec(text);
  const words = text
    .replace(heat?.[0] ?? "", " ")
    .split(/[\s,;]+/)
    .filter((word) => word !== "");
  const known: readonly string[] = [...dirts, ...wets, "upright", "lying"];
  read.want(
    name,
    words.every((word) => known.includes(word)),
    "not-listed",
  );
  read.want(name, !age || Number(age[2]) > 0, "not-understood");
  return {
    dirt: dirts.find((word) => words.includes(word)) ?? "clean",
    wet: wets.find((word) => words.includes(word)) ?? "dry",
    vertical: words.includes("upright"),
    ...(age && { daysSince: Number(age[1]), intervalDays: Number(age[2]) }),
    tempC: heat ? Number((heat[1] ?? "").replace(",", ".")) : coolC,
  };
}

/** "4 g", or the bearing's outer diameter and width: "47 × 14". */
function readTakes(read: TextReader, name: string) {
  const text = read.text(name);
  if (text === "") return {};
  const number = (part: string | undefined) => Number((part ?? "").trim().replace(",", "."));
  const [outerMm, widthMm] = text.split(/[x×]/i).map(number) as [number, number | undefined];
  if (widthMm !== undefined) {
    read.want(name, outerMm > 0 && widthMm > 0, "not-understood");
    return { bearing: { outerMm, widthMm } };
  }
  const grams = number(text.replace(/g$/i, ""));
  read.want(name, grams >= 0, "not-understood");
  return { grams };
}

function readPoints(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("points", columns);
  read.want("points", rows.length > 0, "too-few");
  const nowH = read.number("now");
  read.want("now", !(nowH < 0), "too-small");
  const hoursPerDay = read.number("perDay");
  read.want("perDay", !(hoursPerDay <= 0), "too-small");
  read.want("perDay", !(hoursPerDay > 24), "too-large");
  const horizonDays = read.numberOr("horizon", 0);
  read.want("horizon", !(horizonDays < 0), "too-small");
  const names = rows.map((row) => read.text(`${row}.id`));
  const points = rows.map((row, i) => {
    const positive = (name: string) => {
      const value = read.number(`${row}.${name}`);
      read.want(`${row}.${name}`, !(value <= 0), "too-small");
      return value;
    };
    const notBelow0 = (name: string) => {
      const value = read.number(`${row}.${name}`);
      read.want(`${row}.${name}`, !(value < 0), "too-small");
      return value;
    };
    const id = read.words(`${row}.id`);
    read.want(`${row}.id`, !names.slice(0, i).includes(id), "id-twice");
    const lastH = notBelow0("last");
    read.want(`${row}.last`, !(lastH > nowH), "too-large");
    return {
      id,
      intervalH: positive("interval"),
      lastH,
      ...readHere(read, `${row}.here`),
      ...readTakes(read, `${row}.takes`),
    };
  });
  return read.done({ points, nowH, hoursPerDay, horizonDays });
}

const daysWords = (days: number): string => {
  const whole = Math.floor(Math.abs(days));
  const said = whole === 1 ? "1 day" : `${whole} days`;
  return days < 0 ? `${said} over` : `in ${said}`;
};
const gramWords = (reader: Reader, grams: number): string => `${formatNumber(reader, grams, 1)} g`;

export const tool = benchTool("grease-due", async () => (await import("~/calc/tools/grease-due")).greaseDueTool, {
  example: {
    ...rowTexts("points", [
      { id: "Cam bearing", interval: "1000", last: "26300", here: "dusty", takes: "47 × 14" },
      { id: "Lift screw", interval: "400", last: "27200", here: "upright", takes: "4 g" },
      { id: "Feeder chain", interval: "500", last: "27150", here: "dirty, damp, 40 of 180 days" },
    ]),
    now: "27299",
    perDay: "14",
    horizon: "7",
  },
  Fields: () => (
    <>
      <RowsField
        name="points"
        legend="Points"
        hint="Interval and last time in hours of the meter. Here: dusty or dirty, damp or wet, upright, 85 °C, and where grease ages unused 40 of 180 days; empty: none of it. Takes: grams, or the bearing’s outer diameter × width."
        one="Point"
        columns={[
          { name: "id", label: "Point", wide: true },
          { name: "interval", label: "Interval" },
          { name: "last", label: "Last" },
          { name: "here", label: "Here", wide: true },
          { name: "takes", label: "Takes" },
        ]}
      />
      <div className="grid grid-cols-3 gap-4">
        <TextField name="now" label="Meter now" hint="hours" />
        <TextField name="perDay" label="Hours a day" />
        <TextField name="horizon" label="Due within" hint="days; empty: today" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readPoints(texts)),
  say: (reader, { due, points, gramsDue }) => {
    const [first] = points;
    if (due.length > 0)
      return `To be greased: ${due.join(", ")}${gramsDue > 0 ? `, ${gramWords(reader, gramsDue)} as far as known` : ""}`;
    return first ? `Nothing is due; next ${first.id}, ${daysWords(first.dueInDays)}` : "";
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readPoints(texts).value;
  if (!input) return null;
  const used = output.points.map(({ id, by, dueAtH, intervalH }) => {
    const point = input.points.find((asked) => asked.id === id);
    if (by === "days" && point?.intervalDays !== undefined) return (point.daysSince ?? 0) / point.intervalDays;
    return 1 - (dueAtH - input.nowH) / intervalH;
  });
  return (
    <div className="grid gap-4">
      <IntervalPicture
        points={output.points as GreaseDue[]}
        used={used}
        when={({ dueInDays }) => daysWords(dueInDays)}
      />
      <ul className="grid gap-1">
        {output.points.map(({ id, factor, intervalH, by, grams }) => (
          <li key={id}>
            <b>{id}:</b> every <span className="figure">{formatNumber(reader, intervalH, 0)} h</span> here, ×{" "}
            {formatNumber(reader, factor, 2)}
            {by === "days" && "; its age comes first"}
            {grams !== undefined && (
              <>
                , <span className="figure">{gramWords(reader, grams)}</span>
              </>
            )}
          </li>
        ))}
      </ul>
      <p className="text-mid">
        Factors of dirt, wet, heat and an upright shaft, and 0.005·D·B grams for a bearing: common practice. Never mix
        thickeners; a bearing that runs warm afterwards had too much.
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
