import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { Thrust } from "~/core/stages";
import type { ThrustWords } from "../kinds/kind-words";

const wayWords: Record<Thrust["way"], string> = {
  "away-from-drive": "away from the end at which the first member is driven",
  "towards-drive": "towards the end at which the first member is driven",
  "with-the-worm": "along its own axis, the way the worm's threads sweep past it",
  "against-the-worm": "against the way the worm's threads sweep past it",
  "into-mesh": "into the mesh, towards the apex",
  "out-of-mesh": "out of the mesh, away from the apex",
};

/** Which way each member pushes along its shaft, by the way the first turns; nothing for what does not push. */
export function ThrustPane({
  thrusts,
  words,
  forceN = null,
}: {
  thrusts: readonly Thrust[];
  words: ThrustWords | null;
  forceN?: number | null;
}) {
  const reader = useWords();
  if (thrusts.length === 0 || !words) return null;
  const member = (of: 0 | 1) => (of === 0 ? words.driver : words.driven);
  return (
    <section aria-label="Axial thrust" className="mt-3">
      <p className="font-bold">
        Axial thrust, the {words.driver} driving
        <span className="font-normal text-mid">, {words.friction}</span>
      </p>
      {(["clockwise", "counter-clockwise"] as const).map((turning) => (
        <p key={turning} className="mt-1">
          <b>{turning === "clockwise" ? "Clockwise" : "Counter-clockwise"}</b>, {words.seen}:{" "}
          {thrusts
            .filter((thrust) => thrust.turning === turning)
            .map(
              (thrust) =>
                `${member(thrust.member)} ${wayWords[thrust.way]}, ${forceN === null ? `${formatNumber(reader, 100 * thrust.perTangential, 0)} % of the force on the teeth` : `${formatNumber(reader, forceN * thrust.perTangential, 0)} N`}`,
            )
            .join("; ")}
          .
        </p>
      ))}
    </section>
  );
}
