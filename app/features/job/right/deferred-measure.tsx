import type { ComponentType } from "react";
import type { MeasuredTool } from "~/core/logbook";
import { deferred } from "~/ui/deferred";
import type { BenchTool } from "../../bench/bench-tool";

/** Something measured with its tool, both fetched when they are wanted. */
export const measurePane = (tool: MeasuredTool, load: () => Promise<{ tool: BenchTool }>): ComponentType =>
  deferred(async () => {
    const [{ MeasurePane }, { tool: bench }] = await Promise.all([import("./measure-pane"), load()]);
    return () => <MeasurePane tool={tool} bench={bench} />;
  });
