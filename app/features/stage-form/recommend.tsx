import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { parseNumber, parseQuantity } from "~/core/quantity";
import { type AskedFor, judgedBy, judgedUnit, recommendKind, type StageElement } from "~/core/stages";
import { Button } from "~/ui/button";
import { useFormTexts, useWriteTexts } from "../form/use-form-texts";
import { formOf } from "../kinds/forms";
import { limitsGivenAs } from "./limits-texts";
import { ruleWords } from "./rule-words";

/** What has to be known for the rule is asked here. */
function RecommendKind({ element }: { element: StageElement | null }) {
  const reader = useWords();
  const texts = useFormTexts();
  const write = useWriteTexts();
  if (!element) return <p className="text-mid">With the geometry filled in, limits can be recommended here.</p>;
  const number = (name: string) => {
    const read = parseNumber(texts[name] ?? "");
    return read.ok ? read.value : undefined;
  };
  const torque = parseQuantity(texts["rec.torque"] ?? "", "torque", "Nm");
  const asked: AskedFor = {
    torqueNm: torque.ok ? torque.value.value : undefined,
    powerKw: number("rec.power"),
    speedMPerS: number("rec.speed"),
    bearing: bearings.find((known) => known === texts["rec.bearing"]),
  };
  const found = recommendKind(element, asked);
  const { unit, digits } = judgedUnit[judgedBy(element)];
  return (
    <section aria-label="Recommended limits" className="border-l-4 border-ink pl-4 grid gap-3">
      <AskedForRule element={element} />
      {found ? (
        <>
          <p className="text-lg">
            Recommended: <b className="figure">{formatNumber(reader, found.lo, digits)}</b> to{" "}
            <b className="figure">{formatNumber(reader, found.hi, digits)}</b> {unit}.
          </p>
          <p className="text-mid">{ruleWords(reader, found)}</p>
          <div>
            <Button
              onClick={() =>
                write({
                  lo: formatNumber(reader, found.lo, digits),
                  hi: formatNumber(reader, found.hi, digits),
                  aim: "",
                  "limits.quantity": limitsGivenAs[judgedBy(element)] ?? "",
                  sourceKind: "recommended",
                  source: ruleWords(reader, found),
                })
              }
            >
              Recommend: fill these in
            </Button>
          </div>
        </>
      ) : (
        <p className="text-mid">{formOf(element).noRule}</p>
      )}
    </section>
  );
}

const bearings = ["ball", "taper", "bush"] as const;

/** What its rule has to know. */
function AskedForRule({ element }: { element: StageElement }) {
  return formOf(element).AskedFor?.({ element }) ?? null;
}

/** By its rule, or in a way of its own. */
export function Recommend({ element }: { element: StageElement | null }) {
  const own = element && formOf(element).Recommend;
  return own ? own({ element }) : <RecommendKind element={element} />;
}
