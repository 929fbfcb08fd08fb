import { describe, expect, test } from "vitest";
import { run } from "./run";

const close = (value: number, to: number, digits = 6) =>
  expect(Math.abs(value - to), `${value} for ${to}`).toBeLessThanOrEqual(
    0.5 * 10 ** -digits * Math.max(1, Math.abs(to)),
  );

describe("train", () => {
  test("two stages and a scale model (handbook check values)", () => {
    const two = run("train", {
      stages: [
        { id: "a", ratio: 3, lostMotionArcmin: 20 },
        { id: "b", ratio: 4, lostMotionArcmin: 10 },
      ],
    });
    expect(two).toMatchObject({ ratio: 12, lostMotionAtOutputArcmin: 15 });
    close(two.contributions[0].share, 1 / 3);
    const model = run("train", {
      stages: [
        { id: "w", ratio: 30, efficiency: 0.6, lostMotionArcmin: 6 },
        { id: "g", ratio: 2.5, efficiency: 0.95, lostMotionArcmin: 9 },
      ],
      inputRpm: 9000,
      inputTorqueNm: 0.01,
      wheelDiameterMm: 12.6,
      scale: 87,
    });
    close(model.outputRpm, 120);
    close(model.outputTorqueNm, 0.4275);
    close(model.surfaceSpeedMPerS, 0.0791681);
    close(model.prototypeSpeedKmPerH, 24.79546);
    close(model.lostMotionAtOutputArcmin, 11.4);
  });

  test("a stage after the sloppy one divides its lost motion; nothing lost is no share", () => {
    const still = run("train", { stages: [{ id: "a", ratio: -2 }] });
    expect(still).toEqual({
      ratio: -2,
      lostMotionAtOutputArcmin: 0,
      contributions: [{ id: "a", arcmin: 0, share: 0 }],
    });
    const halved = run("train", {
      stages: [
        { id: "a", ratio: 5, lostMotionArcmin: 8 },
        { id: "b", ratio: -2 },
      ],
    });
    expect(halved.lostMotionAtOutputArcmin).toBe(4);
  });
});
