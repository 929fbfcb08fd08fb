/** Words out of a few, for what a drive does that it should not. */
export const symptomKinds = [
  "knock",
  "click",
  "growl",
  "whine",
  "squeal",
  "rattle",
  "clunk",
  "slap",
  "hum",
  "heat",
  "high-current",
  "stall",
  "slips",
  "hunts",
] as const;
export type SymptomKind = (typeof symptomKinds)[number];

/** When it does it; each may stay unsaid. */
export const symptomDirections = ["both-ways", "one-way", "at-reversal"] as const;
export const symptomLoads = ["loaded", "unloaded", "any-load"] as const;
export const symptomWarmths = ["cold", "warm", "any-warmth"] as const;
export const symptomPlaces = ["one-place", "all-round"] as const;
export const symptomSpeeds = ["one-speed", "faster-louder", "any-speed"] as const;

export type SymptomWhen = {
  direction: (typeof symptomDirections)[number] | null;
  load: (typeof symptomLoads)[number] | null;
  warmth: (typeof symptomWarmths)[number] | null;
  place: (typeof symptomPlaces)[number] | null;
  speed: (typeof symptomSpeeds)[number] | null;
};
export type WhenSaid = NonNullable<SymptomWhen[keyof SymptomWhen]>;
export const whensSaid: readonly [WhenSaid, ...WhenSaid[]] = [
  ...symptomDirections,
  ...symptomLoads,
  ...symptomWarmths,
  ...symptomPlaces,
  ...symptomSpeeds,
];

/** What may be behind it. */
export const causeCodes = [
  "tooth-damaged",
  "wheel-not-round",
  "mesh-tight",
  "mesh-loose",
  "same-teeth-worn",
  "worm-float",
  "planet-tooth",
  "belt-joint",
  "belt-tight",
  "belt-loose",
  "belt-teeth",
  "chain-link",
  "chain-slack",
  "coupling-out-of-line",
  "coupling-element",
  "set-screw-loose",
  "end-float",
  "bearing",
  "dry",
  "snag",
  "something-loose",
  "play-in-position",
  /** Nothing of the drive: a fan or a pump of its own. */
  "runs-beside",
  /** Of the workshop: its words stand beside the code. */
  "own-rule",
] as const;
export type CauseCode = (typeof causeCodes)[number];

/** The next cheap thing to try. */
export const testCodes = [
  "mark-and-watch",
  "turn-by-hand",
  "read-round",
  "load-other-way",
  "reverse",
  "hold-and-rock",
  "hold-parts",
  "uncouple",
  "ease-a-step",
  "tighten-a-step",
  "push-along-shaft",
  "grease-and-run",
  "look-for-snag",
  "read-in-line",
  "change-speed",
  "switch-off",
  "swap-part",
] as const;
export type TestCode = (typeof testCodes)[number];

/** What a test of a suspect came to. */
export const suspectStates = ["ruled-out", "found", "still-open"] as const;
export type SuspectState = (typeof suspectStates)[number];
