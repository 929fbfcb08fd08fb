import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { Stack } from "~/core/stacks";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { StackPicture } from "../../stacks/stack-picture";
import { piecesText } from "../../stacks/stack-words";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { readStock, StockField } from "../stock";

const f = (reader: Reader, value: number): string => formatNumber(reader, value, 3);

function inputOf(texts: Texts) {
  const read = new TextReader(texts);
  const gapMm = read.length("gap");
  read.want("gap", gapMm > 0, "too-small");
  const target = { loMm: read.length("lo"), hiMm: read.length("hi") };
  read.want("lo", !(target.loMm > target.hiMm), "window-upside-down");
  const aim = read.has("aim") ? { aimMm: read.length("aim") } : {};
  const maxPieces = read.has("pieces") ? read.number("pieces", true) : 6;
  read.want("pieces", maxPieces >= 1 && maxPieces <= 100, "too-large");
  const stock = readStock(read, "stock").map(({ sizeMm, count }) => ({ thicknessMm: sizeMm, count }));
  return read.done({ gapMm, target: { ...target, ...aim }, stock, maxPieces });
}

const stock = rowTexts("stock", [
  { size: "0.05", count: "4" },
  { size: "0.1", count: "4" },
  { size: "0.2", count: "4" },
  { size: "0.5", count: "2" },
  { size: "1", count: "2" },
]);

export const tool = benchTool("shim-stack", async () => (await import("~/calc/tools/shim-stack")).shimStackTool, {
  example: { gap: "2.37", lo: "0.05", hi: "0.15", ...stock },
  beside: true,
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="gap" label="Gap" hint="mm, as measured" />
      <TextField name="pieces" label="Pieces at most" hint="usually 6" inputMode="numeric" />
      <TextField name="lo" label="To be left, least" hint="mm; below 0: squeezed" />
      <TextField name="hi" label="To be left, most" hint="mm" />
      <TextField name="aim" label="Aim" hint="usually the middle" />
      <div className="col-span-full">
        <StockField name="stock" legend="In the drawer" />
      </div>
    </div>
  ),
  read: (texts) => {
    const done = inputOf(texts);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, { best, nearestBelow, nearestAbove }) => {
    if (best)
      return best.pieces === 0
        ? `Nothing: the gap itself leaves ${f(reader, best.clearanceMm)} mm`
        : `${piecesText(reader, best.shims)}: ${f(reader, best.clearanceMm)} mm is left`;
    const near = [nearestBelow, nearestAbove].flatMap((stack) => (stack ? [`${f(reader, stack.clearanceMm)} mm`] : []));
    return `No stack reaches the window; the nearest ${near.length > 1 ? "leave" : "leaves"} ${near.join(" and ")}`;
  },
  View: ({ output, texts }) => {
    const gapMm = inputOf(texts).value?.gapMm ?? 0;
    const near = [
      ["Nearest, too thick", output.nearestBelow],
      ["Nearest, too thin", output.nearestAbove],
    ] as const;
    const shown = output.best ?? output.nearestBelow ?? output.nearestAbove;
    return (
      <div className="grid gap-4">
        {shown && <StackPicture gapMm={gapMm} shims={shown.shims} />}
        <Stacks
          rows={[
            ...(output.best ? [["Best", output.best] as const] : []),
            ...output.alternatives.map((stack) => ["Or", stack] as const),
            ...near.flatMap(([name, stack]) => (stack ? [[name, stack] as const] : [])),
          ]}
        />
        <p className="text-mid">
          Whole micrometres count, halves up. Three to five pieces at most, thin ones between thick ones, and the stack
          measured as it will be clamped (common practice).
        </p>
      </div>
    );
  },
});

function Stacks({ rows }: { rows: readonly (readonly [string, Stack])[] }) {
  const reader = useWords();
  return (
    <table className="w-full text-left" aria-label="Stacks">
      <thead>
        <tr className="border-b-2 border-ink">
          <th className="py-1">
            <span className="sr-only">Which</span>
          </th>
          <th>Pieces</th>
          <th>Total, mm</th>
          <th>Left, mm</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, stack]) => (
          <tr key={stack.totalMm} className="border-b border-rule">
            <th className="py-2 font-semibold">{name}</th>
            <td className="figure">{piecesText(reader, stack.shims)}</td>
            <td className="figure">{f(reader, stack.totalMm)}</td>
            <td className="figure">{f(reader, stack.clearanceMm)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
