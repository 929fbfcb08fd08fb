import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { KeptDriveLine } from "~/core/stages";
import type { DriveLine } from "~/core/trains";
import { spoken } from "../words/spoken";
import { shaftName } from "./solve";

/** Speed, torque and direction of every shaft. */
export function ShaftTable({
  line,
  graph,
  stages,
}: {
  line: DriveLine;
  graph: KeptDriveLine;
  stages: readonly { id: string; name: string }[];
}) {
  const reader = useWords();
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left" aria-label="Shafts">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pr-4">Shaft</th>
            <th className="pr-4">Ratio</th>
            <th className="pr-4">Turns a minute</th>
            <th className="pr-4">Torque</th>
            <th>Turns</th>
          </tr>
        </thead>
        <tbody>
          {line.shafts.map((shaft) => (
            <tr key={shaft.id} className="border-b border-rule">
              <td className="py-1 pr-4">{shaftName(shaft.id, graph, stages)}</td>
              <td className="figure pr-4">
                {shaft.ratio === null ? "stands" : formatNumber(reader, Math.abs(shaft.ratio), 3)}
              </td>
              <td className="figure pr-4">
                {shaft.rpm === null ? "not known" : formatNumber(reader, Math.abs(shaft.rpm), 1)}
              </td>
              <td className="figure pr-4">
                {shaft.torqueNm === null ? "not known" : spoken(reader, "N·m", 2).said(shaft.torqueNm)}
              </td>
              <td>{shaft.ratio === null ? "" : shaft.ratio > 0 ? "as its motor" : "against its motor"}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-mid mt-1">
        Torque as if all of the motor's power went this way, with the usual efficiency of each kind (common practice).
        Directions: shafts side by side seen from one end; a worm from where it is driven and its wheel with the worm
        above it; bevels each from its back.
      </p>
    </div>
  );
}
