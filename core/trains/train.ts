export type TrainStage = {
  id: string;
  ratio: number;
  efficiency: number;
  /** At this stage's own output. */
  lostMotionArcmin: number;
};

export type TrainDrive = {
  inputRpm?: number | undefined;
  inputTorqueNm?: number | undefined;
  wheelDiameterMm?: number | undefined;
  /** 87 for 1:87. */
  scale?: number | undefined;
};

export type Train = {
  ratio: number;
  outputRpm?: number;
  outputTorqueNm?: number;
  surfaceSpeedMPerS?: number;
  prototypeSpeedKmPerH?: number;
  lostMotionAtOutputArcmin: number;
  contributions: { id: string; arcmin: number; share: number }[];
};

/**
 * Stages in a row, motor first. Lost motion of a stage is divided by every ratio behind it, so the last stage dominates; the sum is
 * the worst case. Speeds and torques are magnitudes.
 *
 * @param stages at least one; ratios not 0
 * @example train([{ id: "a", ratio: 3, … 20′ }, { id: "b", ratio: 4, … 10′ }]) // ratio 12, lost motion 5′ + 10′
 */
export function train(stages: readonly TrainStage[], drive: TrainDrive = {}): Train {
  const ratio = stages.reduce((product, stage) => product * stage.ratio, 1);
  const efficiency = stages.reduce((product, stage) => product * stage.efficiency, 1);
  let behind = 1;
  const atOutput = [...stages].reverse().map((stage) => {
    const arcmin = stage.lostMotionArcmin / behind;
    behind *= Math.abs(stage.ratio);
    return { id: stage.id, arcmin };
  });
  const total = atOutput.reduce((sum, { arcmin }) => sum + arcmin, 0);
  const { inputRpm, inputTorqueNm, wheelDiameterMm, scale } = drive;
  const outputRpm = inputRpm === undefined ? undefined : Math.abs(inputRpm / ratio);
  const surface =
    outputRpm === undefined || wheelDiameterMm === undefined ? undefined : surfaceSpeed(wheelDiameterMm, outputRpm);
  return {
    ratio,
    ...(outputRpm === undefined ? {} : { outputRpm }),
    ...(inputTorqueNm === undefined ? {} : { outputTorqueNm: inputTorqueNm * Math.abs(ratio) * efficiency }),
    ...(surface === undefined ? {} : { surfaceSpeedMPerS: surface }),
    ...(surface === undefined || scale === undefined ? {} : { prototypeSpeedKmPerH: scaleSpeed(surface, scale) }),
    lostMotionAtOutputArcmin: total,
    contributions: atOutput
      .reverse()
      .map(({ id, arcmin }) => ({ id, arcmin, share: total === 0 ? 0 : arcmin / total })),
  };
}

/** v = π·d·n/60 000, m/s from mm and turns a minute. */
export const surfaceSpeed = (diameterMm: number, rpm: number): number => (Math.PI * diameterMm * rpm) / 60_000;

/** Speed of the prototype of a scale model, km/h. */
export const scaleSpeed = (surfaceMPerS: number, scale: number): number => 3.6 * surfaceMPerS * scale;
