import type { RecurringPart, StageKind } from "../stages";
import type { CauseCode, SymptomKind, TestCode, WhenSaid } from "./vocabulary";

/**
 * One way in which a drive goes wrong, and how that shows. All of it is common practice: what fitters look for first, by ear and by hand; no
 * standard stands behind the weights.
 */
export type CauseRule = {
  code: CauseCode;
  /** Kinds of stages that have it; null: all. */
  kinds: readonly StageKind[] | null;
  /** What of the stage comes as often as it is heard; empty: it has no period. */
  parts: readonly RecurringPart[];
  /** How many times for each of those; mostly once. */
  times: readonly number[];
  /** What it is heard, seen or felt as: 2 mostly, 1 sometimes. */
  shows: Partial<Record<SymptomKind, 1 | 2>>;
  /** What speaks for it, and what against. */
  when: Partial<Record<WhenSaid, 1 | -1>>;
  test: TestCode;
  /** Of a rule of the workshop's own. */
  own?: { id: string; says: string };
};

const meshes: readonly StageKind[] = ["gear-pair", "bevel", "worm", "planetary"];
const toothed: readonly StageKind[] = [...meshes, "toothed-belt", "chain"];
const belts: readonly StageKind[] = ["toothed-belt", "v-belt"];
const turns = ["driver-turn", "driven-turn", "carrier-turn", "worm-turn"] as const;

const rule = (
  code: CauseCode,
  kinds: CauseRule["kinds"],
  parts: CauseRule["parts"],
  shows: CauseRule["shows"],
  when: CauseRule["when"],
  test: TestCode,
  times: CauseRule["times"] = [1],
): CauseRule => ({ code, kinds, parts, times, shows, when, test });

/** What runs beside a drive: as often whatever the drive does; a fan of two blades twice a turn. */
export const besideRule: CauseRule = rule(
  "runs-beside",
  null,
  [],
  { hum: 2, whine: 1, growl: 1, rattle: 1, knock: 1 },
  { "any-speed": 1, "any-load": 1, "faster-louder": -1, "at-reversal": -1, "one-place": -1 },
  "switch-off",
  [1, 2],
);

export const causeRules: readonly CauseRule[] = [
  rule(
    "tooth-damaged",
    toothed,
    turns,
    { knock: 2, click: 2, clunk: 1 },
    { loaded: 1, "one-way": 1, "one-place": 1, "all-round": -1 },
    "mark-and-watch",
  ),
  rule(
    "wheel-not-round",
    null,
    turns,
    { growl: 2, whine: 2, knock: 1, rattle: 1, stall: 1, "high-current": 1 },
    { "one-place": 1, "all-round": -1, "both-ways": 1 },
    "read-round",
  ),
  rule(
    "mesh-tight",
    toothed,
    ["tooth"],
    { whine: 2, squeal: 1, heat: 2, "high-current": 2, stall: 1, growl: 1 },
    { warm: 1, cold: -1, loaded: 1, "at-reversal": -1 },
    "ease-a-step",
  ),
  rule(
    "mesh-loose",
    meshes,
    [],
    { clunk: 2, rattle: 2, knock: 1 },
    { "at-reversal": 1, unloaded: 1, loaded: -1 },
    "hold-and-rock",
  ),
  rule(
    "same-teeth-worn",
    ["gear-pair", "bevel", "worm"],
    ["same-teeth"],
    { knock: 2, click: 1 },
    { "one-place": 1 },
    "mark-and-watch",
  ),
  rule("worm-float", ["worm"], [], { clunk: 2, knock: 1 }, { "at-reversal": 1, "one-way": 1 }, "push-along-shaft"),
  rule(
    "planet-tooth",
    ["planetary"],
    ["sun-tooth", "ring-tooth"],
    { knock: 2, click: 2, growl: 1 },
    { loaded: 1 },
    "mark-and-watch",
  ),
  rule(
    "belt-joint",
    belts,
    ["belt-round"],
    { knock: 2, click: 2, slap: 2 },
    { "both-ways": 1, "faster-louder": 1 },
    "mark-and-watch",
  ),
  rule(
    "belt-tight",
    belts,
    [],
    { whine: 2, heat: 2, "high-current": 2, squeal: 1 },
    { "all-round": 1, "both-ways": 1, unloaded: 1 },
    "ease-a-step",
  ),
  rule(
    "belt-loose",
    belts,
    [],
    { slap: 2, slips: 2, clunk: 1, squeal: 2, hunts: 1 },
    { loaded: 1, "at-reversal": 1, "faster-louder": 1 },
    "tighten-a-step",
  ),
  rule(
    "belt-teeth",
    ["toothed-belt"],
    ["tooth"],
    { whine: 2, growl: 1, hum: 1 },
    { "faster-louder": 1, loaded: 1 },
    "change-speed",
  ),
  rule("chain-link", ["chain"], ["chain-round"], { knock: 2, click: 2, slap: 1 }, { "both-ways": 1 }, "mark-and-watch"),
  rule(
    "chain-slack",
    ["chain"],
    [],
    { slap: 2, rattle: 2, clunk: 1 },
    { "at-reversal": 1, "one-speed": 1, unloaded: 1 },
    "tighten-a-step",
  ),
  rule(
    "coupling-out-of-line",
    ["coupling"],
    ["driver-turn"],
    { growl: 2, hum: 1, heat: 1, rattle: 1 },
    { "faster-louder": 1, "both-ways": 1 },
    "read-in-line",
    [2, 1],
  ),
  rule(
    "coupling-element",
    ["coupling"],
    [],
    { clunk: 2, knock: 1, rattle: 1 },
    { "at-reversal": 1, loaded: 1 },
    "swap-part",
  ),
  rule(
    "set-screw-loose",
    null,
    turns,
    { clunk: 2, knock: 1, click: 1 },
    { "at-reversal": 1, "one-place": 1 },
    "hold-and-rock",
  ),
  rule(
    "end-float",
    meshes,
    [],
    { clunk: 1, knock: 1, squeal: 1, growl: 1, "high-current": 1 },
    { "one-way": 1, "both-ways": -1 },
    "push-along-shaft",
  ),
  rule(
    "bearing",
    null,
    [],
    { growl: 2, squeal: 1, heat: 2, "high-current": 1, hum: 1 },
    { "both-ways": 1, "any-load": 1, "faster-louder": 1 },
    "uncouple",
  ),
  rule(
    "dry",
    null,
    [],
    { squeal: 2, whine: 1, heat: 1, "high-current": 1 },
    { cold: 1, "all-round": 1 },
    "grease-and-run",
  ),
  rule(
    "snag",
    null,
    [],
    { stall: 2, "high-current": 1, rattle: 1 },
    { "one-place": 1, "all-round": -1 },
    "look-for-snag",
  ),
  rule("something-loose", null, [], { rattle: 2, hum: 1 }, { "one-speed": 1, "any-load": 1 }, "hold-parts"),
  rule("play-in-position", null, [], { hunts: 2, clunk: 1 }, { unloaded: 1, "at-reversal": 1 }, "hold-and-rock"),
];
