import type { Tool } from "./tool";
import { adviseTool } from "./tools/advise";
import { axisTravelTool } from "./tools/axis-travel";
import { beltDriveTool } from "./tools/belt-drive";
import { beltPathTool } from "./tools/belt-path";
import { beltTensionTool } from "./tools/belt-tension";
import { beltWidthTool } from "./tools/belt-width";
import { bevelPairTool } from "./tools/bevel-pair";
import { chainConditionTool } from "./tools/chain-condition";
import { chainDriveTool } from "./tools/chain-drive";
import { closureTool } from "./tools/closure";
import { contactPrintTool } from "./tools/contact-print";
import { counterbalanceTool } from "./tools/counterbalance";
import { couplingTool } from "./tools/coupling";
import { fastenOrderTool } from "./tools/fasten-order";
import { feelRoundTool } from "./tools/feel-round";
import { fitTool } from "./tools/fit";
import { fitSeriesTool } from "./tools/fit-series";
import { flatnessTool } from "./tools/flatness";
import { forceSweepTool } from "./tools/force-sweep";
import { framePullTool } from "./tools/frame-pull";
import { gearIdentify } from "./tools/gear-identify";
import { gearPairTool } from "./tools/gear-pair";
import { gearSpanTool } from "./tools/gear-span";
import { goNoGoTool } from "./tools/go-no-go";
import { greaseDueTool } from "./tools/grease-due";
import { handSlackTool } from "./tools/hand-slack";
import { heardPeriodTool } from "./tools/heard-period";
import { holeGridTool } from "./tools/hole-grid";
import { housingLineTool } from "./tools/housing-line";
import { idlerSetTool } from "./tools/idler-set";
import { indexErrorTool } from "./tools/index-error";
import { indexPlanTool } from "./tools/index-plan";
import { madeBoreTool } from "./tools/made-bore";
import { meshRoundTool } from "./tools/mesh-round";
import { openRunTool } from "./tools/open-run";
import { paperStripTool } from "./tools/paper-strip";
import { partRunoutTool } from "./tools/part-runout";
import { planetaryTool } from "./tools/planetary";
import { pluckTool } from "./tools/pluck";
import { ratioForSpeedTool } from "./tools/ratio-for-speed";
import { responseTool } from "./tools/response";
import { rollerGridTool } from "./tools/roller-grid";
import { roundPlanTool } from "./tools/round-plan";
import { shaftAlignTool } from "./tools/shaft-align";
import { shaftStackTool } from "./tools/shaft-stack";
import { shiftTravelTool } from "./tools/shift-travel";
import { shimStackTool } from "./tools/shim-stack";
import { stepsPerUnitTool } from "./tools/steps-per-unit";
import { stopSpacerTool } from "./tools/stop-spacer";
import { strandsTool } from "./tools/strands";
import { stripOrderTool } from "./tools/strip-order";
import { swapPairsTool } from "./tools/swap-pairs";
import { tensionFirstTool } from "./tools/tension-first";
import { thermalMeshTool } from "./tools/thermal-mesh";
import { trainTool } from "./tools/train";
import { trendTool } from "./tools/trend";
import { verdictTool } from "./tools/verdict";
import { warmUpTool } from "./tools/warm-up";
import { wheelAlignTool } from "./tools/wheel-align";
import { wormPairTool } from "./tools/worm-pair";

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
  wormPairTool,
  bevelPairTool,
  planetaryTool,
  trainTool,
  beltDriveTool,
  beltPathTool,
  beltTensionTool,
  idlerSetTool,
  chainDriveTool,
  chainConditionTool,
  shimStackTool,
  shaftStackTool,
  holeGridTool,
  indexPlanTool,
  stepsPerUnitTool,
  feelRoundTool,
  swapPairsTool,
  rollerGridTool,
  handSlackTool,
  tensionFirstTool,
  shaftAlignTool,
  couplingTool,
  goNoGoTool,
  paperStripTool,
  contactPrintTool,
  shiftTravelTool,
  stopSpacerTool,
  forceSweepTool,
  fitSeriesTool,
  madeBoreTool,
  ratioForSpeedTool,
  stripOrderTool,
  greaseDueTool,
  flatnessTool,
  wheelAlignTool,
  framePullTool,
  partRunoutTool,
  housingLineTool,
  pluckTool,
  beltWidthTool,
  strandsTool,
  openRunTool,
  axisTravelTool,
  counterbalanceTool,
  indexErrorTool,
  closureTool,
  heardPeriodTool,
];

export { type CalcAnswer, type CalcError, callTool } from "./call";
export type { Tool } from "./tool";
export { adjusterSchema } from "./tools/advise";
export { refusalMessage } from "./words";
