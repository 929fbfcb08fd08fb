/** One way to drive something, as far as it is known; null: not known. */
export type Mechanism = {
  motorRpm: number | null;
  /** Motor turns for one of the output; below 0 where it turns the other way. */
  ratio: number | null;
  wheelDiameterMm: number | null;
  /** Of a model, so many times less than what it stands for. */
  scale: number | null;
  motorTorqueNm: number | null;
  /** 0 to 1. */
  efficiency: number | null;
};

export type MechanismSays = {
  outputRpm: number | null;
  /** Along the rim of its wheel. */
  surfaceMPerS: number | null;
  /** What that stands for in the scale. */
  scaleMPerS: number | null;
  outputTorqueNm: number | null;
  /** What holds the housing has to take, motor and gears on one mount: the whole output torque. */
  mountNm: number | null;
  /** The same where the motor stands by itself: the output torque less the motor's, or with it where the ratio reverses. */
  mountAloneNm: number | null;
};

/**
 * What a mechanism does: speed, torque, and the reaction that its mount must hold. Torques on a housing add to nothing: what goes in at the
 * motor's shaft and what is taken out are held by the bolts.
 *
 * @example 1400 rpm, 35 to 1, 0.5 N·m, 0.8 // 40 rpm, 14 N·m, mount 14 N·m, alone 13.5 N·m
 * @source equilibrium of torques; v = π·D·n/60 000
 */
export function mechanismSays({
  motorRpm,
  ratio,
  wheelDiameterMm,
  scale,
  motorTorqueNm,
  efficiency,
}: Mechanism): MechanismSays {
  const outputRpm = motorRpm === null || ratio === null ? null : motorRpm / Math.abs(ratio);
  const surfaceMPerS =
    outputRpm === null || wheelDiameterMm === null ? null : (Math.PI * wheelDiameterMm * outputRpm) / 60_000;
  const outputTorqueNm =
    motorTorqueNm === null || ratio === null || efficiency === null
      ? null
      : motorTorqueNm * Math.abs(ratio) * efficiency;
  return {
    outputRpm,
    surfaceMPerS,
    scaleMPerS: surfaceMPerS === null || scale === null ? null : surfaceMPerS * scale,
    outputTorqueNm,
    mountNm: outputTorqueNm,
    mountAloneNm:
      outputTorqueNm === null || motorTorqueNm === null || ratio === null
        ? null
        : Math.abs(outputTorqueNm - Math.sign(ratio) * motorTorqueNm),
  };
}

/** The ratio that gives a wanted output speed; null where the motor's speed is not known. */
export const ratioWanted = (motorRpm: number | null, wantedRpm: number): number | null =>
  motorRpm === null || wantedRpm <= 0 ? null : motorRpm / wantedRpm;

/** Turns a minute of a wheel for a speed along its rim, of a model by what it stands for; null where its wheel is not known. */
export const rpmForSpeed = (mPerS: number, wheelDiameterMm: number | null, scale: number | null): number | null =>
  wheelDiameterMm === null ? null : (60_000 * mPerS) / ((scale ?? 1) * Math.PI * wheelDiameterMm);
