import { liveChecks } from "./visits";

const round = (phase: "as-found" | "check", low: string, high: string) => ({
  kind: "round",
  phase,
  method: {
    quantity: "switch-to-buffer",
    instrumentId: "caliper",
    indicatorRadiusMm: null,
    indicatorAngleDeg: 0,
    temperatureC: 19,
    sense: "clockwise",
  },
  readings: [low, high].map((typed, i) => ({ tooth: i + 1, turn: 1, typed, struck: false, repeats: null })),
});
const clamps = (state: "eased" | "firm") =>
  [1, 2, 3, 4].map((clamp) => ({ kind: "clamp", clamp, pass: state === "firm" ? 1 : 0, state }));
const run = (
  direction: "forwards" | "backwards",
  speed: "slow" | "working",
  leftToBuffer: string,
  current: string,
) => ({
  kind: "proof",
  way: "powered",
  outcome: "ran",
  direction,
  speed,
  current,
  temperature: "",
  noise: "",
  leftToBuffer,
  overshoot: speed === "working" ? "0.8" : "",
  guidesLubricated: true,
});

/** Looked at for the first time: both switches before their buffers. */
export const carriageFound = [round("as-found", "22.4", "19.6")];

/** The upper switch had slid behind its buffer; it is set, and both are run into. */
export const carriageSet = [
  round("as-found", "22.3", "-5.8"),
  ...clamps("eased"),
  {
    kind: "move",
    amount: 27,
    did: "otherwise",
    advised: null,
    reasons: [],
    note: "High end 27.0 mm towards the work",
  },
  ...clamps("firm"),
  round("check", "22.3", "21.1"),
  { kind: "live", acknowledged: liveChecks },
  run("forwards", "slow", "17.5", "3.1"),
  run("forwards", "working", "9.2", "3.6"),
  run("backwards", "slow", "18.8", "1.9"),
  run("backwards", "working", "10.6", "2.2"),
];
