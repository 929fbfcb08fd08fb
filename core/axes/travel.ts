import { atLeast, atMost, below } from "../numerics";
import { accept, type Result } from "../quantity";

export const axisUnits = ["mm", "deg"] as const;
/** A sliding axis counts in mm, a swinging one in degrees: positions, speeds and decelerations. */
export type AxisUnit = (typeof axisUnits)[number];

/** Where an end switch acts, and where the buffer is first touched. */
export type AxisEnd = { switchAt?: number | undefined; bufferAt: number };

/** A position sensor that has only so many turns. */
export type TravelSensor = {
  turnsAvailable: number;
  turnsPerShaftTurn: number;
  /** What it reads at the low end of the work; left out: so that as much is left at both buffers. */
  turnsAtLow?: number | undefined;
};

export type TravelQuestion = {
  /** Travel per turn of the shaft. */
  perTurn: number;
  work: { lo: number; hi: number };
  low: AxisEnd;
  high: AxisEnd;
  speed: number;
  decel: number;
  reactionS: number;
  sensor?: TravelSensor | undefined;
};

/** All outwards from the work. */
export type EndTravel = {
  room: number;
  /** Where the switch may stand, the inner edge first; null where there is no room to stop. */
  switchWindow: [number, number] | null;
  workToSwitch?: number;
  switchToBuffer?: number;
  /** What is left between the stop and the buffer; negative: it runs into the buffer. */
  margin?: number;
  speedAtBuffer?: number;
};

export const travelFaults = [
  "no-switch",
  "switch-inside-work",
  "switch-behind-buffer",
  "overruns",
  "no-room",
  "runs-out-low",
  "runs-out-high",
] as const;
export type TravelFault = { end: "low" | "high" | "sensor"; code: (typeof travelFaults)[number]; by: number };

export type AxisTravel = {
  travel: number;
  shaftTurns: number;
  stopping: number;
  ends: { low: EndTravel; high: EndTravel };
  sensor?: { turnsUsed: number; turnsLeft: [number, number]; turnsAtLow: number };
  faults: TravelFault[];
  ok: boolean;
  /** Whether setting alone can cure it. */
  feasible: boolean;
};

/** What an axis goes on for after its switch: v·t + v²/(2a). */
export const stoppingWay = (speed: number, reactionS: number, decel: number): number =>
  speed * reactionS + speed ** 2 / (2 * decel);

/**
 * Whether the end switches of an axis act where they must: after the work, and so far before the buffers that it stops in front of them; and
 * whether its position sensor lasts from buffer to buffer, since an axis pushed by hand goes there too.
 *
 * @param question positions rise from the low end to the high one; work.lo < work.hi, low.bufferAt < high.bufferAt
 * @returns windows, margins and faults: low end, high end, sensor
 * @example 260 mm/s, 0.02 s, 2600 mm/s² // stops in 18.2
 * @source uniform deceleration
 */
export function axisTravel({ work, low, high, sensor, ...drive }: TravelQuestion): Result<AxisTravel> {
  const stopping = stoppingWay(drive.speed, drive.reactionS, drive.decel);
  const ends = {
    low: endTravel(low, work.lo, -1, drive, stopping),
    high: endTravel(high, work.hi, 1, drive, stopping),
  };
  const turns = sensor && sensorTurns(sensor, drive.perTurn, work.lo, low.bufferAt, high.bufferAt);
  const faults = [
    ...endFaults("low", ends.low, stopping),
    ...endFaults("high", ends.high, stopping),
    ...(turns ? sensorFaults(turns.turnsLeft) : []),
  ];
  return accept({
    travel: work.hi - work.lo,
    shaftTurns: (work.hi - work.lo) / drive.perTurn,
    stopping,
    ends,
    ...(turns && { sensor: turns }),
    faults,
    ok: faults.length === 0,
    feasible:
      ends.low.switchWindow !== null &&
      ends.high.switchWindow !== null &&
      (!turns || !sensor || atMost(turns.turnsUsed, sensor.turnsAvailable)),
  });
}

/** One end; `outwards` is −1 at the low one and 1 at the high one. */
function endTravel(
  { switchAt, bufferAt }: AxisEnd,
  workEnd: number,
  outwards: -1 | 1,
  { speed, decel, reactionS }: Pick<TravelQuestion, "speed" | "decel" | "reactionS">,
  stopping: number,
): EndTravel {
  const room = outwards * (bufferAt - workEnd);
  const switchWindow: EndTravel["switchWindow"] = atLeast(room, stopping)
    ? [workEnd, bufferAt - outwards * stopping]
    : null;
  if (switchAt === undefined) return { room, switchWindow };
  const switchToBuffer = outwards * (bufferAt - switchAt);
  const braked = switchToBuffer - speed * reactionS;
  return {
    room,
    switchWindow,
    workToSwitch: outwards * (switchAt - workEnd),
    switchToBuffer,
    margin: switchToBuffer - stopping,
    speedAtBuffer: atLeast(switchToBuffer, stopping)
      ? 0
      : braked <= 0
        ? speed
        : Math.sqrt(Math.max(0, speed ** 2 - 2 * decel * braked)),
  };
}

function endFaults(end: "low" | "high", travel: EndTravel, stopping: number): TravelFault[] {
  const { room, workToSwitch, switchToBuffer, margin } = travel;
  const found: TravelFault[] = [];
  const add = (code: TravelFault["code"], by: number) => found.push({ end, code, by });
  if (workToSwitch === undefined || switchToBuffer === undefined || margin === undefined) add("no-switch", 0);
  else {
    if (below(workToSwitch, 0)) add("switch-inside-work", -workToSwitch);
    if (below(switchToBuffer, 0)) add("switch-behind-buffer", -switchToBuffer);
    else if (below(margin, 0)) add("overruns", -margin);
  }
  if (below(room, stopping)) add("no-room", stopping - room);
  return found;
}

function sensorTurns(
  { turnsAvailable, turnsPerShaftTurn, turnsAtLow }: TravelSensor,
  perTurn: number,
  workLo: number,
  lowBuffer: number,
  highBuffer: number,
): NonNullable<AxisTravel["sensor"]> {
  const turns = (way: number) => (way / perTurn) * turnsPerShaftTurn;
  const turnsUsed = turns(highBuffer - lowBuffer);
  const beforeWork = turns(workLo - lowBuffer);
  const atLow = turnsAtLow ?? (turnsAvailable - turnsUsed) / 2 + beforeWork;
  const atLowBuffer = atLow - beforeWork;
  return { turnsUsed, turnsLeft: [atLowBuffer, turnsAvailable - atLowBuffer - turnsUsed], turnsAtLow: atLow };
}

const sensorFaults = ([low, high]: readonly [number, number]): TravelFault[] => [
  ...(below(low, 0) ? [{ end: "sensor", code: "runs-out-low", by: -low } as const] : []),
  ...(below(high, 0) ? [{ end: "sensor", code: "runs-out-high", by: -high } as const] : []),
];
