import type * as z from "zod";
import type { stripOrderTool } from "~/calc/tools/strip-order";
import { namesIn } from "../../form/names-in";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { OrderPicture } from "../../guides/order-picture";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

type Output = z.output<typeof stripOrderTool.output>;

function readParts(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("parts", ["id", "after", "hides", "screws"]);
  read.want("parts", rows.length > 0, "too-few");
  const known = rows.map((row) => read.text(`${row}.id`));
  const parts = rows.map((row, i) => {
    const id = read.words(`${row}.id`);
    read.want(`${row}.id`, !known.slice(0, i).includes(id), "id-twice");
    const tied = (column: string) => {
      const names = namesIn(read.text(`${row}.${column}`));
      read.want(
        `${row}.${column}`,
        names.every((name) => name !== id && known.includes(name)),
        "not-listed",
      );
      return names;
    };
    const screws = read.has(`${row}.screws`) ? read.number(`${row}.screws`, true) : 0;
    read.want(`${row}.screws`, !(screws < 0), "too-small");
    return { id, after: tied("after"), hides: tied("hides"), screws };
  });
  const part = read.text("part");
  read.want("part", part === "" || known.includes(part), "not-listed");
  return read.done({ parts, ...(part === "" ? {} : { part }) });
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
const screws = (count: number): string => `${count} ${count === 1 ? "screw" : "screws"}`;

export const tool = benchTool("strip-order", async () => (await import("~/calc/tools/strip-order")).stripOrderTool, {
  example: {
    ...rowTexts("parts", [
      { id: "Frame" },
      { id: "Captive nuts", after: "Frame" },
      { id: "Motor", after: "Frame", screws: "4" },
      { id: "Pinion", after: "Motor", screws: "1" },
      { id: "Gear plate", after: "Frame", hides: "Motor", screws: "4" },
      { id: "Large gear", after: "Gear plate" },
      { id: "Cover", after: "Frame", hides: "Captive nuts, Pinion, Large gear", screws: "10" },
    ]),
    part: "Pinion",
  },
  Fields: () => (
    <>
      <RowsField
        name="parts"
        legend="Parts"
        hint="Names with a comma between them. It hides: nuts, screws, marks and wiring that must be done before it is on."
        one="Part"
        most={400}
        columns={[
          { name: "id", label: "Part", wide: true },
          { name: "after", label: "On after", wide: true },
          { name: "hides", label: "It hides", wide: true },
          { name: "screws", label: "Screws" },
        ]}
      />
      <TextField name="part" label="To be reached" hint="a part of the list; empty: none" className="max-w-72" />
    </>
  ),
  read: (texts) => inputFrom(readParts(texts)),
  say: (_, { feasible, conflicts, toReach, screwsToReach, assembly }, texts) => {
    if (!feasible)
      return conflicts
        .map((ring) => `${listed(ring)} wait for one another: one tie is wrong, or they go in as one`)
        .join(". ");
    const part = readParts(texts).value?.part;
    if (part === undefined || !toReach) return `${assembly.length} parts in an order that works`;
    return toReach.length === 0
      ? `Nothing has to come off to reach ${part}`
      : `To reach ${part} take off ${listed(toReach)}, ${screws(screwsToReach ?? 0)}`;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const input = readParts(texts).value;
  if (!input) return null;
  const { assembly, toReach } = output;
  return (
    <div className="grid gap-4">
      <OrderPicture
        parts={input.parts}
        assembly={assembly}
        reach={input.part !== undefined && toReach ? { part: input.part, toReach } : null}
      />
      <p className="text-lg">
        {output.feasible ? "On, from below" : "As far as it goes, from below"}; {screws(output.screws)} in all. Read
        from above it is the order in which they come off.
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
