export { classTorque, type PropertyClass } from "./class-torque";
export { circleOrder, passesOf, pointsOrder, type TighteningPass } from "./order";
export { fastenNext, type Pattern, type PatternState } from "./sequence";
