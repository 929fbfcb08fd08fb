export {
  type BalancePosition,
  type BalanceQuestion,
  type Counterbalance,
  counterbalance,
  type StrandPoint,
  strandForce,
} from "./counterbalance";
export { type GearIn, type LoadInGear, type LoadQuestion, loadAgainstMotor } from "./load-against-motor";
export {
  type AxisEnd,
  type AxisTravel,
  type AxisUnit,
  axisTravel,
  axisUnits,
  type EndTravel,
  stoppingWay,
  type TravelFault,
  type TravelQuestion,
  type TravelSensor,
  travelFaults,
} from "./travel";
