import { useWords } from "~/app/features/words/use-words";
import type { Apart } from "~/core/logbook";
import { accountText, screwsInText, seatWords } from "../../words/parts";

/** What was taken apart and built up in a job, part by part, and whether everything came back; nothing where nobody took anything off. */
export function ApartOnPage({ apart }: { apart: Apart }) {
  const reader = useWords();
  if (apart.parts.length === 0) return null;
  const { parts, screws, washers } = apart.account;
  const turned = apart.steps.flatMap((step) => (step.did === "turned" ? [step.feel] : []));
  const bad = turned.filter((feel) => feel !== "free").length;
  return (
    <section aria-label="Taken apart" className="grid gap-2">
      <h3 className="text-xl font-bold">Taken apart</h3>
      <ul className="text-lg">
        {apart.parts.map(({ key, name, off, on, screws: sets, state, seat }) => (
          <li key={key} className="border-t border-rule py-1.5">
            <b>{name}</b>{" "}
            {[
              off?.body.conditions.join(", "),
              off?.body.fate && `to do: ${off.body.fate}`,
              seat && seatWords(reader, seat.body).title.replace(/^[^:]*: /, ""),
              on ? (on.body.fresh ? "a new one is on" : "on again") : "still off",
              on && sets.length > 0 && screwsInText(sets),
              on && state && `screws ${state}`,
            ]
              .filter(Boolean)
              .join("; ")}
          </li>
        ))}
      </ul>
      <p className="text-lg">
        {parts.out > 0 &&
          `Back: ${accountText(parts, "parts")}, ${accountText(screws, "screws")}, ${accountText(washers, "washers")}. `}
        {apart.uncounted.length > 0 &&
          `Screws not counted as they came out: ${apart.uncounted.map(({ name }) => name).join(", ")}. `}
        {turned.length > 0
          ? `Turned by hand ${turned.length} ${turned.length === 1 ? "time" : "times"}, ${bad === 0 ? "always free" : `${bad} not free`}.`
          : "Not turned by hand."}
      </p>
    </section>
  );
}
