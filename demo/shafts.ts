/** Two shafts of the sheet feeder: the feed roll's, whose pulley must run level with the motor's, found out of line and filled up anew. */

const blank = { plane: null, hold: "nothing", clocking: "", facing: "" };

export const motorShaft = {
  name: "Motor shaft",
  leftFace: "motor flange",
  rightFace: "end washer",
  lengthMm: 120,
  diameterMm: 20,
  leftFaceAtMm: -46,
  endFloat: { loMm: 0, hiMm: 0.1 },
  parts: [
    { ...blank, id: "distance", name: "Distance sleeve", kind: "sleeve", widthMm: 60 },
    {
      ...blank,
      id: "pulley",
      name: "Belt pulley, motor",
      kind: "pulley",
      widthMm: 30,
      plane: { onPartMm: null, at: { fromFaceMm: 75 }, toleranceMm: 0.3 },
      hold: "key",
    },
    { ...blank, id: "nut", name: "Spacing nut", kind: "collar", widthMm: 28 },
  ],
};

export const feedShaft = (motorShaftId: string) => ({
  name: "Feed roll shaft",
  leftFace: "wall, drive side",
  rightFace: "wall, far side",
  lengthMm: 160,
  diameterMm: 20,
  leftFaceAtMm: 0,
  endFloat: { loMm: 0.1, hiMm: 0.2 },
  parts: [
    { ...blank, id: "near", name: "Bearing, drive side", kind: "bearing", widthMm: 12, hold: "press fit" },
    {
      ...blank,
      id: "pulley",
      name: "Belt pulley",
      kind: "pulley",
      widthMm: 30,
      plane: { onPartMm: null, at: { shaftId: motorShaftId, partId: "pulley" }, toleranceMm: 0.2 },
      hold: "key",
    },
    { ...blank, id: "sleeve", name: "Sleeve", kind: "sleeve", widthMm: 60 },
    {
      ...blank,
      id: "gear",
      name: "Cam pinion",
      kind: "gear",
      widthMm: 25,
      plane: { onPartMm: null, at: { fromFaceMm: 119.5 }, toleranceMm: 0.2 },
      hold: "set screws",
      clocking: "flats at 0° and 90°",
    },
    { ...blank, id: "collar", name: "Collar", kind: "collar", widthMm: 12, hold: "collar", facing: "screw outwards" },
    { ...blank, id: "far", name: "Bearing, far side", kind: "bearing", widthMm: 12, hold: "press fit" },
  ],
});

const one = (widthMm: number) => ({ widthMm, count: 1 });
const measured = {
  instrumentId: "caliper",
  length: ["160.02", "160.01"],
  widths: [
    { key: "near", typed: ["11.99", "11.98"] },
    { key: "pulley", typed: ["30.02", "30.01"] },
    { key: "sleeve", typed: ["60.00"] },
    { key: "gear", typed: ["24.98", "24.99"] },
    { key: "collar", typed: ["12.00"] },
    { key: "far", typed: ["12.00", "12.00"] },
  ],
};

/** As it was found: the pulley half a millimetre off, and too much float. */
export const feedShaftFound = {
  ...measured,
  phase: "as found",
  laid: [
    { after: "near", spacers: [one(1), one(0.5)] },
    { after: "sleeve", spacers: [one(2.5), one(1)] },
    { after: "collar", spacers: [one(2), { widthMm: 0.8, count: 2 }] },
  ],
  float: { typed: "0.43", instrumentId: "lever" },
};

/** As it was put together: what came out went back in first. */
export const feedShaftFitted = {
  ...measured,
  phase: "as fitted",
  laid: [
    { after: "near", spacers: [one(1), { widthMm: 0.5, count: 2 }] },
    { after: "sleeve", spacers: [one(2.5), one(0.5)] },
    { after: "collar", spacers: [one(2), { widthMm: 0.8, count: 2 }, one(0.199), one(0.051)] },
  ],
  float: { typed: "0.15", instrumentId: "lever" },
  seenTo: [
    { key: "near", rule: "inner-race-only", done: true },
    { key: "near", rule: "press-lightly", done: true },
    { key: "pulley", rule: "key-without-rock", done: true },
    { key: "gear", rule: "screws-on-flats", done: true },
    { key: "collar", rule: "collar-a-hair-back", done: true },
    { key: "far", rule: "inner-race-only", done: true },
    { key: "far", rule: "press-lightly", done: true },
  ],
  note: "Belts run in the middle of both pulleys",
  stock: [
    { itemId: "Spacer 20 × 26 × 0.5", change: -2 },
    { itemId: "Spacer 20 × 26 × 1", change: 1 },
    { itemId: "Shim 20 × 28 × 0.2", change: -1 },
    { itemId: "Shim 20 × 28 × 0.05", change: -1 },
  ],
};
