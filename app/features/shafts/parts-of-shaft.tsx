import { useWords } from "~/app/features/words/use-words";
import type { Bodies } from "~/core/logbook";
import { type PlaneWanted, rulesFor, type Shaft } from "~/core/shafts";
import { capital } from "../words/count";
import { offWords, ruleWords, standsWords, unknownPlaneWords } from "../words/shafts";
import { lengthWords } from "../words/spoken";
import { partSaid } from "./shaft-texts";

/** The parts of a shaft, numbered as in its drawing: what each is, its width, its plane, and what is to be seen to as it goes on. */
export function PartsOfShaft({
  shaft,
  wanted,
  fitted,
}: {
  shaft: Shaft;
  wanted: readonly PlaneWanted[];
  /** As last fitted; null: not yet. */
  fitted: Bodies["shaft"] | null;
}) {
  const reader = useWords();
  return (
    <ol aria-label="Parts from the left face" className="grid">
      {shaft.parts.map((part, i) => {
        const plane = wanted.find(({ partId }) => partId === part.id);
        const stood = fitted?.parts.find(({ key }) => key === part.id);
        const stoodPlane = fitted?.planes.find(({ key }) => key === part.id);
        return (
          <li key={part.id} className="border-t border-rule py-2 grid grid-cols-[2rem_minmax(0,1fr)] gap-x-2">
            <b className="figure text-xl">{i + 1}</b>
            <div>
              <p className="text-lg">
                <b>{part.name}</b>
                <span className="text-mid">
                  {" "}
                  {[
                    partSaid(part),
                    stood
                      ? `${lengthWords(reader, stood.mm, 3)}${stood.expandedUncertaintyMm === null ? "" : ` ± ${lengthWords(reader, stood.expandedUncertaintyMm, 3)}`} ${stood.typed ? "measured" : "as drawn"}`
                      : part.widthMm === null
                        ? "width not known"
                        : `${lengthWords(reader, part.widthMm, 3)} as drawn`,
                  ]
                    .filter(Boolean)
                    .join(", ")}
                </span>
              </p>
              {plane && (
                <p>
                  {plane.meets ? `Level with ${plane.meets.partName} of ${plane.meets.shaftName}` : "Its plane"}
                  {plane.fromFaceMm === null
                    ? `: where, is not known: ${plane.why ? unknownPlaneWords[plane.why] : ""}`
                    : ` at ${lengthWords(reader, plane.fromFaceMm, 2)} from the left face`}
                  {stoodPlane &&
                    `; it stands ${offWords(reader, stoodPlane.errorMm)}, ${standsWords(stoodPlane.verdict)}`}
                </p>
              )}
              {rulesFor(part).map((rule) => (
                <p key={rule} className="text-mid">
                  {capital(ruleWords[rule])}
                </p>
              ))}
            </div>
          </li>
        );
      })}
    </ol>
  );
}
