import type { Bodies } from "~/core/logbook";
import type { RecurringPart } from "~/core/stages";
import type { CauseCode, Ground, SuspectState, SymptomKind, TestCode, TwoTimings, WhenSaid } from "~/core/symptoms";
import { capital } from "./count";
import { formatNumber } from "./figure";
import type { Reader } from "./reader";

export const symptomWords: Record<SymptomKind, string> = {
  knock: "knock",
  click: "click",
  growl: "growl",
  whine: "whine",
  squeal: "squeal",
  rattle: "rattle",
  clunk: "clunk",
  slap: "slap",
  hum: "hum",
  heat: "runs hot",
  "high-current": "draws too much",
  stall: "stalls",
  slips: "slips",
  hunts: "hunts about its place",
};

export const whenWords: Record<WhenSaid, string> = {
  "both-ways": "both ways",
  "one-way": "one way only",
  "at-reversal": "when it reverses",
  loaded: "loaded",
  unloaded: "unloaded",
  "any-load": "whatever the load",
  cold: "cold",
  warm: "warm",
  "any-warmth": "cold and warm",
  "one-place": "at one place of the turn",
  "all-round": "all the way round",
  "one-speed": "at one speed",
  "faster-louder": "the faster, the louder",
  "any-speed": "at any speed",
};

export const causeWords: Record<CauseCode, string> = {
  "tooth-damaged": "A damaged or dirty tooth",
  "wheel-not-round": "It does not run true",
  "mesh-tight": "The mesh is too tight, or its teeth are worn",
  "mesh-loose": "The mesh is too loose",
  "same-teeth-worn": "Two teeth that wore into each other",
  "worm-float": "The worm floats end to end",
  "planet-tooth": "A tooth of a planet, the sun or the ring",
  "belt-joint": "The belt’s joint, or a damaged place of it",
  "belt-tight": "The belt is too tight",
  "belt-loose": "The belt is too loose",
  "belt-teeth": "Teeth of the belt run on or off wrongly",
  "chain-link": "A stiff or damaged link, or the joint",
  "chain-slack": "The chain is too slack",
  "coupling-out-of-line": "The shafts are not in line",
  "coupling-element": "The coupling’s element is worn",
  "set-screw-loose": "A set screw or key is loose on its shaft",
  "end-float": "A shaft moves end to end",
  bearing: "A bearing",
  dry: "It runs dry",
  snag: "Something snags: a cable, a hose, a chip",
  "something-loose": "Something beside it is loose and sounds along",
  "play-in-position": "Play in the drive that the control hunts about",
  "runs-beside": "It runs beside the drive, at a rate of its own",
  "own-rule": "By a rule of the house",
};

/** What may be wrong, also by a rule of the house. */
export const causeName = (cause: CauseCode, own: string | undefined): string => own ?? causeWords[cause];

export const testWords: Record<TestCode, string> = {
  "mark-and-watch":
    "Isolate; put a paint mark on it. Run it slowly behind its guard: does the mark come by with the noise? Then look at that place",
  "turn-by-hand": "Isolate and turn it by hand all the way round",
  "read-round": "Read it round the turn, or with a dial on its rim",
  "load-other-way": "Load it the other way: a change of noise or current means it binds",
  reverse: "Run it the other way",
  "hold-and-rock": "Isolate; hold the shaft and rock the wheel on it, then rock the output with the motor held",
  "hold-parts": "Behind the guard, hold covers, brackets and hoses with a stick, one after the other",
  uncouple: "Isolate, uncouple it and run each side alone",
  "ease-a-step": "Ease it by one step and listen again",
  "tighten-a-step": "Tighten it by one step and listen again",
  "push-along-shaft": "Isolate; push the shaft end to end and feel its float",
  "grease-and-run": "Grease it as its list says, turn it through once, and listen again",
  "look-for-snag": "Isolate; look for what is in the way: cables, hoses, chips, a proud screw",
  "read-in-line": "Read how the shafts lie in line, stopped and isolated",
  "change-speed": "Run it faster or slower and time the noise again",
  "swap-part": "Isolate; swap it with a spare, or with that of a twin: does it go with the part?",
  "switch-off":
    "Stop it and leave the drive running, where the machine may run without it, and listen; or run the drive at another speed and time it again",
};

