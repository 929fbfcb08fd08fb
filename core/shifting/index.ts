export { type ForceSweep, forceSweep, lineThrough, type SweepPoint } from "./force-sweep";
export { type FaceSpan, type ShiftEnd, type ShiftQuestion, type ShiftTravel, shiftTravel } from "./shift-travel";
