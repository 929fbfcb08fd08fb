export { fewerSpacers } from "./fewer-spacers";
export { layStack } from "./lay";
export { micrometres } from "./micrometres";
export { type SeatAnswer, type SeatQuestion, seatChoices, seatStack, seatWasher, usualSeatLeft } from "./seat-washer";
export { type MadeAnswer, shaftWithMade } from "./shaft-made";
export { type ShaftAnswer, type ShaftItem, type ShaftOrder, type ShaftQuestion, shaftStack } from "./shaft-stack";
export { type Stack, type StackAnswer, type StackQuestion, type StockShim, shimStack } from "./shim-stack";
export { type SidesAnswer, type SidesQuestion, twoSides } from "./two-sides";
