import type { ComponentType } from "react";
import { type MeasuredTool, measuredTools } from "~/core/logbook";
import { Choice } from "~/ui/choice";
import { deferred } from "~/ui/deferred";
import type { BenchTool } from "../../bench/bench-tool";
import { measuredToolWords } from "../../words/measured";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { ShaftPane } from "./shaft-pane";

/** Each with its tool, fetched when it is chosen. */
const pane = (tool: MeasuredTool, load: () => Promise<{ tool: BenchTool }>): ComponentType =>
  deferred(async () => {
    const [{ MeasurePane }, { tool: bench }] = await Promise.all([import("./measure-pane"), load()]);
    return () => <MeasurePane tool={tool} bench={bench} />;
  });

const panes: Record<MeasuredTool, ComponentType> = {
  "part-runout": pane("part-runout", () => import("../../bench/measures/part-runout")),
  "fit-series": pane("fit-series", () => import("../../bench/measures/fit-series")),
  "housing-line": pane("housing-line", () => import("../../bench/measures/housing-line")),
  flatness: pane("flatness", () => import("../../bench/measures/flatness")),
  "wheel-align": pane("wheel-align", () => import("../../bench/measures/wheel-align")),
  "frame-pull": pane("frame-pull", () => import("../../bench/measures/frame-pull")),
  coupling: pane("coupling", () => import("../../bench/measures/coupling")),
  "shaft-align": pane("shaft-align", () => import("../../bench/measures/shaft-align")),
};

const whats = ["shaft", ...measuredTools] as const;

/** What is put right while it is apart: shafts measured and filled up, fits, runout, housings, frames and couplings. */
export function RightStation() {
  const { job } = useJobScreen();
  const texts = useTexts();
  const what = whats.find((word) => word === texts["right.what"]) ?? "shaft";
  const Pane = what === "shaft" ? ShaftPane : panes[what];
  return (
    <div className="grow min-h-0 overflow-y-auto p-5 max-sm:p-3.5 grid gap-5 content-start">
      <Choice
        legend="Put right"
        name="right-what"
        value={what}
        onChange={(value) => job.changeText("right.what", value)}
        options={whats.map((value) => ({ value, label: value === "shaft" ? "Shaft" : measuredToolWords[value] }))}
        tight
      />
      <Pane key={what} />
    </div>
  );
}
