import { radians } from "../numerics";
import { type BacklashReading, fitHarmonics } from "./mesh-round";

/**
 * Readings that stand off from what the others say. A wild reading bends a fit through all towards itself and makes its
 * neighbours look bad; so each is compared with a fit through all the others, on the scale of the others' own scatter
 * (externally studentised residual; Belsley, Kuh & Welsch, Regression Diagnostics, 1980). The worst is set aside and the rest
 * looked at again, so that two wild ones do not hide each other. Nothing is ever dropped: they are to be questioned.
 *
 * @param leastMm distances below this are never questioned (about three times the reading's uncertainty)
 * @returns indices into readings, rising; none below six readings
 */
export function questionable(readings: readonly BacklashReading[], ratio: number, leastMm: number): number[] {
  const left = readings.map((reading, index) => ({ reading, index }));
  const questioned: number[] = [];
  while (left.length >= 6) {
    const off = left.map((_, i) =>
      distanceFromOthers(
        left.map((item) => item.reading),
        i,
        ratio,
      ),
    );
    const worst = off.reduce((best, item, i) => (item.scaled > (off[best]?.scaled ?? 0) ? i : best), 0);
    const distance = off[worst];
    if (!distance || distance.mm <= leastMm || distance.scaled <= scatterFactor) break;
    questioned.push(left[worst]?.index ?? -1);
    left.splice(worst, 1);
  }
  return questioned.sort((a, b) => a - b);
}

/** Further off than this many standard deviations of the others: common practice. */
const scatterFactor = 5;

function distanceFromOthers(
  readings: readonly BacklashReading[],
  i: number,
  ratio: number,
): { mm: number; scaled: number } {
  const others = readings.filter((_, j) => j !== i);
  const fitted = fitHarmonics(others, ratio, false);
  const reading = readings[i];
  if (!fitted || !reading) return { mm: 0, scaled: 0 };
  const { mean, gear } = fitted.harmonics;
  const expected = mean - gear.amplitude * Math.cos(radians(reading.gearAngleDeg) - gear.tightRad);
  const mm = Math.abs(reading.backlashMm - expected);
  const scatter = fitted.residual * Math.sqrt(others.length / (others.length - 3));
  return { mm, scaled: mm / Math.max(scatter, 1e-9) };
}
