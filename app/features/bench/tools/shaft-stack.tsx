import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { shaftStackTool } from "~/calc/tools/shaft-stack";
import { over0 } from "../../form/field-readers";
import { OrderedRowsField } from "../../form/ordered-rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { ShaftPicture } from "../../stacks/shaft-picture";
import { standsWords } from "../../words/shafts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { readStock, StockField } from "../stock";

type Output = z.output<typeof shaftStackTool.output>;

const f = (reader: Reader, value: number): string => formatNumber(reader, value, 3);

/** Parts from the left face: a width, and where the plane of a part must stand if that matters. */
function readItems(read: TextReader) {
  const rows = read.rows("items", ["name", "width"]);
  read.want("items", rows.length > 0, "missing");
  const mayBe = (name: string, key: string) => (read.has(name) ? { [key]: read.length(name) } : {});
  return rows.map((row) => ({
    id: read.words(`${row}.name`),
    widthMm: over0(read, `${row}.width`),
    ...mayBe(`${row}.at`, "planeAtMm"),
    ...mayBe(`${row}.plane`, "planeMm"),
    ...mayBe(`${row}.off`, "toleranceMm"),
  }));
}

function inputOf(texts: Texts) {
  const read = new TextReader(texts);
  const lengthMm = read.length("length");
  read.want("length", lengthMm > 0, "too-small");
  const items = readItems(read);
  read.want("items", new Set(items.map(({ id }) => id)).size === items.length, "part-twice");
  const spacers = readStock(read, "spacers").map(({ sizeMm, count }) => ({ widthMm: sizeMm, count }));
  const u = read.lengthOrNull("u");
  read.want("u", u === null || !(u < 0), "too-small");
  const made = read.text("make");
  const behind = /^(the )?left face$/i.test(made)
    ? "left-face"
    : items.find(({ id }) => id.toLowerCase() === made.toLowerCase())?.id;
  read.want("make", made === "" || behind !== undefined, "not-listed");
  const endFloat = { loMm: read.length("lo"), hiMm: read.length("hi") };
  read.want("lo", !(endFloat.loMm > endFloat.hiMm), "window-upside-down");
  return read.done({
    lengthMm,
    ...(u === null ? {} : { lengthUncertaintyMm: u }),
    items: items.map((item) => (u === null ? item : { ...item, expandedUncertaintyMm: u })),
    spacers,
    endFloat,
    ...(behind === undefined ? {} : { makeAfter: behind }),
  });
}

export const tool = benchTool("shaft-stack", async () => (await import("~/calc/tools/shaft-stack")).shaftStackTool, {
  example: {
    length: "20",
    ...rowTexts("items", [
      { name: "bearing", width: "4" },
      { name: "gear", width: "6", at: "9.5", plane: "3" },
      { name: "bush", width: "5" },
    ]),
    ...rowTexts("spacers", [
      { size: "0.5", count: "4" },
      { size: "0.2", count: "3" },
      { size: "1", count: "3" },
    ]),
    lo: "0.1",
    hi: "0.4",
  },
  beside: true,
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="length" label="Face to face" hint="mm" className="col-span-full max-w-60" />
      <div className="col-span-full">
        <OrderedRowsField
          name="items"
          legend="Parts from the left face, mm"
          hint="“Plane at”: where a plane of the part must stand; “from its left”: where that plane lies on the part; ±: how much it may be off, usually 0.1."
          one="Part"
          columns={[
            { name: "name", label: "Called", wide: true },
            { name: "width", label: "Width" },
            { name: "at", label: "Plane at" },
            { name: "plane", label: "from its left" },
            { name: "off", label: "±" },
          ]}
        />
      </div>
      <div className="col-span-full">
        <StockField name="spacers" legend="Spacers at hand" />
      </div>
      <TextField name="make" label="Make one, behind" hint="left face, or a part; empty: none" />
      <TextField name="u" label="Each width is known to" hint="± mm, k = 2; empty: not judged" />
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
        {input && output.endFloatMm >= 0 && (
          <ShaftPicture {...input} answer={{ ...output, gaps: gapsOf(output, input.makeAfter) }} />
        )}
        <table className="w-full text-left" aria-label="Where the spacers go">
          <thead>
            <tr className="border-b-2 border-ink">
              <th className="py-1">After</th>
              <th>Spacers</th>
              <th>Together, mm</th>
            </tr>
          </thead>
          <tbody>
            {gapsOf(output, input?.makeAfter).map(({ after, spacers, totalMm }) => (
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
        {typeof output.makeMm === "number" && input?.makeAfter && (
          <p className="text-lg">
            Make one of <b className="figure">{f(reader, output.makeMm)}</b> mm, to stand behind{" "}
            {input.makeAfter === "left-face" ? "the left face" : input.makeAfter}.
          </p>
        )}
        {output.makeMm === null && <p className="text-lg">That gap leaves no room for one of half a millimetre.</p>}
        {output.endFloat?.verdict && (
          <p>
            End float ± <span className="figure">{f(reader, output.endFloat.expandedUncertaintyMm ?? 0)}</span> mm:{" "}
            {standsWords(output.endFloat.verdict)}.
          </p>
        )}
        {output.planes.map(({ id, atMm, errorMm, verdict }) => (
          <p key={id}>
            <b>{id}</b>: its plane stands at <span className="figure">{f(reader, atMm)}</span> mm,{" "}
            {errorMm === 0
              ? "where it must"
              : `${f(reader, Math.abs(errorMm))} mm too far to the ${errorMm > 0 ? "right" : "left"}`}
            {verdict && `, ${standsWords(verdict)}`}.
          </p>
        ))}
      </div>
    );
  },
});

/** The gaps with the one that is made among what lies in them. */
const gapsOf = ({ gaps, makeMm }: Pick<Output, "gaps" | "makeMm">, behind: string | undefined): Output["gaps"] =>
  typeof makeMm !== "number"
    ? gaps
    : gaps.map((gap) =>
        gap.after === behind
          ? {
              ...gap,
              spacers: [...gap.spacers, { widthMm: makeMm, count: 1 }],
              totalMm: Number((gap.totalMm + makeMm).toFixed(6)),
            }
          : gap,
      );

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
