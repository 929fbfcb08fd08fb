import type { Tool } from "./tool";
import { adviseTool } from "./tools/advise";
import { fastenOrderTool } from "./tools/fasten-order";
import { fitTool } from "./tools/fit";
import { gearIdentify } from "./tools/gear-identify";
import { gearPairTool } from "./tools/gear-pair";
import { gearSpanTool } from "./tools/gear-span";
import { meshRoundTool } from "./tools/mesh-round";
import { responseTool } from "./tools/response";
import { roundPlanTool } from "./tools/round-plan";
import { thermalMeshTool } from "./tools/thermal-mesh";
import { trendTool } from "./tools/trend";
import { verdictTool } from "./tools/verdict";
import { warmUpTool } from "./tools/warm-up";

export const tools: readonly Tool[] = [
  gearIdentify,
  gearPairTool,
  gearSpanTool,
  meshRoundTool,
  roundPlanTool,
  verdictTool,
  adviseTool,
  responseTool,
  fastenOrderTool,
  fitTool,
  trendTool,
  warmUpTool,
  thermalMeshTool,
] as unknown as readonly Tool[];

export { type CalcAnswer, type CalcError, callTool } from "./call";
export { pairGeometry, pairSchema } from "./fields";
export type { Tool } from "./tool";
export { adjusterSchema } from "./tools/advise";
export { refusalMessage } from "./words";
