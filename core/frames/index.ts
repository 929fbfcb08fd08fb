export { type Flatness, type FlatnessQuestion, flatness, type Height, type Rails } from "./flatness";
export { type FramePull, type FramePullQuestion, framePull, type PullReading } from "./frame-pull";
export { type EdgeGaps, type WheelAlign, type WheelAlignQuestion, type WheelFoot, wheelAlign } from "./wheel-align";
