export { type KitKind, type KitLine, type KitNeed, kitKinds, layOut } from "./kit";
export { type DueItem, type DueKind, dueKinds, type PlacedMachine } from "./vocabulary";
export { type HallOnWay, type Stop, walkOf } from "./walk";
export { daysUntil, type When, whenDue, whens } from "./when";
