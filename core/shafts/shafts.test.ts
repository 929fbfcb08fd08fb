import { describe, expect, test } from "vitest";
import { seededRandom } from "../practice";
import {
  changedWidths,
  housingLine,
  mirroredShaft,
  partRunout,
  planesWanted,
  rulesFor,
  type Shaft,
  standOnShaft,
} from ".";
import { shaftFields } from "./schema";

const shaftOf = (fields: object): Shaft => ({
  ...shaftFields.parse({
    name: "Feed shaft",
    leftFace: "wall",
    rightFace: "cover",
    lengthMm: 100,
    endFloat: { loMm: 0.1, hiMm: 0.2 },
    ...fields,
  }),
  id: "r",
  shaftId: "s",
  machineId: "m",
  revision: 1,
});
const other = (fields: object, fitted: Parameters<typeof planesWanted>[1][number]["fitted"] = null) => ({
  shaft: { ...shaftOf(fields), shaftId: "0193409a-0000-7000-8000-000000000001", name: "Motor shaft" },
  fitted,
});
const meets = {
  onPartMm: null,
  at: { shaftId: "0193409a-0000-7000-8000-000000000001", partId: "p" },
  toleranceMm: 0.2,
};

describe("where a plane must stand", () => {
  const shaft = shaftOf({ leftFaceAtMm: 10, parts: [{ id: "w", name: "Wheel", widthMm: 20, plane: meets }] });
  const drawn = { id: "p", name: "Pulley", widthMm: 30, plane: { at: { fromFaceMm: 60 }, toleranceMm: 0.2 } };

  test("as the other shaft was fitted; else as it is drawn", () => {
    const fitted = other({ leftFaceAtMm: -30, parts: [drawn] }, [{ key: "p", mm: 30.2, leftMm: 46 }]);
    // −30 + 46 + 15.1 − 10
    expect(planesWanted(shaft, [fitted])[0]).toMatchObject({ fromFaceMm: 21.1, meets: { known: "as fitted" } });
    const unfitted = other({ leftFaceAtMm: -30, parts: [drawn] });
    expect(planesWanted(shaft, [unfitted])[0]).toMatchObject({ fromFaceMm: 20, meets: { known: "as drawn" } });
  });

  test("is not known without both faces, the part, or the shaft, and why is said", () => {
    expect(planesWanted(shaft, [other({ parts: [drawn] })])[0]).toMatchObject({
      fromFaceMm: null,
      why: "faces-not-tied",
    });
    expect(planesWanted(shaft, [])[0]).toMatchObject({ why: "other-shaft-gone" });
    const bare = other({ leftFaceAtMm: 0, parts: [{ id: "p", name: "Pulley" }] });
    expect(planesWanted(shaft, [bare])[0]).toMatchObject({ why: "other-plane-not-known" });
  });
});

