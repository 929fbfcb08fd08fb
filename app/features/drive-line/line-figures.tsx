import { BeltsInLine } from "./belts-in-line";
import { OutputPane } from "./output-pane";
import { Periods } from "./periods";
import { ShaftTable } from "./shaft-table";
import type { SolvedLine } from "./shown-line";

/** What a drive line adds up to: its shafts, its outputs, and how often everything comes round. */
export default function LineFigures({ line, graph, stages }: SolvedLine) {
  return (
    <div className="grid gap-6 pt-3">
      <ShaftTable line={line} graph={graph} stages={stages} />
      <OutputPane line={line} stages={stages} />
      <BeltsInLine line={line} graph={graph} stages={stages} />
      <Periods line={line} graph={graph} stages={stages} />
    </div>
  );
}
