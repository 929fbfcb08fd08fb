import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { housingLineTool } from "~/calc/tools/housing-line";
import { StateMark } from "~/ui/state-mark";
import { over0Or } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { HousingPicture } from "../../shafts/housing-picture";
import { stateOfVerdict } from "../../words/state";
import { benchTool, inputFrom } from "../bench-tool";

type Output = z.output<typeof housingLineTool.output>;

const easings = ["frees", "no change"] as const;

function readHousings(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("housings", ["x", "gap"]);
  read.want("housings", rows.length >= 2, "too-few");
  const housings = rows.map((row) => {
    const eased = easings.find((word) => word === read.text(`${row}.eased`));
    return {
      xMm: read.length(`${row}.x`),
      gapMm: read.length(`${row}.gap`),
      ...(eased ? { eased } : {}),
    };
  });
  const limitMm = over0Or(read, "limit", undefined);
  const expandedUncertaintyMm = read.lengthOrNull("u") ?? 0;
  read.want("u", !(expandedUncertaintyMm < 0), "too-small");
  return read.done({ housings, expandedUncertaintyMm, ...(limitMm === undefined ? {} : { limitMm }) });
}

export const tool = benchTool("housing-line", async () => (await import("~/calc/tools/housing-line")).housingLineTool, {
  example: {
    ...rowTexts("housings", [
      { x: "0", gap: "20.00" },
      { x: "400", gap: "20.35" },
      { x: "900", gap: "20.10" },
    ]),
    limit: "0.1",
    u: "0.02",
  },
  Fields: () => (
    <>
      <RowsField
        name="housings"
        legend="Housings"
        hint="Along the bar or wire, and from it down to the housing, mm: a greater gap lies lower. Then ease the bolts of one housing after the other and turn by hand each time."
        one="Housing"
        columns={[
          { name: "x", label: "Along" },
          { name: "gap", label: "Gap" },
          {
            name: "eased",
            label: "Eased, it",
            wide: true,
            options: [
              { value: "", label: "not tried" },
              { value: "no change", label: "no change" },
              { value: "frees", label: "turns free" },
            ],
          },
        ]}
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="limit" label="In line within" hint="mm; empty: not judged" />
        <TextField name="u" label="Uncertainty of a gap" hint="± mm, k = 2; empty: 0" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readHousings(texts)),
  say: (reader, { offMm, raiseMm, binds }) => {
    const low = raiseMm.indexOf(offMm);
    const line =
      offMm < 0.0005 ? "They lie in one line" : `Housing ${low + 1} lies ${formatNumber(reader, offMm, 2)} mm low`;
    return binds.length > 0
      ? `${line}; ${binds.length === 1 ? "housing" : "housings"} ${binds.map((i) => i + 1).join(", ")} ${binds.length === 1 ? "binds" : "bind"}`
      : line;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readHousings(texts).value;
  if (!input) return null;
  const f = (value: number) => formatNumber(reader, value, 2);
  return (
    <div className="grid gap-4">
      {output.verdict && (
        <p className="text-xl">
          <StateMark state={stateOfVerdict(output.verdict)} />
        </p>
      )}
      <HousingPicture housings={input.housings} answer={output} figure={f} />
      <p className="text-lg">
        Shim under each what stands over it; none has to go down. A housing that frees the shaft when its bolts are
        eased is pulled out of line by them: shim it, and ease it again.
      </p>
      <p className="text-mid">
        The line goes over the high ones and needs least shims in all. A wire sags: stretch it hard, or read it from
        both sides. Judged by ISO 14253-1.
      </p>
    </div>
  );
}
