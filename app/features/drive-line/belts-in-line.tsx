import { Link } from "react-router";
import { pullsOf } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import { drivingShaft } from "~/core/stages";
import { Fold } from "~/ui/fold";
import type { SolvedLine } from "./shown-line";

/** What each belt and chain has to pull at its place: behind a reduction the torque has grown, and the belt with it. */
export function BeltsInLine({ line, graph, stages }: SolvedLine) {
  const reader = useWords();
  const runs = graph.links.flatMap((link) => {
    const stage = stages.find(({ id }) => id === link.stageId);
    const pulls = stage && pullsOf(reader, stage.element, drivingShaft(line, graph, link)?.torqueNm ?? null);
    return pulls ? [{ id: stage.id, name: stage.name, ...pulls }] : [];
  });
  if (runs.length === 0) return null;
  return (
    <Fold summary="What its belts and chains have to pull">
      <ul className="grid gap-2">
        {runs.map(({ id, name, said, bench }) => (
          <li key={id} className="border-t border-rule pt-2 text-lg">
            <b>{name}</b>: {said} {bench && <Link to={bench}>How wide need it be?</Link>}
          </li>
        ))}
      </ul>
      <p className="text-mid mt-2">
        2·M/d at the torque of its driving shaft, were all of the motor's power to go this way; six teeth in mesh carry
        the whole rating, each one less takes a fifth off (common practice).
      </p>
    </Fold>
  );
}
