import { gradesOf } from "~/core/logbook";
import { placeOf } from "../../words/quantity";
import { useJobScreen } from "../entries/job-context";

/** Smoother or rougher than it was found, by place; nothing where it was not felt before. */
export function Smoother() {
  const { stage, job } = useJobScreen();
  const { feltAsFound, lastFeel } = job.record;
  if (!feltAsFound || !lastFeel || feltAsFound.id === lastFeel.id) return null;
  // Words are held against words, prints against prints.
  if ((feltAsFound.body.paper === undefined) !== (lastFeel.body.paper === undefined)) return null;
  const before = gradesOf(feltAsFound);
  const off = (grade: number) => Math.abs(grade - 3);
  const both = gradesOf(lastFeel).flatMap(({ tooth, grade }) => {
    const was = before.find((other) => other.tooth === tooth);
    return was ? [{ tooth, change: off(grade) - off(was.grade) }] : [];
  });
  if (both.length === 0) return null;
  const places = (which: (change: number) => boolean) =>
    both.filter(({ change }) => which(change)).map(({ tooth }) => placeOf(stage.geometry.element, tooth));
  const [smoother, rougher] = [places((change) => change < 0), places((change) => change > 0)];
  const said = [
    smoother.length > 0 ? `smoother at ${smoother.join(", ")}` : "",
    rougher.length > 0 ? `rougher at ${rougher.join(", ")}` : "",
  ].filter(Boolean);
  return (
    <p className="text-lg">
      Against how it was found: {said.length === 0 ? "as it was, everywhere" : said.join("; ")}.
    </p>
  );
}