describe("how a shaft stands", () => {
  const u = 0.02;
  const read = (mm: number, own: number | null = u) => ({ mm, expandedUncertaintyMm: own });
  const question = {
    length: read(40),
    parts: [
      { key: "a", ...read(10) },
      { key: "b", ...read(20), planeMm: { onPartMm: 10, wantedMm: 21.05, toleranceMm: 0.1 } },
    ],
    laidMm: [0, 1, 8.85],
    endFloat: { loMm: 0.1, hiMm: 0.2 },
    floatRead: null,
  };

  test("planes and float by sums; their uncertainties by the widths before them", () => {
    const { planes, endFloat, parts } = standOnShaft(question);
    expect(parts.map(({ leftMm }) => leftMm)).toEqual([0, 11]);
    expect(planes[0]).toMatchObject({ atMm: 21, errorMm: -0.05, verdict: "conforms" });
    // One width before it, and half of its own.
    expect(planes[0]?.expandedUncertaintyMm).toBeCloseTo(Math.hypot(u, u / 2), 9);
    expect(endFloat).toMatchObject({ reckonedMm: 0.15, verdict: "conforms", closes: null });
    expect(endFloat.expandedUncertaintyMm).toBeCloseTo(u * Math.sqrt(3), 9);
  });

  test("a reading is judged in place of what is reckoned, and said not to close beyond both uncertainties", () => {
    const far = standOnShaft({ ...question, floatRead: read(0.45, 0.01) }).endFloat;
    expect(far).toMatchObject({ verdict: "does-not-conform", closes: false, apartMm: 0.3 });
    expect(standOnShaft({ ...question, floatRead: read(0.17, 0.01) }).endFloat).toMatchObject({ closes: true });
  });

  test("nothing is judged where a width was read with nobody knows what", () => {
    const unknown = { ...question, parts: [{ key: "a", ...read(10, null) }, question.parts[1] as never] };
    const { planes, endFloat } = standOnShaft(unknown);
    expect([planes[0]?.verdict, endFloat.verdict, endFloat.expandedUncertaintyMm]).toEqual([null, null, null]);
  });

  test("parts that overlap the faces leave less than nothing", () =>
    expect(standOnShaft({ ...question, length: read(39) }).endFloat).toMatchObject({
      reckonedMm: -0.85,
      verdict: "does-not-conform",
    }));
});

test("mirrored twice a shaft is itself, but for where its face stands", () => {
  const fields = shaftFields.parse({
    name: "Left shaft",
    leftFace: "left wall",
    rightFace: "right wall",
    lengthMm: 100,
    endFloat: { loMm: 0.1, hiMm: 0.2 },
    parts: [
      { id: "a", name: "Wheel, left", widthMm: 10, plane: { onPartMm: 2, at: { fromFaceMm: 30 }, toleranceMm: 0.1 } },
      { id: "b", name: "Collar", widthMm: 8, facing: "screw to the right" },
    ],
  });
  const once = mirroredShaft(fields);
  expect(once).toMatchObject({ name: "Right shaft", leftFace: "left wall", rightFace: "right wall" });
  expect(once.parts.map(({ id }) => id)).toEqual(["b", "a"]);
  expect(once.parts[1]?.plane).toMatchObject({ onPartMm: 8, at: { fromFaceMm: 70 } });
  expect(mirroredShaft(once)).toEqual(fields);
});

test("a plane from a face cannot be turned round on a shaft whose length nobody knows", () => {
  const fields = shaftFields.parse({
    name: "S",
    leftFace: "a",
    rightFace: "b",
    endFloat: { loMm: 0, hiMm: 1 },
    parts: [{ id: "a", name: "Wheel", widthMm: 10, plane: { at: { fromFaceMm: 30 }, toleranceMm: 0.1 } }],
  });
  expect(mirroredShaft(fields).parts[0]?.plane).toBeNull();
});

test("a width that changed beyond both measurements is said; one that nobody measured twice is not", () => {
  const width = (mm: number, typed: string[] | null = ["x"], u: number | null = 0.03) => ({
    key: "w",
    name: "Wheel",
    mm,
    typed,
    expandedUncertaintyMm: u,
  });
  expect(changedWidths([width(12)], [width(11.95)])).toMatchObject([{ name: "Wheel", byMm: -0.05 }]);
  expect(changedWidths([width(12)], [width(11.96)])).toEqual([]);
  expect(changedWidths([width(12, null)], [width(11)])).toEqual([]);
  expect(changedWidths([width(12)], [width(11, ["x"], null)])).toEqual([]);
});

test("what is to be seen to, by what a part is and how it is held", () => {
  expect(rulesFor({ kind: "bearing", hold: "press fit" })).toEqual(["inner-race-only", "press-lightly"]);
  expect(rulesFor({ kind: "collar", hold: "collar" })).toEqual(["collar-a-hair-back"]);
  expect(rulesFor({ kind: "sleeve", hold: "nothing" })).toEqual([]);
});

