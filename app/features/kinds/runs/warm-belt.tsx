import type { Reader } from "~/app/features/words/reader";
import { spoken } from "~/app/features/words/spoken";
import {
  type CordMaterial,
  cordGrowthPerK,
  type FrameMaterial,
  frameGrowthPerK,
  type WarmBelt as WarmBeltQuestion,
  warmTension,
} from "~/core/belts";
import { judge, worstVerdict } from "~/core/limits";
import { Select } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { verdictState } from "../../words/state";
import { DegreesField, degreesIn } from "../degrees-field";

const frameWords: Record<FrameMaterial, string> = { steel: "steel", "cast-iron": "cast iron", aluminium: "aluminium" };
const cordWords: Record<CordMaterial, string> = { glass: "glass cord", steel: "steel cord", aramid: "aramid cord" };
const keysOf = <K extends string>(of: Record<K, unknown>) => Object.keys(of) as K[];

/** What the tension that was read becomes where frame and belt are warmer, and whether it is inside then. */
export function WarmBelt({
  reader,
  limits,
  tensionN,
  stiffnessN,
  expandedUncertainty,
  texts,
  onText,
}: {
  reader: Reader;
  limits: { lo: number; hi: number } | null;
  /** Least and greatest of what was read; null: nothing yet. */
  tensionN: readonly [number, number] | null;
  /** EA; null: not known. */
  stiffnessN: number | null;
  expandedUncertainty: number;
  texts: Readonly<Record<string, string>>;
  onText: (name: string, text: string) => void;
}) {
  const frame = keysOf(frameGrowthPerK).find((known) => known === texts["warm.frame"]);
  const cord = keysOf(cordGrowthPerK).find((known) => known === texts["warm.cord"]);
  const [from, to] = [degreesIn(texts["warm.from"]), degreesIn(texts["warm.to"])];
  const n = spoken(reader, "N", 0);
  const missing = [
    tensionN === null && "a reading of its tension",
    stiffnessN === null && "its stiffness EA, in the geometry",
    !frame && "what the frame is of",
    !cord && "what its cord is of",
    (from.value === null || to.value === null) && "both temperatures",
  ].filter((what) => what !== false);
  const warm =
    tensionN !== null && stiffnessN !== null && frame && cord && from.value !== null && to.value !== null
      ? warmRange(tensionN, {
          stiffnessN,
          framePerK: frameGrowthPerK[frame],
          cordPerK: cordGrowthPerK[cord],
          fromC: from.value,
          toC: to.value,
        })
      : null;
  const verdict =
    warm && limits && worstVerdict(warm.map((value) => judge(value, limits, expandedUncertainty).verdict));
  const pick = <K extends string>(name: string, label: string, words: Record<K, string>) => (
    <Select label={label} value={texts[name] ?? ""} onChange={(event) => onText(name, event.target.value)}>
      <option value="">not known</option>
      {keysOf(words).map((key) => (
        <option key={key} value={key}>
          {words[key]}
        </option>
      ))}
    </Select>
  );
  return (
    <section aria-labelledby="warm-belt">
      <h4 id="warm-belt" className="font-bold">
        When it runs warm
      </h4>
      <div className="grid grid-cols-2 gap-3">
        {pick("warm.frame", "The frame is of", frameWords)}
        {pick("warm.cord", "The belt pulls by", cordWords)}
        <DegreesField label="Now it is" name="warm.from" {...{ texts, onText }} />
        <DegreesField label="Running it gets" name="warm.to" {...{ texts, onText }} />
      </div>
      <p role="status" className="text-lg mt-2">
        {warm === null || tensionN === null ? (
          <span className="text-mid">It needs {missing.join(", ")}.</span>
        ) : (
          <>
            <b>
              {n.range(...tensionN)} {n.unit}
            </b>{" "}
            becomes{" "}
            <b>
              {n.range(...warm)} {n.unit}
            </b>{" "}
            {verdict && <StateMark state={verdictState[verdict]} />}
          </>
        )}
      </p>
      <p className="text-mid">
        EA times the difference of both growths, everything of one temperature; the growth of cast iron and of cords is
        from memory.
      </p>
    </section>
  );
}

const warmRange = (
  [least, greatest]: readonly [number, number],
  belt: Omit<WarmBeltQuestion, "tensionN">,
): readonly [number, number] => [
  warmTension({ ...belt, tensionN: least }),
  warmTension({ ...belt, tensionN: greatest }),
];
