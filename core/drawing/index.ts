export { pathLine } from "./belt-shapes";
export {
  type DriveLineShapes,
  driveLineShapes,
  mirroredAngle,
  type PlacedStage,
  usualAngle,
} from "./drive-line-shapes";
export { type PartOutline, partOutline } from "./part-outline";
export type { Point, Shape, ShapeRole, StageShapes } from "./shape";
export { stageShapes } from "./stage-shapes";
