import type { Reader } from "~/app/features/words/reader";
import { spoken } from "~/app/features/words/spoken";
import { type BeltAge, firstLossV, tensionByAge } from "~/core/belts";
import type { BeltElement } from "~/core/stages";
import { noLimits } from "../../words/limit-words";

const ageWords: Record<BeltAge, string> = { new: "New", "run-in": "Run in", used: "Used" };

/** The tension that a belt should have new, run in and used, side by side. */
export function ByAge({
  reader,
  kind,
  limits,
}: {
  reader: Reader;
  kind: BeltElement["kind"];
  limits: { lo: number; hi: number } | null;
}) {
  if (!limits) return <p>By its age: {noLimits}.</p>;
  const n = spoken(reader, "N", 0);
  const [least, most] = firstLossV.map((part) => 100 * part) as [number, number];
  return (
    <section aria-labelledby="by-age">
      <h4 id="by-age" className="font-bold">
        By the belt's age
      </h4>
      <dl className="grid grid-cols-3 gap-x-4">
        {tensionByAge(kind, limits).map(({ age, loN, hiN }) => (
          <div key={age}>
            <dt className="text-mid">{ageWords[age]}</dt>
            <dd className="text-lg">
              {age === "used" ? `again below ${n.said(loN)}` : `${n.range(loN, hiN)} ${n.unit}`}
              {age === "new" && hiN > limits.hi && (
                <span className="block text-mid">judged by the limits all the same</span>
              )}
            </dd>
          </div>
        ))}
      </dl>
      <p className="text-mid">
        {kind === "v-belt"
          ? `New, 1.3 to 1.5 times what it needs run in; it loses ${least} to ${most} % in the first 24 to 48 hours and is set again then. Common practice.`
          : "A toothed belt is set once and looked at again after some hours; it hardly stretches. Common practice."}
      </p>
    </section>
  );
}
