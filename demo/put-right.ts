/** What was measured and put right beside the setting: the pallet lift's coupling with shims from the drawer, a belt frame that pulls in. */

const feet = { frontMm: 180, rearMm: 460 };
const aligned = {
  tool: "shaft-align",
  of: "Motor and worm shaft",
  instrumentId: "fine",
};
const face = { rightMm: -0.01, leftMm: 0, sagMm: 0, diameterMm: 80, topMm: 0 };

export const couplingRight = [
  {
    tool: "coupling",
    of: "Jaw coupling, motor to worm",
    instrumentId: "caliper",
    said: "It fits, and carries what is asked of it",
    input: {
      ends: [
        { shaftMm: 27.99, boreMm: 28.01, hold: "key", key: { keyMm: 7.98, slotMm: 8.01 } },
        { shaftMm: 24.99, boreMm: 25.01, hold: "key", key: { keyMm: 7.98, slotMm: 8 } },
      ],
      errors: { radialMm: 0.05, angularDeg: 0.1, axialMm: 0.2 },
      allow: { radialMm: 0.25, angularDeg: 1, axialMm: 1.2 },
      growth: { lengthMm: [320, 180], perK: [11.5e-6, 11.5e-6], fromC: 20, toC: [70, 55], runGapMm: 2 },
      torqueNm: 9,
      ratedNm: 35,
      serviceFactor: 1.6,
    },
    seenTo: [{ what: "gap-for-heat", done: true }],
  },
  {
    ...aligned,
    when: "before",
    said: "The movable shaft stands 0.15 mm low and 0.00 mm to the right; away from the coupling it rises 0.13 mm and goes left 0.13 mm a metre.",
    input: {
      method: "rim-face",
      rim: { topMm: 0, rightMm: 0.15, bottomMm: 0.3, leftMm: 0.15, sagMm: 0 },
      face: { ...face, bottomMm: -0.01 },
      feet,
      rpm: 1400,
      expandedUncertaintyMm: 0.006,
    },
    laid: [
      {
        at: "Front feet",
        shims: [
          { thicknessMm: 0.051, count: 1 },
          { thicknessMm: 0.101, count: 1 },
        ],
      },
      { at: "Rear feet", shims: [{ thicknessMm: 0.101, count: 1 }] },
    ],
    stock: [
      { itemId: "Shim 20 × 28 × 0.05", change: -1 },
      { itemId: "Shim 20 × 28 × 0.1", change: -2 },
    ],
  },
  {
    ...aligned,
    when: "after",
    said: "The movable shaft stands 0.01 mm low and 0.00 mm to the right; away from the coupling it rises 0.13 mm and goes left 0.13 mm a metre.",
    input: {
      method: "rim-face",
      rim: { topMm: 0, rightMm: 0.01, bottomMm: 0.02, leftMm: 0.01, sagMm: 0 },
      face: { ...face, bottomMm: -0.01 },
      feet,
      rpm: 1400,
      expandedUncertaintyMm: 0.006,
    },
  },
];

export const framePullsIn = [
  {
    tool: "frame-pull",
    of: "Belt frame, operator side",
    instrumentId: "caliper",
    said: "Set it up slack at −0.38 mm and −0.094°, and tension pulls it true",
    input: {
      readings: [
        { tensionN: 0, offsetMm: 0.02, angleDeg: 0.01 },
        { tensionN: 120, offsetMm: 0.2, angleDeg: 0.05 },
        { tensionN: 240, offsetMm: 0.38, angleDeg: 0.1 },
      ],
      targetN: 240,
      bandN: { lo: 180, hi: 320 },
      limits: { offsetMm: 0.3, angleDeg: 0.25 },
      expandedUncertainty: { offsetMm: 0.03, angleDeg: 0.02 },
    },
    seenTo: [{ what: "read-under-load", done: true }],
    note: "A brace from plate to plate is asked for",
  },
];
