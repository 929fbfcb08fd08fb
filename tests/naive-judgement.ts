/*
 * A round judged a second time, from nothing but the ISO 14253-1 rule and plain arithmetic: it shares no import with the app. Written to be
 * slow and obvious.
 */
export type NaiveRound = {
  quantity: string;
  values: number[];
  /** Fitted over the hunting cycle, as somebody else found it; none where nothing was fitted. */
  fitted: number[];
  lo: number;
  hi: number;
  uncertainty: number;
};

export type NaiveJudgement = { verdict: string; holds: string };

export function naiveJudgement({ quantity, values, fitted, lo, hi, uncertainty: u }: NaiveRound): NaiveJudgement {
  let outside = false;
  let doubtful = false;
  const seen = [...values, ...fitted];
  // A chain cannot be too little worn, nor can shafts be too much in line.
  const onlyAbove = quantity === "elongation" || quantity === "shaft-offset";
  for (const value of seen) {
    const tooLow = !onlyAbove && value < lo - u;
    const tooHigh = value > hi + u;
    const surelyLow = onlyAbove || value >= lo + u;
    const surelyHigh = value <= hi - u;
    if (tooLow || tooHigh) outside = true;
    else if (!surelyLow || !surelyHigh) doubtful = true;
  }
  let holds = "provable";
  if (!onlyAbove) {
    let least = Number.POSITIVE_INFINITY;
    let greatest = Number.NEGATIVE_INFINITY;
    for (const value of seen) {
      if (value < least) least = value;
      if (value > greatest) greatest = value;
    }
    // The slack of a chain goes as the square of its sag, and a move takes the same slack from every place.
    const power = quantity === "sag" ? 2 : 1;
    // The ends of an axis have a switch each.
    const wide = quantity.startsWith("switch-to-buffer") ? 0 : greatest ** power - least ** power;
    if (wide > hi ** power - lo ** power) holds = "too-wide";
    else if (wide > (hi - u) ** power - (lo + u) ** power) holds = "fits";
  }
  return { verdict: outside ? "does-not-conform" : doubtful ? "undecided" : "conforms", holds };
}

/** Mean of a wave fitted through readings by solving its three normal equations, and its extremes over so many places. */
export function naiveWave(angles: number[], values: number[], places: number): { least: number; greatest: number } {
  const rows = angles.map((angle) => [1, Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)]);
  const m = [0, 1, 2].map((i) => [
    ...[0, 1, 2].map((j) => rows.reduce((sum, row) => sum + (row[i] as number) * (row[j] as number), 0)),
    rows.reduce((sum, row, k) => sum + (row[i] as number) * (values[k] as number), 0),
  ]);
  for (let i = 0; i < 3; i++) {
    const pivot = (m[i] as number[])[i] as number;
    for (let k = 0; k < 3; k++) {
      if (k === i) continue;
      const share = ((m[k] as number[])[i] as number) / pivot;
      for (let j = 0; j < 4; j++)
        (m[k] as number[])[j] = ((m[k] as number[])[j] as number) - share * ((m[i] as number[])[j] as number);
    }
  }
  const [a, b, c] = [0, 1, 2].map((i) => ((m[i] as number[])[3] as number) / ((m[i] as number[])[i] as number)) as [
    number,
    number,
    number,
  ];
  let least = Number.POSITIVE_INFINITY;
  let greatest = Number.NEGATIVE_INFINITY;
  for (let k = 0; k < places; k++) {
    const angle = (2 * Math.PI * k) / places;
    const value = a + b * Math.cos(angle) + c * Math.sin(angle);
    least = Math.min(least, value);
    greatest = Math.max(greatest, value);
  }
  return { least, greatest };
}
