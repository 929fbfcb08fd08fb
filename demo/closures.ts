/** The index table driven whole turns both ways: the ring comes back to zero, a little worse each time; the reducer's output does not. */
const closed = (forward: readonly number[], backward: readonly number[], said: string) => ({
  tool: "closure",
  of: "Ring, 200 divisions",
  instrumentId: "fine",
  said,
  input: { divisions: 200, turns: 1, forward, backward, toleranceArcmin: 4, expandedUncertainty: 0.3 },
});

export const ringClosures = [
  {
    daysAgo: 71,
    measured: closed([1.1, 1.3, 1.2], [-1.3, -1.5, -1.4], "It closes: 1.2′ forwards, −1.4′ back, 2.6′ of lost motion"),
  },
  {
    daysAgo: 43,
    measured: closed([1.6, 1.8, 1.7], [-0.9, -1.1, -1.0], "It closes: 1.7′ forwards, −1.0′ back, 2.7′ of lost motion"),
  },
  {
    daysAgo: 14,
    measured: closed([2.2, 2.4, 2.3], [-0.3, -0.5, -0.4], "It closes: 2.3′ forwards, −0.4′ back, 2.7′ of lost motion"),
  },
];

/** What the ring's division may be off by: runout of both wheels, each position approached from one side. */
export const ringErrors = {
  divisions: 200,
  wheels: [
    { id: "ring", eccentricityMm: 0.02, radiusMm: 68, turnsPerOutputTurn: [1, 1] },
    { id: "pinion", eccentricityMm: 0.004, radiusMm: 17, turnsPerOutputTurn: [4, 1] },
  ],
  lostMotionArcmin: 2.6,
  oneSided: true,
  toleranceArcmin: 4,
};

export const reducerClosure = {
  tool: "closure",
  of: "Reducer output, 5 turns",
  instrumentId: "fine",
  said: "It does not close: −9.6′ forwards",
  input: {
    ...{ divisions: 1, turns: 5, forward: [-9.4, -9.8, -9.6], toleranceArcmin: 5, expandedUncertainty: 0.3 },
    stepsPerTurn: 3200,
  },
};
