import { describe, expect, test } from "vitest";
import { refusalOf, run } from "./run";

const close = (value: number, to: number, digits = 6) =>
  expect(Math.abs(value - to), `${value} for ${to}`).toBeLessThanOrEqual(
    0.5 * 10 ** -digits * Math.max(1, Math.abs(to)),
  );

describe("chains", () => {
  // Pitch diameters for unit pitch: Machinery's Handbook and ISO 606 annex tables.
  test.each([
    [9, 2.9238],
    [11, 3.5495],
    [17, 5.4422],
    [25, 7.9787],
    [38, 12.1096],
    [57, 18.1529],
    [114, 36.2919],
  ])("%d teeth: pitch diameter %d times the pitch", (z, d) => {
    const drive = run("chain-drive", { pitchMm: 1, teeth: [z, z], links: 4 * z });
    expect(drive.pitchDiameterMm[0]).toBeCloseTo(d, 4);
  });

  test("lengths, even links, unevenness (handbook check values; ISO 606 short form beside them)", () => {
    const chain = { pitchMm: 12.7, teeth: [17, 51] };
    const hundred = run("chain-drive", { ...chain, links: 100 });
    close(hundred.centreDistanceMm, 413.374153);
    close(hundred.spanMm, 407.621547);
    const half = run("chain-drive", { ...chain, centreDistanceMm: 500 });
    close(half.links, 113.4850933);
    expect(half.linksEven).toBe(114);
    close(half.centreForEvenMm, 503.3007778);
    const iso = 1000 / 12.7 + 34 + ((34 / (2 * Math.PI)) ** 2 * 12.7) / 500;
    expect(half.links - iso).toBeCloseTo(0.0012, 4);
    [6.030738, 4.050703, 1.70269, 0.78853].map((percent, i) =>
      close(
        run("chain-drive", { pitchMm: 1, teeth: [[9, 11, 17, 25][i], 30], links: 100 }).chordalSpeedVariationPercent[0],
        percent,
      ),
    );
    const short = run("chain-drive", { ...chain, links: 40 });
    expect(short.feasible).toBe(false);
    expect(run("chain-drive", { ...chain, links: short.linksEven })).toMatchObject({ feasible: true });
    expect(run("chain-drive", { ...chain, links: short.linksEven - 2 })).toMatchObject({ feasible: false });
    expect(run("chain-drive", { ...chain, links: 101 })).toMatchObject({ feasible: true, links: 101, linksEven: 102 });
  });

  /** Sag of a span longer than its chord, by the exact parabola's arc found numerically. */
  const arcOver = (span: number, sag: number) => {
    const n = 20_000;
    let length = 0;
    const y = (x: number) => (4 * sag * x * (span - x)) / span ** 2;
    for (let i = 0; i < n; i++) length += Math.hypot(span / n, y(((i + 1) * span) / n) - y((i * span) / n));
    return length - span;
  };

  test("sag, elongation, wear limit; the move agrees with measured-out arcs to half a per cent", () => {
    const chain = { pitchMm: 12.7, teeth: [17, 51], centreDistanceMm: 500 };
    const sag = run("chain-condition", { ...chain, sagMm: 20, targetSagMm: 10 });
    close(sag.moveCentreMm, 0.8154042);
    close(sag.sagPercent, 4.038327);
    close(sag.sagPerCentreMm, -9.2, 2);
    const byArcs = (arcOver(sag.spanMm, 20) - arcOver(sag.spanMm, 10)) / (2 * (sag.spanMm / 500));
    expect(Math.abs(sag.moveCentreMm / byArcs - 1)).toBeLessThan(0.005);
    const worn = run("chain-condition", { ...chain, measured: { pitches: 20, mm: 256.5 } });
    close(worn.elongationPercent, 0.984252);
    expect(worn).toMatchObject({ wearVerdict: "within", wearLimitPercent: 3 });
    close(run("chain-condition", { pitchMm: 12.7, teeth: [19, 95], centreDistanceMm: 700 }).wearLimitPercent, 2.105263);
    expect(run("chain-condition", { ...chain, sagMm: 0 }).sagPerCentreMm).toBeUndefined();
    expect(refusalOf("chain-condition", { ...chain, centreDistanceMm: 137 })).toBe("circles-overlap centreDistanceMm");
  });
});
