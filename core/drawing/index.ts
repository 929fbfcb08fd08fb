export { markedWheel, type PartOutline, polar } from "./part-outline";
export {
  boxRound,
  circle,
  closed,
  cross,
  open,
  type Point,
  placed,
  type Shape,
  type ShapeRole,
  type StageShapes,
  short,
} from "./shape";
