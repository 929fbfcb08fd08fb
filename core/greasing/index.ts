export { bearingGrams, type GreaseDue, type GreasePlan, type GreasePoint, greaseDue } from "./grease-due";
export type { GreasePlace, LookPlace, UpkeepList } from "./schema";
export * from "./vocabulary";
