export { type GreaseDue, type GreasePlan, type GreasePoint, greaseDue } from "./grease-due";