export const suspectStateWords: Record<SuspectState, string> = {
  "ruled-out": "ruled out",
  found: "found",
  "still-open": "still open",
};

/** What of a stage is suspected. */
export const partWords: Record<RecurringPart | "whole", string> = {
  "driver-turn": "the driving wheel",
  "driven-turn": "the driven wheel",
  tooth: "the mesh, tooth by tooth",
  "same-teeth": "two teeth that meet again",
  "belt-round": "the belt",
  "chain-round": "the chain",
  link: "the chain, link by link",
  "sun-tooth": "the sun and its planets",
  "ring-tooth": "the ring and its planets",
  "carrier-turn": "the carrier",
  "worm-turn": "the worm",
  whole: "the stage as a whole",
};

/**
 * "the driven wheel of the knife gears", "the knife gears as a whole", "Exhaust fan, beside the drive".
 *
 * @param stage its name; undefined: it is gone
 */
export function placeOfSuspect(
  { part, beside }: { part: RecurringPart | null; beside?: string | undefined },
  stage = "a stage that is gone",
): string {
  if (beside) return `${beside}, beside the drive`;
  return part ? `${partWords[part]} of ${stage}` : `${stage} as a whole`;
}

export const groundWords = (reader: Reader, ground: Ground): string => {
  const f = (value: number, decimals = 1) => formatNumber(reader, value, decimals);
  switch (ground.code) {
    case "comes-as-often":
      return `comes as often${ground.times > 1 ? `, ${ground.times} times a turn` : ""}, off by ${f(Math.abs(ground.deviationPercent))} %`;
    case "comes-nearly":
      return `comes nearly as often, off by ${f(Math.abs(ground.deviationPercent))} %`;
    case "comes-otherwise":
      return `comes ${f(ground.perMinute)} times a minute`;
    case "has-no-rhythm":
      return "has no rhythm of its own";
    case "not-timed":
      return "was not timed";
    case "stays-at-other-speed":
      return "comes as often at another speed of the drive";
    case "goes-with-speed":
      return "goes with the speed of the drive";
    case "shows-so":
      return `shows so: ${symptomWords[ground.kind]}`;
    case "shows-otherwise":
      return "shows otherwise";
    case "when":
      return whenWords[ground.said];
    case "found-before":
      return ground.times === 1 ? "was found here before" : `was found here ${ground.times} times before`;
  }
};

export const symptomTitle = ({ kinds, words }: Bodies["symptom"]): string =>
  capital(
    kinds.length > 0 ? kinds.map((kind) => symptomWords[kind]).join(", ") : words || "Something it should not do",
  );

/** What two timings at two speeds say of it. Common practice. */
export const twoTimingsWords: Record<TwoTimings["find"], string> = {
  "goes-with-it": "It goes with the speed: of the drive, and both timings together say better of what.",
  stays:
    "It comes as often at either speed: nothing that turns with this motor makes it. Look at fans, pumps, the mains and whatever runs beside it.",
  neither: "The two timings do not go together: time it once more, at both speeds.",
  "too-alike": "The two speeds are too alike to tell: run it faster or slower still.",
};

export const symptomDetail = (
  reader: Reader,
  { kinds, when, words, heard, motorRpm, again }: Bodies["symptom"],
): string =>
  [
    ...Object.values(when).flatMap((said) => (said ? [whenWords[said]] : [])),
    heard
      ? `${formatNumber(reader, heard.perMinute, 1)} times a minute${heard.taps === null ? "" : `, ${heard.taps} taps`}`
      : "not timed",
    motorRpm === null ? "" : `the motor at ${formatNumber(reader, motorRpm, 0)} a minute`,
    again
      ? `${formatNumber(reader, again.perMinute, 1)} with the motor at ${formatNumber(reader, again.motorRpm, 0)}`
      : "",
    kinds.length > 0 ? words : "",
  ]
    .filter(Boolean)
    .join(", ");
