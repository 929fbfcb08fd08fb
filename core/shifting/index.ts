export { allowedRise, type ForceSweep, forceSweep, lineThrough, type SweepPoint } from "./force-sweep";
export { meterStep } from "./meter-step";
export { type FaceSpan, type ShiftEnd, type ShiftQuestion, type ShiftTravel, shiftTravel } from "./shift-travel";
