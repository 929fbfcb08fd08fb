/** One gear that can be in between motor and shaft: motor turns per turn of the shaft, and what of the power comes through. */
export type GearIn = { name: string; ratio: number; efficiency: number };

export type LoadQuestion = {
  /** The greatest that the axis asks for, friction included. */
  forceN: number;
  /** How far it moves per turn of the shaft, where the force acts. */
  mmPerTurn: number;
  motorNm: number;
  gears: readonly GearIn[];
};

export type LoadInGear = {
  name: string;
  /** At the motor. */
  neededNm: number;
  /** Needed of what the motor gives: above 1 it does not lift it. */
  share: number;
  /** How many times the motor gives what is needed. */
  margin: number;
};

/**
 * The torque that an axis asks of its motor, beside the one that the motor gives, in every gear: the work of one turn of the shaft is
 * F·s = 2π·M.
 *
 * @returns a row for each gear, in their order
 * @example 330 N over 60 mm a turn, 10:1 at 0.8 // 0.394 N·m at the motor
 * @source conservation of energy
 */
export const loadAgainstMotor = ({ forceN, mmPerTurn, motorNm, gears }: LoadQuestion): LoadInGear[] =>
  gears.map(({ name, ratio, efficiency }) => {
    const neededNm = (forceN * mmPerTurn) / (2000 * Math.PI) / (ratio * efficiency);
    return { name, neededNm, share: neededNm / motorNm, margin: motorNm / neededNm };
  });
