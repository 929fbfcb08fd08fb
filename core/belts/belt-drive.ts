import { accept, type Result, refuse } from "../quantity";
import { centreOfLength, openBelt } from "./two-pulleys";

export type BeltPulleys =
  | { by: "teeth"; pitchMm: number; teeth: readonly [number, number] }
  | { by: "diameter"; pitchDiameterMm: readonly [number, number] };

/** What is given beside the pulleys; a belt's teeth only with toothed pulleys. */
export type BeltSize = { beltTeeth: number } | { lengthMm: number } | { centreDistanceMm: number };

export type NearestBelt = { beltTeeth: number; centreDistanceMm: number };

export type BeltDrive = {
  pitchDiameterMm: [number, number];
  lengthMm: number;
  beltTeeth?: number;
  centreDistanceMm?: number;
  spanMm?: number;
  wrapDeg?: [number, number];
  teethInMesh?: [number, number];
  ratio: number;
  feasible: boolean;
  nearestBelts?: NearestBelt[];
};

/**
 * An open two-pulley belt drive, exact. A belt too short is an answer, with the shortest that goes (toothed); a centre distance at
 * which the pitch circles overlap is refused.
 *
 * @returns the drive, or `circles-overlap` at centreDistanceMm (facts: leastMm)
 * @example beltDrive({ by: "teeth", pitchMm: 2, teeth: [20, 60] }, { beltTeeth: 140 }) // centreDistanceMm 99.18161425
 */
export function beltDrive(pulleys: BeltPulleys, size: BeltSize): Result<BeltDrive> {
  const diameters = pitchDiameters(pulleys);
  const ratio = pulleys.by === "teeth" ? pulleys.teeth[1] / pulleys.teeth[0] : diameters[1] / diameters[0];
  const least = (diameters[0] + diameters[1]) / 2;
  const pitch = pulleys.by === "teeth" ? pulleys.pitchMm : null;
  if ("centreDistanceMm" in size) {
    if (size.centreDistanceMm < least) return refuse("circles-overlap", ["centreDistanceMm"], { leastMm: least });
    const drive = driveAt(pulleys, diameters, ratio, size.centreDistanceMm);
    if (pitch === null) return accept(drive);
    return accept({ ...drive, nearestBelts: beltsAround(diameters, pitch, drive.lengthMm / pitch) });
  }
  const lengthMm = "beltTeeth" in size ? size.beltTeeth * (pitch ?? 0) : size.lengthMm;
  const centre = centreOfLength(diameters, lengthMm);
  if (centre !== null) {
    const drive = driveAt(pulleys, diameters, ratio, centre);
    return accept({ ...drive, lengthMm, ...(pitch === null ? {} : { beltTeeth: lengthMm / pitch }) });
  }
  return accept({
    pitchDiameterMm: diameters,
    lengthMm,
    ...(pitch === null ? {} : { beltTeeth: lengthMm / pitch }),
    ratio,
    feasible: false,
    ...(pitch === null ? {} : { nearestBelts: shortestBelt(diameters, pitch) }),
  });
}

export const pitchDiameters = (pulleys: BeltPulleys): [number, number] =>
  pulleys.by === "diameter"
    ? [...pulleys.pitchDiameterMm]
    : [(pulleys.pitchMm * pulleys.teeth[0]) / Math.PI, (pulleys.pitchMm * pulleys.teeth[1]) / Math.PI];

function driveAt(pulleys: BeltPulleys, diameters: [number, number], ratio: number, centre: number): BeltDrive {
  const { lengthMm, spanMm, wrapDeg } = openBelt(diameters, centre);
  return {
    pitchDiameterMm: diameters,
    lengthMm,
    ...(pulleys.by === "teeth" ? { beltTeeth: lengthMm / pulleys.pitchMm } : {}),
    centreDistanceMm: centre,
    spanMm,
    wrapDeg,
    ...(pulleys.by === "teeth"
      ? { teethInMesh: [(pulleys.teeth[0] * wrapDeg[0]) / 360, (pulleys.teeth[1] * wrapDeg[1]) / 360] }
      : {}),
    ratio,
    feasible: true,
  };
}

/** The whole belts below and above a real number of teeth; an exact one alone; none that would bring the circles to overlap. */
function beltsAround(diameters: [number, number], pitch: number, teeth: number): NearestBelt[] {
  const nearest = Math.round(teeth);
  const exact = Math.abs(teeth - nearest) <= 1e-9 * Math.max(1, teeth);
  const whole = exact ? [nearest] : [Math.floor(teeth), Math.ceil(teeth)];
  return whole.flatMap((beltTeeth) => {
    const centreDistanceMm = centreOfLength(diameters, beltTeeth * pitch);
    return centreDistanceMm === null ? [] : [{ beltTeeth, centreDistanceMm }];
  });
}

function shortestBelt(diameters: [number, number], pitch: number): NearestBelt[] {
  const least = openBelt(diameters, (diameters[0] + diameters[1]) / 2).lengthMm / pitch;
  return beltsAround(diameters, pitch, Math.ceil(least - 1e-9));
}
