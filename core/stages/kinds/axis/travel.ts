import {
  type AxisTravel,
  axisTravel,
  type Counterbalance,
  counterbalance,
  type LoadInGear,
  loadAgainstMotor,
  stoppingWay,
} from "../../../axes";
import { radians } from "../../../numerics";
import { mustHold } from "../../../quantity";
import type { AxisElement } from "./schema";

/** From switch to standstill: as read, else computed. */
export const stopsIn = ({ stopsIn, speed, reactionS, decel }: AxisElement): number =>
  stopsIn ?? stoppingWay(speed, reactionS, decel);

/** How far each switch stands before its buffer, outwards; left out: it was not read. */
export type SwitchesRead = { low?: number | undefined; high?: number | undefined };

/** The axis along its travel with the switches where they were read. A stop that was read counts as one even braking from the switch on. */
export function travelWith(element: AxisElement, { low, high }: SwitchesRead): AxisTravel {
  const { work, buffers, perTurn, speed, sensor } = element;
  const drive =
    element.stopsIn === null
      ? { speed, decel: element.decel, reactionS: element.reactionS }
      : { speed, decel: speed ** 2 / (2 * element.stopsIn), reactionS: 0 };
  return mustHold(
    axisTravel({
      work,
      perTurn,
      low: { bufferAt: buffers.lo, switchAt: low === undefined ? undefined : buffers.lo + low },
      high: { bufferAt: buffers.hi, switchAt: high === undefined ? undefined : buffers.hi - high },
      ...drive,
      sensor: sensor ?? undefined,
    }),
  );
}

/** How the springs or cords carry its load from one end of the work to the other; null: it has none. */
export function balanceOf({ load, balance, work, unit }: AxisElement): Counterbalance | null {
  if (!load || !balance) return null;
  return mustHold(
    counterbalance({
      loadN: load.forceN,
      frictionN: load.frictionN,
      points: balance.points,
      strands: balance.strands,
      reeving: balance.reeving,
      extensionAtTopMm: balance.extensionAtTopMm,
      maxExtensionMm: balance.maxExtensionMm ?? undefined,
      travelMm: unit === "mm" ? work.hi - work.lo : radians(work.hi - work.lo) * (load.armMm ?? 0),
      maxStrands: Math.max(12, balance.strands + 4),
    }),
  );
}

/** At the worst place, with and without what it carries. */
function greatestForce(
  element: AxisElement,
  { forceN, payloadN, frictionN }: NonNullable<AxisElement["load"]>,
): number {
  const balance = balanceOf(element);
  if (!balance) return forceN + payloadN + frictionN;
  return Math.max(balance.worstN, ...balance.positions.map(({ upN }) => upN + payloadN));
}

/** What its motor has to give in every gear, at the worst place; null: load or motor is not known. */
export function loadByGear(element: AxisElement): LoadInGear[] | null {
  const { load, motor, perTurn, unit } = element;
  if (!load || !motor) return null;
  return loadAgainstMotor({
    forceN: greatestForce(element, load),
    mmPerTurn: unit === "mm" ? perTurn : radians(perTurn) * (load.armMm ?? 0),
    motorNm: motor.torqueNm,
    gears: motor.gears,
  });
}
