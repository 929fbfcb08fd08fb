import { useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { PairGeometry } from "~/core/gears";
import { anglesShown, type RecommendedLimits, recommendBacklash } from "~/core/limits";
import { parseQuantity } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Tick } from "~/ui/tick";
import { TextField } from "../../form/text-field";
import { useFormTexts, useWriteTexts } from "../../form/use-form-texts";

/** Backlash of a gear pair where no maker says, with its formula. */
export function RecommendBacklash({ pair }: { pair: PairGeometry }) {
  const reader = useWords();
  const texts = useFormTexts();
  const write = useWriteTexts();
  const [plastic, setPlastic] = useState(false);
  const runouts = ["runout1", "runout2"].map((name) => parseQuantity(texts[name] ?? "", "length", "mm"));
  const [first, second] = runouts;
  const runout = first?.ok && second?.ok ? ([first.value.value, second.value.value] as const) : undefined;
  const found = recommendBacklash(pair, plastic, runout);
  if (!found.ok) return <p className="text-mid">With the gears filled in, limits can be recommended here.</p>;
  const { loMm, hiMm, by } = found.value;
  return (
    <section aria-label="Recommended limits" className="border-l-4 border-ink pl-4 grid gap-2">
      <p className="text-lg">
        Recommended: <b className="figure">{formatNumber(reader, loMm, 2)}</b> to{" "}
        <b className="figure">{formatNumber(reader, hiMm, 2)}</b> mm. {byWords[by]}
      </p>
      <p className="figure text-mid">
        {formulaWords(reader, found.value, pair.moduleMm, pair.centreDistanceMm ?? 0, anglesShown(pair))}
      </p>
      <Tick label="A gear is moulded or printed" checked={plastic} onChange={setPlastic} />
      {plastic && !runout && (
        <p className="border-l-4 border-near pl-3">
          A moulded or printed gear seldom runs true: read both round their bores and put that in, or the upper limit
          may be narrower than one setting can hold.
        </p>
      )}
      <div className="grid grid-cols-2 gap-4">
        <TextField name="runout1" label="Runout of the pinion" hint="F_r, mm, if it is known" />
        <TextField name="runout2" label="Runout of the gear" hint="F_r, mm, if it is known" />
      </div>
      <div>
        <Button
          onClick={() =>
            write({
              lo: formatNumber(reader, loMm, 2),
              hi: formatNumber(reader, hiMm, 2),
              aim: "",
              "limits.quantity": "circumferential-backlash",
              sourceKind: "recommended",
              source: sourceWords[by],
            })
          }
        >
          Recommend: fill these in
        </Button>
      </div>
    </section>
  );
}

const byWords: Record<RecommendedLimits["by"], string> = {
  "iso-tr-10064-2": "By ISO/TR 10064-2, for iron housings below 15 m/s.",
  "iso-tr-10064-2-guess": "By the formula of ISO/TR 10064-2 outside of its range of modules: a guess.",
  "fine-pitch-metal": "For fine-pitch metal gears: common practice.",
  "fine-pitch-plastic": "For moulded or printed gears: common practice.",
};
const sourceWords: Record<RecommendedLimits["by"], string> = {
  "iso-tr-10064-2": "ISO/TR 10064-2, least backlash; upper 2.25 times the lower (common practice)",
  "iso-tr-10064-2-guess": "Formula of ISO/TR 10064-2 outside of its range, a guess",
  "fine-pitch-metal": "0.06·m, not below 0.02 mm (common practice)",
  "fine-pitch-plastic": "0.05·m + 0.02 mm (common practice)",
};

/** Where recommended limits come from, as their source. */
export const backlashSource = ({ by }: RecommendedLimits): string => sourceWords[by];

function formulaWords(
  reader: Reader,
  { normalMm, forRunoutMm, by, loMm }: RecommendedLimits,
  m: number,
  a: number,
  angles: { workingDeg: number; baseHelixDeg: number } | null,
): string {
  const f = (value: number, decimals = 3) => formatNumber(reader, value, decimals);
  const lower =
    normalMm !== null
      ? `j_bn = ⅔·(0.06 + 0.0005·${f(a, 2)} + 0.03·${f(m, 2)}) = ${f(normalMm)}; j_t = j_bn/(cos ${f(angles?.workingDeg ?? 20, 2)}°·cos ${f(angles?.baseHelixDeg ?? 0, 2)}°) = ${f(loMm, 2)} mm`
      : by === "fine-pitch-plastic"
        ? `j_t = 0.05·${f(m, 2)} + 0.02 = ${f(loMm, 2)} mm`
        : `j_t = max(0.02, 0.06·${f(m, 2)}) = ${f(loMm, 2)} mm`;
  const upper = `upper = 2.25·j_t${forRunoutMm === null ? "" : `, at least j_t + 2·tan ${f(angles?.workingDeg ?? 20, 2)}°·(F_r1 + F_r2) = ${f(forRunoutMm)}`}`;
  return `${lower}; ${upper}.`;
}
