import { type MemberGrowth, warmMesh } from "~/core/gears";
import { judge, worstVerdict } from "~/core/limits";
import { type GrowingMaterial, growingMaterials, growthOf } from "~/core/reference";
import type { Elements } from "~/core/stages";
import { Select } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { materialWords } from "../../words/material";
import { Refused } from "../../words/refused";
import { spoken } from "../../words/spoken";
import { verdictState } from "../../words/state";
import { useWords } from "../../words/use-words";
import { DegreesField, degreesIn } from "../degrees-field";

const members = [
  { key: "housing", name: "Housing" },
  { key: "driver", name: "Driver" },
  { key: "driven", name: "Driven gear" },
] as const;
const airs = { dry: "as it was set", humid: "humid air", soaked: "soaked" } as const;

/** What the backlash that was read becomes where housing and gears are warm, and plastic gears have taken up water: judged cold and hot by the same limits. */
export function WarmMesh({
  element,
  limits,
  readMm,
  expandedUncertainty,
  texts,
  onText,
}: {
  element: Elements["gear-pair"];
  limits: { lo: number; hi: number } | null;
  /** Least and greatest backlash as read, mm; null: nothing yet. */
  readMm: readonly [number, number] | null;
  expandedUncertainty: number;
  texts: Readonly<Record<string, string>>;
  onText: (name: string, text: string) => void;
}) {
  const reader = useWords();
  const mm = spoken(reader, "mm", 3);
  const materials = { housing: undefined, driver: element.parts.materials?.[0], driven: element.parts.materials?.[1] };
  const materialOf = (key: (typeof members)[number]["key"]): GrowingMaterial | null =>
    growingMaterials.find((known) => known === texts[`warm.${key}.of`]) ?? materialNamed(materials[key]);
  const from = degreesIn(texts["warm.from"]);
  const growths = members.map(({ key }): MemberGrowth | null => {
    const material = materialOf(key);
    const to = degreesIn(texts[`warm.${key}.to`]);
    if (!material || from.value === null || to.value === null) return null;
    const air = key === "housing" ? "dry" : airOf(texts[`warm.${key}.air`]);
    const { perK, humid, soaked } = growthOf[material];
    return { perK, byK: to.value - from.value, moisture: air === "humid" ? humid : air === "soaked" ? soaked : 0 };
  });
  const [housing, driver, driven] = growths;
  const warm = housing && driver && driven ? warmMesh(element.pair, housing, [driver, driven]) : null;
  const hot = warm?.ok && readMm ? readMm.map((value) => value + warm.value.backlashChangeMm) : null;
  const verdictOf = (range: readonly number[]) =>
    limits && worstVerdict(range.map((value) => judge(value, limits, expandedUncertainty).verdict));
  const [cold, hotVerdict] = [readMm && verdictOf(readMm), hot && verdictOf(hot)];
  const missing = [
    readMm === null && "a reading of the backlash",
    members.some(({ key }) => !materialOf(key)) && "what each is of",
    (from.value === null || growths.some((growth) => growth === null)) && "the temperatures",
  ].filter((what) => what !== false);
  return (
    <section aria-label="When it runs warm" className="grid gap-3 py-2">
      <div className="max-w-56">
        <DegreesField label="Set at" name="warm.from" {...{ texts, onText }} />
      </div>
      {members.map(({ key, name }) => (
        <div key={key} className="grid grid-cols-3 gap-3 items-start">
          <Select
            label={`${name} of`}
            value={materialOf(key) ?? ""}
            onChange={(event) => onText(`warm.${key}.of`, event.target.value)}
          >
            <option value="">not known</option>
            {growingMaterials.map((material) => (
              <option key={material} value={material}>
                {materialWords[material]}
              </option>
            ))}
          </Select>
          <DegreesField label="works at" name={`warm.${key}.to`} {...{ texts, onText }} />
          {key !== "housing" && (
            <Select
              label="in"
              value={airOf(texts[`warm.${key}.air`])}
              onChange={(event) => onText(`warm.${key}.air`, event.target.value)}
            >
              {(Object.keys(airs) as (keyof typeof airs)[]).map((air) => (
                <option key={air} value={air}>
                  {airs[air]}
                </option>
              ))}
            </Select>
          )}
        </div>
      ))}
      {warm && !warm.ok && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={warm.refusal} />
        </p>
      )}
      <p role="status" className="text-lg">
        {hot && readMm && warm?.ok ? (
          <>
            <b>
              {mm.range(readMm[0], readMm[1])} {mm.unit}
            </b>{" "}
            cold {cold && <StateMark state={verdictState[cold]} />} becomes{" "}
            <b>
              {mm.range(hot[0] ?? 0, hot[1] ?? 0)} {mm.unit}
            </b>{" "}
            where it works {hotVerdict && <StateMark state={verdictState[hotVerdict]} />}
            {(hot[0] ?? 0) <= 0 && <b> It would jam there.</b>}
          </>
        ) : (
          missing.length > 0 && <span className="text-mid">It needs {missing.join(", ")}.</span>
        )}
      </p>
      {warm?.ok && (
        <p className="text-mid">
          {members
            .map(
              ({ name }, i) =>
                `${name} ${(warm.value.shares[i] ?? 0) > 0 ? "+" : ""}${mm.figure(warm.value.shares[i] ?? 0)} ${mm.unit}`,
            )
            .join(", ")}
          . Growth of materials and what water does to them from memory; a maker’s figures overrule them.
        </p>
      )}
    </section>
  );
}

const airOf = (text: string | undefined): keyof typeof airs => (text === "humid" || text === "soaked" ? text : "dry");

/** A material as it was written with the gear, where it is one that is known. */
const materialNamed = (text: string | undefined): GrowingMaterial | null => {
  const plain = text?.trim().toLowerCase();
  return growingMaterials.find((material) => materialWords[material] === plain || material === plain) ?? null;
};
