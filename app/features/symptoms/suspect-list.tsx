import type { ReactNode } from "react";
import type { Ground, Suspect, SuspectState } from "~/core/symptoms";
import { capital, lowered } from "../words/count";
import { formatNumber } from "../words/figure";
import { causeName, groundWords, placeOfSuspect, suspectStateWords, testWords } from "../words/symptom";
import { useWords } from "../words/use-words";
import type { LineKnown } from "./line-known";

type Shown = Suspect & { state?: SuspectState | null };

/** Suspects, likeliest first: what may be wrong with each, what speaks for and against, and what to try next. */
export function SuspectList({
  suspects,
  line,
  keys,
}: {
  suspects: readonly Shown[];
  line: LineKnown;
  /** What is done with each. */
  keys?: (suspect: Shown) => ReactNode;
}) {
  const reader = useWords();
  return (
    <ol className="grid gap-4">
      {suspects.map((suspect, i) => {
        const stage = line.stages.find(({ id }) => id === suspect.stageId);
        const [first, ...others] = suspect.causes.filter(({ score }, at) => at === 0 || score > 0).slice(0, 3);
        if (!first) return null;
        return (
          <li
            key={suspect.key}
            className={`border-t-2 pt-2 ${suspect.state === "ruled-out" ? "border-rule text-mid" : "border-ink"}`}
          >
            <h2 className="text-xl font-bold">
              {i + 1}. {capital(placeOfSuspect(suspect, stage?.name))}
              {suspect.gear && `, ${suspect.gear}`}
              {suspect.state && `: ${suspectStateWords[suspect.state]}`}
            </h2>
            {suspect.perMinute !== null && (
              <p className="text-mid">
                comes round {formatNumber(reader, suspect.perMinute, suspect.perMinute < 100 ? 1 : 0)} times a minute
              </p>
            )}
            <p className="text-lg">
              {causeName(first.code, first.own?.says)}
              {others.length > 0 &&
                `; or ${others.map(({ code, own }) => lowered(causeName(code, own?.says))).join("; or ")}`}
              .
            </p>
            <Grounds label="For" grounds={first.speaksFor} />
            <Grounds label="Against" grounds={first.against} />
            {suspect.state !== "ruled-out" && (
              <p className="text-lg">
                <b>Next:</b> {testWords[first.test]}.
              </p>
            )}
            {keys?.(suspect)}
          </li>
        );
      })}
    </ol>
  );
}

function Grounds({ label, grounds }: { label: string; grounds: readonly Ground[] }) {
  const reader = useWords();
  if (grounds.length === 0) return null;
  return (
    <p>
      <span className="font-semibold">{label}:</span> {grounds.map((ground) => groundWords(reader, ground)).join("; ")}
    </p>
  );
}
