import type { ComponentType } from "react";
import { type MeasuredTool, measuredTools } from "~/core/logbook";
import { Choice } from "~/ui/choice";
import { measuredToolWords } from "../../words/measured";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { measurePane } from "./deferred-measure";
import { ShaftPane } from "./shaft-pane";

const panes: Record<Exclude<MeasuredTool, "closure">, ComponentType> = {
  "part-runout": measurePane("part-runout", () => import("../../bench/measures/part-runout")),
  "fit-series": measurePane("fit-series", () => import("../../bench/measures/fit-series")),
  "housing-line": measurePane("housing-line", () => import("../../bench/measures/housing-line")),
  flatness: measurePane("flatness", () => import("../../bench/measures/flatness")),
  "wheel-align": measurePane("wheel-align", () => import("../../bench/measures/wheel-align")),
  "frame-pull": measurePane("frame-pull", () => import("../../bench/measures/frame-pull")),
  coupling: measurePane("coupling", () => import("../../bench/measures/coupling")),
  "shaft-align": measurePane("shaft-align", () => import("../../bench/measures/shaft-align")),
};

/** Whether a drive comes back to zero belongs to its proof. */
const whats = ["shaft", ...measuredTools.filter((tool) => tool !== "closure")] as const;

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
