import { useWords } from "~/app/features/words/use-words";
import type { Bodies } from "~/core/logbook";
import { changedWidths, type PlaneWanted, type Shaft } from "~/core/shafts";
import { drawnEntry } from "../../shafts/drawn-shaft";
import { ShaftDrawing } from "../../shafts/shaft-drawing";
import { capital } from "../../words/count";
import { closesWords, floatWords, laidWords, offWords, standsWords, unknownPlaneWords } from "../../words/shafts";
import { lengthWords } from "../../words/spoken";

/** How the shaft stands with what is typed and chosen: drawn, its float, its planes, and what does not close. */
export function ShaftSays({
  shaft,
  stands,
  wanted,
  before,
}: {
  shaft: Shaft;
  stands: Bodies["shaft"];
  wanted: readonly PlaneWanted[];
  before: Bodies["shaft"] | null;
}) {
  const reader = useWords();
  const mm = (value: number) => lengthWords(reader, value, 3);
  const overlaps = stands.endFloat.reckonedMm < 0;
  const closes = closesWords(reader, stands);
  const unknown = wanted.filter(({ fromFaceMm }) => fromFaceMm === null);
  const wasFloat = before && (before.endFloat.readMm ?? before.endFloat.reckonedMm);
  return (
    <section aria-label="As it would stand" className="grid gap-2">
      <ShaftDrawing {...drawnEntry(stands, shaft)} />
      <p className="text-xl" role="status">
        <b>{capital(floatWords(reader, stands))}</b>
        {overlaps && ". Measure again, or a part does not belong here."}
      </p>
      {closes && <p className="text-lg text-outside font-semibold">{capital(closes)}.</p>}
      {stands.planes.map((plane) => (
        <p key={plane.key} className="text-lg">
          {plane.meets
            ? `${plane.name}, level with ${plane.meets.part} of ${plane.meets.shaft} ${plane.meets.known}`
            : plane.name}
          : <b>{standsWords(plane.verdict)}</b>, {offWords(reader, plane.errorMm)}
          <span className="text-mid">
            {" "}
            (± {mm(plane.toleranceMm)} allowed
            {plane.expandedUncertaintyMm === null ? "" : `, known to ± ${mm(plane.expandedUncertaintyMm)}`})
          </span>
        </p>
      ))}
      {unknown.map(({ partId, why }) => (
        <p key={partId} className="text-lg text-near font-semibold">
          {shaft.parts.find(({ id }) => id === partId)?.name}: where it must stand is not known,{" "}
          {why ? unknownPlaneWords[why] : ""}.
        </p>
      ))}
      {stands.laid.length > 0 && <p className="text-lg">{capital(laidWords(reader, stands))}.</p>}
      {changedWidths(before?.parts ?? [], stands.parts).map(({ key, name, byMm, expandedUncertaintyMm }) => (
        <p key={key} className="text-lg text-near font-semibold">
          {name} is {mm(Math.abs(byMm))} {byMm < 0 ? "narrower" : "wider"} than last time, known to ±{" "}
          {mm(expandedUncertaintyMm)}: worn, or another part.
        </p>
      ))}
      {wasFloat !== null && (
        <p className="text-mid text-lg">
          {capital(before?.phase ?? "")} before: end float {mm(wasFloat)}
          {before?.endFloat.readMm === null ? " by its widths" : " read"}.
        </p>
      )}
    </section>
  );
}
