import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { shaftStackTool } from "~/calc/tools/shaft-stack";
import { parseQuantity } from "~/core/quantity";
import { LinesField, TextField } from "../../form/text-field";
import { TextReader, type Texts } from "../../form/text-reader";
import { ShaftPicture } from "../../stacks/shaft-picture";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { readStock } from "../stock-lines";

const f = (reader: Reader, value: number): string => formatNumber(reader, value, 3);

/** A size with or without a unit: 6, 0,25 in, 1/4", 5 thou. */
const size = String.raw`[\d.,]+(?:\s*/\s*\d+)?(?:\s*(?:mm|µm|um|in\.?|inch|inches|thou|"))?`;
const partLine = new RegExp(
  String.raw`^(.+?)\s+(${size})(?:\s+at\s+(${size}))?(?:\s+plane\s+(${size}))?(?:\s*(?:±|\+-|\+/-)\s*(${size}))?$`,
  "i",
);

/** "gear 6 at 9.5 plane 3 ± 0.05": a name, a width, and where its plane must stand if that matters. */
function readItems(read: TextReader) {
  const lines = read.text("items").split(/[\n;]+/);
  const mm = (text: string | undefined) => {
    const value = parseQuantity(text ?? "", "length", "mm");
    read.want("items", value.ok, "not-a-part");
    return value.ok ? value.value.value : Number.NaN;
  };
  return lines.flatMap((line) => {
    if (line.trim() === "") return [];
    const [, id, width, at, plane, tolerance] = partLine.exec(line.trim()) ?? [];
    read.want("items", id !== undefined && width !== undefined, "not-a-part");
    if (id === undefined || width === undefined) return [];
    return [
      {
        id,
        widthMm: mm(width),
        ...(at === undefined ? {} : { planeAtMm: mm(at) }),
        ...(plane === undefined ? {} : { planeMm: mm(plane) }),
        ...(tolerance === undefined ? {} : { toleranceMm: mm(tolerance) }),
      },
    ];
  });
}

function inputOf(texts: Texts) {
  const read = new TextReader(texts);
  const lengthMm = read.length("length");
  read.want("length", lengthMm > 0, "too-small");
  const items = readItems(read);
  read.want("items", items.length > 0, "missing");
  read.want(
    "items",
    items.every(({ widthMm }) => widthMm > 0),
    "too-small",
  );
  read.want("items", new Set(items.map(({ id }) => id)).size === items.length, "part-twice");
  const spacers = readStock(read, "spacers").map(({ sizeMm, count }) => ({ widthMm: sizeMm, count }));
  const endFloat = { loMm: read.length("lo"), hiMm: read.length("hi") };
  read.want("lo", !(endFloat.loMm > endFloat.hiMm), "window-upside-down");
  return read.done({ lengthMm, items, spacers, endFloat });
}

export const tool = benchTool(shaftStackTool, {
  example: {
    length: "20",
    items: "bearing 4\ngear 6 at 9.5 plane 3\nbush 5",
    spacers: "0.5 × 4\n0.2 × 3\n1 × 3",
    lo: "0.1",
    hi: "0.4",
  },
  beside: true,
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="length" label="Face to face" hint="mm" className="col-span-full max-w-60" />
      <div className="col-span-full">
        <LinesField
          name="items"
          label="Parts from the left face"
          hint="A part a line: name, width in mm or with its unit; “at” where its plane must stand, “plane” where that lies from its own left side, ± how much it may be off (0.1)"
        />
      </div>
      <div className="col-span-full">
        <LinesField name="spacers" label="Spacers at hand" hint="A size a line, and how many: 0.5 × 4" />
      </div>
      <TextField name="lo" label="End float, least" hint="mm" />
      <TextField name="hi" label="End float, most" hint="mm" />
    </div>
  ),
  read: (texts) => {
    const done = inputOf(texts);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, { feasible, endFloatMm }) =>
    feasible
      ? `It goes together with ${f(reader, endFloatMm)} mm of end float`
      : endFloatMm < 0
        ? `The parts alone are ${f(reader, -endFloatMm)} mm too long`
        : `Not within the limits; the nearest leaves ${f(reader, endFloatMm)} mm`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const input = inputOf(texts).value;
    return (
      <div className="grid gap-4">
        {input && output.endFloatMm >= 0 && <ShaftPicture {...input} answer={output} />}
        <table className="w-full text-left" aria-label="Where the spacers go">
          <thead>
            <tr className="border-b-2 border-ink">
              <th className="py-1">After</th>
              <th>Spacers</th>
              <th>Together, mm</th>
            </tr>
          </thead>
          <tbody>
            {output.gaps.map(({ after, spacers, totalMm }) => (
              <tr key={after} className="border-b border-rule">
                <th className="py-2 font-semibold">{after === "left-face" ? "the left face" : after}</th>
                <td className="figure">
                  {spacers.length === 0
                    ? "none"
                    : spacers.map(({ widthMm, count }) => `${count} × ${f(reader, widthMm)}`).join(" + ")}
                </td>
                <td className="figure">{f(reader, totalMm)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {output.planes.map(({ id, atMm, errorMm }) => (
          <p key={id}>
            <b>{id}</b>: its plane stands at <span className="figure">{f(reader, atMm)}</span> mm,{" "}
            {errorMm === 0
              ? "where it must"
              : `${f(reader, Math.abs(errorMm))} mm too far to the ${errorMm > 0 ? "right" : "left"}`}
            .
          </p>
        ))}
      </div>
    );
  },
});

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
