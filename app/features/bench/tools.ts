import { belt } from "./belt";
import { beltPath } from "./belt-path";
import { beltTension } from "./belt-tension";
import type { BenchTool } from "./bench-tool";
import { bevel } from "./bevel";
import { chain } from "./chain";
import { chainCondition } from "./chain-condition";
import { fastenOrder } from "./fasten-order";
import { fit } from "./fit";
import { holeGrid } from "./hole-grid";
import { identify } from "./identify";
import { idler } from "./idler";
import { indexPlan } from "./index-plan";
import { pair } from "./pair";
import { planetary } from "./planetary";
import { shaftStack } from "./shaft-stack";
import { shimStack } from "./shim-stack";
import { span } from "./span";
import { steps } from "./steps";
import { train } from "./train";
import { verdict } from "./verdict";
import { worm } from "./worm";

/** By subject, as the page lists them. */
export const benchGroups: readonly { name: string; tools: readonly BenchTool[] }[] = [
  { name: "Gears", tools: [identify, pair, span, worm, bevel, planetary] },
  { name: "Belts and chains", tools: [belt, beltPath, beltTension, idler, chain, chainCondition] },
  { name: "Trains and steps", tools: [train, holeGrid, indexPlan, steps] },
  { name: "Shims and spacers", tools: [shimStack, shaftStack] },
  { name: "Judging and fastening", tools: [verdict, fit, fastenOrder] },
];

export const benchTools: readonly BenchTool[] = benchGroups.flatMap(({ tools }) => tools);