describe("runout of a part", () => {
  test("turned as it says, nothing else leaves less: looked for degree by degree", () => {
    const random = seededRandom(5);
    for (let round = 0; round < 20; round++) {
      const [own, ownAt, shaft, shaftAt] = [random() * 0.2, random() * 360, random() * 0.2, random() * 360];
      const at = (ecc: number, high: number, i: number) => ecc * Math.cos(((i * 45 - high) * Math.PI) / 180);
      const all = (turn: number) =>
        Array.from({ length: 8 }, (_, i) => at(own, ownAt + turn, i) + at(shaft, shaftAt, i));
      const shaftMm = Array.from({ length: 8 }, (_, i) => at(shaft, shaftAt, i));
      const question = { radialMm: all(0), shaftMm, expandedUncertaintyMm: 0 };
      const { turn, part } = partRunout(question);
      expect(part?.eccentricityMm).toBeCloseTo(own, 9);
      const left = (deg: number) => 2 * partRunout({ ...question, radialMm: all(deg) }).radial.eccentricityMm;
      const best = Math.min(...Array.from({ length: 360 }, (_, deg) => left(deg)));
      expect(left(turn?.deg ?? 0)).toBeLessThanOrEqual(best + 1e-9);
      expect(turn?.leavesTotalMm).toBeCloseTo(left(turn?.deg ?? 0), 9);
    }
  });

  test("judged on the total, with the uncertainty of a difference", () => {
    const verdict = (u: number) =>
      partRunout({ radialMm: [0, 0.1, 0.2, 0.1], limitMm: 0.21, expandedUncertaintyMm: u }).verdict;
    expect([verdict(0.005), verdict(0.01)]).toEqual(["conforms", "undecided"]);
  });

  test("the face is a slope over its diameter", () =>
    expect(
      partRunout({ radialMm: [0, 0, 0], faceMm: [0.1, 0, -0.1, 0], faceDiameterMm: 100, expandedUncertaintyMm: 0 })
        .face,
    ).toEqual({ totalMm: 0.2, tiltMmPerM: 2, highAtDeg: 0 }));
});

describe("housings in line", () => {
  test("of all lines over all housings the one with least shims: tried with every pair", () => {
    const random = seededRandom(9);
    for (let round = 0; round < 50; round++) {
      const housings = Array.from({ length: 6 }, (_, i) => ({ xMm: i * 100 + random() * 50, gapMm: 20 + random() }));
      const found = housingLine(housings, 0);
      if (!found.ok) throw new Error("refused");
      const { raiseMm, lineGapMm } = found.value;
      expect(raiseMm.filter((mm) => mm < 1e-6).length).toBeGreaterThanOrEqual(2);
      const sum = raiseMm.reduce((a, b) => a + b, 0);
      // Any other line over all of them, by its gaps at both ends, needs no less.
      const [from, to] = [housings[0]?.xMm ?? 0, housings[5]?.xMm ?? 0];
      for (let tries = 0; tries < 300; tries++) {
        const [a, b] = [lineGapMm[0] + random() - 0.5, lineGapMm[1] + random() - 0.5];
        const raises = housings.map(({ xMm, gapMm }) => gapMm - (a + ((b - a) * (xMm - from)) / (to - from)));
        if (raises.some((mm) => mm < 0)) continue;
        expect(raises.reduce((x, y) => x + y, 0)).toBeGreaterThanOrEqual(sum - 1e-6);
      }
    }
  });

  test("the middle one low; the one that frees it named; two at one place refused", () => {
    const housings = [
      { xMm: 0, gapMm: 20 },
      { xMm: 400, gapMm: 20.35, eased: "frees" as const },
      { xMm: 1000, gapMm: 20.1 },
    ];
    const found = housingLine(housings, 0.02, 0.1);
    expect(found).toMatchObject({ ok: true, value: { offMm: 0.31, binds: [1], verdict: "does-not-conform" } });
    expect(housingLine([...housings, { xMm: 400, gapMm: 1 }], 0).ok).toBe(false);
  });
});
