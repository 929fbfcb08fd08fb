export { circleOrder, passesOf, pointsOrder, type TighteningPass } from "./order";
