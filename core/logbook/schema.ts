import * as z from "zod";
import { reasonCodes } from "../advice";
import { axisUnits } from "../axes";
import { lookFinds } from "../greasing/vocabulary";
import {
  partConditions,
  partFates,
  partWorks,
  races,
  screwStates,
  turnDeeds,
  turnFeels,
  turnFinds,
  turnWays,
} from "../guides/vocabulary";
import { bandFits, verdicts } from "../limits";
import { fitWords } from "../making";
import { printFindings, printKinds, printMoves } from "../prints";
import { planRun, runLoad } from "../proving/schema";
import { runMoves, runQuantities, speedFinds, speedWays } from "../proving/vocabulary";
import type { FeelRound } from "../rounds";
import { finite } from "../schemas";
import { shaftPartRules } from "../shafts/part-rules";
import { shaftPhases } from "../shafts/vocabulary";
import { feels, judgedQuantities, measuredQuantities, placeWords, recurringParts, sideQuantities } from "../stages";
import {
  causeCodes,
  suspectStates,
  symptomDirections,
  symptomKinds,
  symptomLoads,
  symptomPlaces,
  symptomSpeeds,
  symptomWarmths,
  testCodes,
} from "../symptoms/vocabulary";
import {
  changedThings,
  clampStates,
  engagements,
  feelMethods,
  makings,
  measuredChecks,
  measuredTools,
  measuredWhens,
  optionOutcomes,
  paperPrints,
  provisionals,
  roundPhases,
  runDirections,
  runOutcomes,
  runSpeeds,
  runWays,
  sweepUnits,
  trialOutcomes,
} from "./vocabulary";

/** Bodies of entries as they lie in the logbook, by kind; entries of earlier formats once they were read as today's. */

const verdict = z.enum(verdicts);
const phase = z.enum(roundPhases);
const day = z.string();
const count = z.number().int().gte(0);
const id = z.string();
/** The day on which the calibration of its instrument had been due. */
const overdue = day.optional();

/** Words as they stood on the screen for whoever acknowledged them, and what they stand for. */
const said = z.object({ key: z.string(), text: z.string() });
export type Said = z.output<typeof said>;

const roundResult = z.object({
  /** What it is judged by, and in what unit all its values are. */
  quantity: z.enum(judgedQuantities),
  count,
  min: finite,
  max: finite,
  mean: finite,
  /** Least and greatest over the hunting cycle, fitted; null where the positions do not allow a fit. */
  worstMin: finite.nullable(),
  worstMax: finite.nullable(),
  tightTooth: count.nullable(),
  expandedUncertainty: finite,
  /** null: no limits were known to judge it by. */
  verdict: verdict.nullable(),
  /** Whether one setting can hold all of it; null: there were no limits, or an earlier release judged it on a scale that did not hold for its quantity. */
  holds: z.enum(bandFits).nullable(),
  /** Of a switchable gear, which one was read. */
  gear: z.string().optional(),
  /** Tooth counts that were in mesh: after a gear is exchanged the round is still that of the gear that was in. */
  teeth: z.tuple([count, count]).readonly().optional(),
  /** What was measured, and on what part: of a set of belts, places are counted on through all of them. */
  read: z.object({ how: z.enum(measuredQuantities), part: z.enum(placeWords), belts: count }).optional(),
  /** The earlier round that this one, read at the tight spot alone, was carried over from. */
  carriedFrom: id.nullable(),
});
export type RoundResult = z.output<typeof roundResult>;

/** A round by feel as judged, its places counted from 1 as on the part. A verdict by feel is never as good as a measured one. */
const feltJudged = z.object({
  verdict: z.enum(["inside", "near", "outside", "not-known"] satisfies FeelRound["verdict"][]),
  side: z.enum(["tight", "loose", "both"] satisfies FeelRound["side"][]).nullable(),
  step: z.enum(["apart", "together", "none"] satisfies FeelRound["step"][]),
  feasible: z.boolean(),
  missing: count,
  tightTooth: count.nullable(),
  /** Where to feel next; null where enough is felt. */
  nextTooth: count.nullable(),
  /** By what it was judged, where not by feel. */
  by: z.enum(["paper", "print", "pins"]).optional(),
  /** The shafts are not parallel, or not in one plane. */
  skew: z.literal(true).optional(),
});
export type FeltJudged = z.output<typeof feltJudged>;
const feltSaidOnly = feltJudged.pick({ verdict: true, side: true, by: true, skew: true });
/** As much of it as is said in a line. */
export type FeltSaid = Pick<FeltJudged, "verdict" | "side" | "by" | "skew">;

const printSpan = z.object({ from: finite, to: finite });
/** A round with paper: what it looked like at every place, and the sheet with what it stands for; null: nobody measured it. */
const paperTried = z.object({
  prints: z.array(z.object({ tooth: count, print: z.enum(paperPrints) })),
  sheet: z
    .object({
      thicknessMm: finite,
      flanks: z.literal([1, 2]),
      pressed: finite,
      toleranceMm: finite,
      circumferentialMm: finite,
      expandedUncertaintyMm: finite,
      verdict: verdict.nullable(),
    })
    .nullable(),
});
export type PaperTried = z.output<typeof paperTried>;
/** A contact print as it was marked, and as it was read. */
const printMarked = z.object({
  kind: z.enum(printKinds),
  prints: z.array(
    z.object({ flank: z.enum(["drive", "coast"]), depth: printSpan, length: printSpan, diagonal: z.boolean() }),
  ),
  wholeDepthMm: finite,
  faceWidthMm: finite.nullable(),
  boltSpanMm: finite.nullable(),
  /** null: nobody said; the usual one was reckoned with. */
  filmMm: finite.nullable(),
  pressureAngleDeg: finite,
  spiral: z.boolean().optional(),
  findings: z.array(z.enum(printFindings)),
  moves: z.array(
    z.object({
      what: z.enum(printMoves),
      amountMm: finite.optional(),
      partAt: z.literal([0, 1]).optional(),
      towards: z.literal([0, 1]).optional(),
      mmPerMm: finite.optional(),
      acrossFaceMm: finite.optional(),
      shimMm: finite.optional(),
    }),
  ),
});
export type PrintMarked = z.output<typeof printMarked>;
/** A gap tried with pins, drills or feelers, called as they were typed. */
const pinsTried = z.object({
  tooth: count.nullable(),
  goes: z.string(),
  goesMm: finite.nullable(),
  stops: z.string(),
  stopsMm: finite.nullable(),
  toleranceMm: finite,
  lowMm: finite,
  highMm: finite.nullable(),
});
export type PinsLogged = z.output<typeof pinsTried>;

const shiftEnd = z.object({
  overlapMm: finite,
  share: finite,
  marginMm: finite,
  ok: z.boolean(),
  spacerChangeMm: finite,
});
const slideStood = z.object({
  /** Which gear is in at the left stop, and which at the right. */
  gears: z.tuple([z.string(), z.string()]),
  /** Slide positions against them; null: not measured. */
  stops: z.object({ leftMm: finite, rightMm: finite }).nullable(),
  travel: z
    .object({
      left: shiftEnd,
      right: shiftEnd,
      neutralMm: finite,
      neutralOk: z.boolean(),
      ok: z.boolean(),
      feasible: z.boolean(),
    })
    .nullable(),
  engaged: z.array(z.object({ gear: z.string(), how: z.enum(engagements) })),
  /** Where the actuator stood against either stop; null: not read. */
  actuator: z.object({ left: finite, right: finite, unit: z.string() }).nullable(),
  note: z.string(),
});
const both = z.tuple([finite, finite]);
const forceRaised = z.object({
  /** null: the stage has one gear. */
  gear: z.string().nullable(),
  unit: z.enum(sweepUnits),
  points: z.array(z.object({ force: finite, currentA: finite })),
  allowedRisePercent: finite,
  resolutionA: finite,
  /** Otherwise it is the last digit of the currents as they were written down. */
  resolutionSaid: z.boolean(),
  slope: finite,
  slopeInterval: both,
  risePercent: finite,
  risePercentInterval: both,
  verdict: z.enum(["flat", "rises", "undecided"]),
  cause: z.enum(["follows", "gives-way", "settles", "unknown"]).nullable(),
});

const partTried = z.object({
  part: z.string(),
  version: z.string(),
  making: z.enum(makings),
  of: z.enum(["hole", "shaft"]).nullable(),
  drawnMm: finite.nullable(),
  madeMm: finite.nullable(),
  felt: z.enum(fitWords).nullable(),
  play: z.string(),
  smooth: z.string(),
  burr: z.enum(["none", "taken off"]).nullable(),
  outcome: z.enum(trialOutcomes),
  why: z.string(),
});

const figure = finite.nullable();
const mechanism = z.object({
  name: z.string(),
  /** Of which assembly of the machine; left out: of the stage that the entry stands on. */
  assembly: z.string().optional(),
  motorRpm: figure,
  ratio: figure,
  wheelDiameterMm: figure,
  scale: figure,
  motorTorqueNm: figure,
  efficiency: figure,
  price: figure,
  /** In words; empty: not said. */
  noise: z.string(),
  room: z.string(),
  effort: z.string(),
  use: z.string(),
  service: z.string(),
  /** At the output, by a tachometer or a stopwatch. */
  measuredRpm: figure,
  outcome: z.enum(optionOutcomes),
  why: z.string(),
});

const feltAt = z.object({ tooth: count, feel: z.enum(feels) });
export type FeltAt = z.output<typeof feltAt>;

/** Shims as they lie in a stage, a size a line. */
const laidStack = z.array(z.object({ thicknessMm: finite, count }));
export type LaidStack = z.output<typeof laidStack>;
const change = z.object({ was: laidStack, now: laidStack });
/** The shims before a move and after it, and those on the other side of the part where pieces were carried across. */
const movedStack = change.extend({ other: change.optional() });
export type MovedStack = z.output<typeof movedStack>;

/** A part of an assembly: by its key in the guide, or the one it was given as it came off, and as it was called. */
const partNamed = z.object({ key: z.string(), name: z.string() });
export type PartNamed = z.output<typeof partNamed>;
/** The revision of the guide that was followed; null: there was none. */
const guideFollowed = z.object({ revisionId: id, name: z.string(), revision: count }).nullable();
const screwsOut = z.object({
  size: z.string(),
  lengthMm: finite.nullable(),
  count,
  washers: count,
  /** Where they were put. */
  where: z.string(),
});
/** Of as many as came out, those that are in again. */
const screwsBack = screwsOut.extend({ in: count, washersIn: count });
export type ScrewsBack = z.output<typeof screwsBack>;

/** A width along a shaft as it was read. */
const widthRead = z.object({
  mm: finite,
  /** null: nobody measured it, and the size it is drawn with was taken. */
  typed: z.array(z.string()).nullable(),
  /** Of this width, k = 2; null: not known. */
  expandedUncertaintyMm: finite.nullable(),
});
const shaftStood = z.object({
  shaft: z.object({ shaftId: id, revisionId: id, name: z.string(), revision: count }),
  phase: z.enum(shaftPhases),
  instrument: z.object({ id, name: z.string() }).nullable(),
  length: widthRead,
  /** In order from the left face; `leftMm`: where the left side of each stands. */
  parts: z.array(widthRead.extend({ key: z.string(), name: z.string(), leftMm: finite })),
  /** What lies in each gap, by the part that it stands behind. */
  laid: z.array(
    z.object({
      after: z.string(),
      spacers: z.array(z.object({ widthMm: finite, count, made: z.boolean() })),
    }),
  ),
  planes: z.array(
    z.object({
      key: z.string(),
      name: z.string(),
      /** With which part of which shaft it stands in one plane. */
      meets: z.object({ shaft: z.string(), part: z.string(), known: z.enum(["as fitted", "as drawn"]) }).nullable(),
      wantedMm: finite,
      atMm: finite,
      errorMm: finite,
      toleranceMm: finite,
      expandedUncertaintyMm: finite.nullable(),
      verdict: verdict.nullable(),
    }),
  ),
  endFloat: z.object({
    loMm: finite,
    hiMm: finite,
    reckonedMm: finite,
    expandedUncertaintyMm: finite.nullable(),
    /** null: it was not read. */
    readMm: finite.nullable(),
    typed: z.string(),
    readInstrument: z.object({ id, name: z.string() }).nullable(),
    readExpandedUncertaintyMm: finite.nullable(),
    verdict: verdict.nullable(),
    closes: z.boolean().nullable(),
    apartMm: finite.nullable(),
  }),
  /** What was to be seen to at each part, and whether it was. */
  seenTo: z.array(z.object({ key: z.string(), rule: z.enum(shaftPartRules), done: z.boolean() })),
  note: z.string(),
  overdue,
});

/** What was to be proven and was not: a direction of a gear, null of a stage that has one. */
/** What a run may have shown beside current, temperature and noise; left out: it was not looked at. */
const provenMore = {
  move: z.enum(runMoves).optional(),
  load: runLoad.optional(),
  peakA: finite.optional(),
  voltageV: finite.optional(),
  powerW: finite.optional(),
  /** The supply gave all it can: what was read there may be more. */
  atSupplyLimit: z.literal(true).optional(),
  speedRead: z
    .object({
      how: z.enum(speedWays),
      rpm: finite,
      expandedUncertaintyPercent: finite,
      motorRpm: finite.nullable(),
      predictedRpm: finite.nullable(),
      offPercent: finite.nullable(),
      find: z.enum(speedFinds),
      /** The gear that it ran in by its speed. */
      gear: z.string().optional(),
    })
    .optional(),
  /** Of the output: the slowest at which it still ran, while it was slowed down towards a stall. */
  slowestRpm: finite.optional(),
  /** By place; `minutes` since it began, null: at its end. */
  temperatures: z.array(z.object({ place: z.string(), minutes: finite.nullable(), tempC: finite })).optional(),
  /** A noise that was timed; `taps` null: its rate was typed. */
  heard: z.object({ perMinute: finite, toleranceShare: finite, taps: count.nullable() }).optional(),
  /** How long it ran; of a timer, by how much the tablet's clock was set meanwhile, and the longest stretch nobody saw it. */
  ran: z
    .object({
      minutes: finite,
      by: z.enum(["timer", "typed"]),
      clockSetS: finite.optional(),
      unwatchedS: finite.optional(),
    })
    .optional(),
  /** Of the output, degrees from the mark: where it began, and where it stalled or was stopped. */
  fromDeg: finite.optional(),
  endedAtDeg: finite.optional(),
  /** Against the limits of its plan. */
  judged: z
    .object({
      verdict: verdict.nullable(),
      each: z.array(
        z.object({
          of: z.enum(runQuantities),
          place: z.string(),
          value: finite.nullable(),
          lo: finite.nullable(),
          hi: finite.nullable(),
          last: finite.nullable(),
          expandedUncertainty: finite,
          verdict: verdict.nullable(),
          why: z.enum(["not-read", "no-last-time", "at-supply-limit"]).optional(),
        }),
      ),
    })
    .optional(),
};

/** A run that a plan asks for and no good one proved; `why`: none was logged, the last went wrong, or could not be decided. */
const outstandingRun = z.object({
  run: planRun.pick({ name: true, move: true, direction: true, speed: true, gear: true, load: true }),
  why: z.enum(["not-run", "went-wrong", "undecided"]),
});
export type OutstandingRun = z.output<typeof outstandingRun>;

const unprovenRun = z.object({ gear: z.string().nullable(), direction: z.enum(runDirections) });
export type UnprovenRun = z.output<typeof unprovenRun>;

const side = z.object({
  quantity: z.enum(sideQuantities),
  count,
  min: finite,
  max: finite,
  expandedUncertainty: finite,
  limits: z.object({ lo: finite.nullable(), hi: finite.nullable() }).nullable(),
  /** null: there are no limits to judge it by. */
  verdict: verdict.nullable(),
  note: z.string(),
  overdue,
});

/** What a signature puts its name to, as it stood then. */
const signedRecord = z.object({
  asFound: roundResult.nullable(),
  asLeft: roundResult.nullable(),
  /** By feel only, where nothing was measured. */
  asLeftByFeel: feltSaidOnly.optional(),
  /** Of a switchable stage each gear that was read; what stands above is the last of them. */
  gears: z
    .array(
      z.object({
        gear: z.string(),
        asFound: roundResult.nullable(),
        asLeft: roundResult.nullable(),
        asLeftByFeel: feltSaidOnly.optional(),
      }),
    )
    .optional(),
  moves: count,
  clampsFirm: count,
  proofs: count,
  /** What was read beside it, each as last read. */
  sides: z.array(side).optional(),
});
export type SignedRecord = z.output<typeof signedRecord>;

/** What was unwise about a geometry as it was entered, by its code and figures; a text where an earlier release wrote it. */
const noted = z.union([z.string(), z.looseObject({ code: z.string() })]);
export type Noted = z.output<typeof noted>;

export const entryBodies = {
  /** `firstBuild`: there is nothing as found. */
  "job-opened": z.object({ reason: z.string(), firstBuild: z.boolean().optional() }),
  /** `lock` null: none was put on, and `noLock` says what was done instead. What was asked and not ticked stands apart. */
  isolated: z.object({
    lock: z.string().nullable(),
    noLock: said.nullable(),
    acknowledged: z.array(said),
    notAcknowledged: z.array(said),
  }),
  /** `saw`: what the app saw open then; `notKnown`: what nobody had said. */
  live: z.object({ acknowledged: z.array(said), saw: z.array(z.string()), notKnown: z.array(z.string()) }),
  round: z.object({ phase, result: roundResult, overdue }),
  /** Kept on paper before, and brought in afterwards. `movedAfter`: whether something was moved or replaced before the next one. */
  "paper-round": z.object({ result: roundResult, keptBy: z.string(), movedAfter: z.enum(["no", "yes", "unknown"]) }),
  /** Something read beside the quantity that the stage is judged by, against limits of its own where it has any. */
  side,
  /** `of`: places of the whole turn; null, and `judged` null, of entries that an earlier release judged by another table. */
  feel: z.object({
    phase,
    method: z.enum(feelMethods),
    gear: z.string().nullable(),
    of: count.nullable(),
    places: z.array(feltAt),
    judged: feltJudged.nullable(),
    /** Of a motor that stayed coupled, on one turn of the part. */
    magnetSteps: count.optional(),
    /** Where somebody said that the tight spot is, and painted it. */
    here: count.optional(),
    paper: paperTried.optional(),
    print: printMarked.optional(),
    pins: pinsTried.optional(),
  }),
  /** A sliding gear against its stops, and how it goes in. */
  shift: slideStood,
  /** The current while an actuator's force is raised in steps. */
  sweep: forceRaised,
  /** One way to drive a stage, beside others. */
  option: mechanism,
  /** A version of a part as drawn, made, tried or fitted. */
  trial: partTried,
  move: z.object({
    amount: finite,
    unit: z.string(),
    direction: z.enum(["apart", "together", "none"]),
    did: z.enum(["so", "otherwise"]),
    advised: z
      .object({
        amount: finite,
        min: finite,
        max: finite,
        at: finite.nullable(),
        standTooth: count.nullable(),
      })
      .nullable(),
    reasons: z.array(z.enum(reasonCodes)),
    teaches: z.boolean(),
    note: z.string(),
    /** Of a stage whose gears rest against stops of their own: the gear whose stop was changed. */
    gear: z.string().optional(),
    /** The leaves with which it was set, where the adjuster has no scale. */
    feelerMm: z.array(finite).optional(),
    /** The shims that lay in it, and those that lie in it now, where they were said one by one. */
    stack: movedStack.optional(),
  }),
  /** Put in for the work, or taken out again: then the entry names the one that put it in. */
  "loose-thing": z.object({ thing: z.string(), state: z.enum(["in", "out"]), where: z.string() }),
  /** A part that came off. What nobody looked at, counted or weighed is null. */
  "part-off": z.object({
    guide: guideFollowed,
    part: partNamed,
    screws: z.array(screwsOut).nullable(),
    side: z.string(),
    facing: z.string(),
    mark: z.string(),
    spacers: z.array(z.object({ widthMm: finite, count, race: z.enum(races) })),
    massKg: finite.nullable(),
    conditions: z.array(z.enum(partConditions)),
    fate: z.enum(partFates).nullable(),
    beforeHidden: z.string(),
    note: z.string(),
  }),
  /** A part that went on; names the entry by which it came off, if it did. `state` null: it has no screws. */
  "part-on": z.object({
    guide: guideFollowed,
    part: partNamed,
    screws: z.array(screwsBack),
    state: z.enum(screwStates).nullable(),
    /** A new one in the place of the old. */
    fresh: z.boolean(),
    /** What was done as it went on, as the guide asks it. */
    asItWentOn: z.string(),
    note: z.string(),
  }),
  /** The screws of a part that is on: how many are in by now, and how far they have come. */
  "part-screws": z.object({
    part: partNamed,
    screws: z.array(screwsBack),
    state: z.enum(screwStates),
    /** How many of them are dressed with compound so far, each alone. */
    dressed: count.optional(),
  }),
  /** Turned by hand: `after` what was done last, `suspects` who may make it bind. */
  turned: z.object({
    way: z.enum(turnWays),
    feel: z.enum(turnFeels),
    after: z.object({ part: partNamed, by: z.enum(["part", "screws"]) }).nullable(),
    suspects: z.array(z.object({ part: partNamed, by: z.enum(["part", "screws"]) })),
    found: z.array(z.enum(turnFinds)),
    did: z.array(z.enum(turnDeeds)),
    note: z.string(),
  }),
  /** A part measured against its seat, and what was laid in beside it. */
  seat: z.object({
    part: partNamed,
    seatMm: finite,
    partMm: finite,
    typed: z.object({ seat: z.array(z.string()), part: z.array(z.string()) }),
    instrument: z.object({ id, name: z.string() }).nullable(),
    gapMm: finite,
    expandedUncertaintyMm: finite.nullable(),
    says: z.enum(["fits", "too-narrow", "proud", "not-to-be-told"]),
    laid: laidStack,
    leftMm: finite,
    race: z.enum(races),
    overdue,
  }),
  /** Work on a part, with its check: sizes and runout before and after; null: not read. */
  "part-work": z.object({
    part: partNamed,
    work: z.enum(partWorks),
    /** Drilled through a guide. */
    guided: z.boolean(),
    beforeMm: finite.nullable(),
    afterMm: finite.nullable(),
    runoutBeforeMm: finite.nullable(),
    runoutAfterMm: finite.nullable(),
    felt: z.enum(fitWords).nullable(),
    clocking: z.string(),
    note: z.string(),
  }),
  /** A shaft as it was found or put together: widths, what lies between, where its planes stand, and its end float. */
  shaft: shaftStood,
  /** Measured with a tool of the calculation: what went in, what came out, how it was said, and the shims laid in for it. */
  measured: z.object({
    tool: z.enum(measuredTools),
    of: z.string(),
    when: z.enum(measuredWhens).nullable(),
    input: z.unknown(),
    output: z.unknown(),
    said: z.string(),
    verdict: verdict.nullable(),
    instrument: z.object({ id, name: z.string() }).nullable(),
    laid: z.array(z.object({ at: z.string(), shims: laidStack })),
    seenTo: z.array(z.object({ what: z.enum(measuredChecks), done: z.boolean() })),
    note: z.string(),
    overdue,
  }),
  /** Points of the machine that were greased, as the list called them; g null: nobody weighed it. `spread`: by a full turn. */
  greased: z.object({
    points: z.array(z.object({ id: z.string(), name: z.string(), kind: z.string(), grams: finite.nullable() })),
    spread: z.boolean(),
    note: z.string(),
  }),
  /** Looked at by eye, without a job. */
  looked: z.object({
    items: z.array(z.object({ id: z.string(), name: z.string(), found: z.enum(lookFinds), note: z.string() })),
    note: z.string(),
  }),
  clamp: z.object({
    clamp: count,
    of: count,
    pass: count,
    passes: count,
    state: z.enum(clampStates),
    torqueNm: finite.nullable(),
  }),
  /** `outcome` null: nobody was asked how it ended. */
  proof: z.object({
    way: z.enum(runWays),
    outcome: z.enum(runOutcomes).nullable(),
    /** null: either, as one whole turn. */
    direction: z.enum(runDirections).nullable(),
    speed: z.enum(runSpeeds).nullable(),
    currentA: finite.nullable(),
    temperatureC: finite.nullable(),
    noise: z.string(),
    /** The run of a plan that it was, as that was called then. */
    planned: z.object({ runId: id, revisionId: id, name: z.string() }).optional(),
    ...provenMore,
    /** Of a switchable gear, which one ran. */
    gear: z.string().optional(),
    /** Of an axis, in its unit; null: not read. Forwards runs to the high end. */
    axis: z
      .object({
        unit: z.enum(axisUnits),
        /** Left to the buffer where its end switch had stopped it; 0: touched. */
        leftToBuffer: finite.nullable(),
        /** Beyond where a step should have ended. */
        overshoot: finite.nullable(),
        guidesLubricated: z.boolean(),
      })
      .optional(),
  }),
  /** What a machine does that it should not, when, and how often; `motorRpm` at which it was timed, null: as the drive line has it. */
  symptom: z.object({
    kinds: z.array(z.enum(symptomKinds)),
    when: z.object({
      direction: z.enum(symptomDirections).nullable(),
      load: z.enum(symptomLoads).nullable(),
      warmth: z.enum(symptomWarmths).nullable(),
      place: z.enum(symptomPlaces).nullable(),
      speed: z.enum(symptomSpeeds).nullable(),
    }),
    words: z.string(),
    heard: z.object({ perMinute: finite, toleranceShare: finite, taps: count.nullable() }).nullable(),
    motorRpm: finite.nullable(),
    /** Timed a second time, at another speed of the motor. */
    again: z.object({ perMinute: finite, toleranceShare: finite, motorRpm: finite }).optional(),
  }),
  /** Names a symptom: what a test of one of its suspects came to. `key` of the suspect; `cause` null: of all that it may be. */
  suspect: z.object({
    key: z.string(),
    /** null: of no stage; `beside` names what runs beside it. */
    stageId: id.nullable(),
    beside: z.string().optional(),
    part: z.enum(recurringParts).nullable(),
    gear: z.string().nullable(),
    cause: z.enum(causeCodes).nullable(),
    /** In the words of the workshop's own rule. */
    ownCause: z.string().optional(),
    state: z.enum(suspectStates),
    test: z.enum(testCodes).nullable(),
    note: z.string(),
  }),
  note: z.object({ text: z.string() }),
  /** `saw`: the ids of the entries that the signer saw; null: nobody noted them. */
  signature: z.object({
    record: signedRecord,
    comment: z.string(),
    nextDate: day.nullable(),
    provisional: z.array(z.enum(provisionals)),
    saw: z.array(id).nullable(),
    unproven: z.array(unprovenRun),
    /** Of its plan; left out where it has none. */
    outstanding: z.array(outstandingRun).optional(),
    /** By what the signer showed that it is they; left out where nobody asked. */
    provenBy: z.enum(["pin", "password"]).optional(),
  }),
  /** Of a lead, beside the signature that it names. */
  countersignature: z.object({ comment: z.string(), provenBy: z.literal("password").optional() }),
  correction: z.object({ text: z.string(), voids: z.boolean() }),
  /** `by` the day it is to be done, where somebody gave one. */
  "open-point": z.object({ text: z.string(), by: day.optional() }),
  /** Names the entry that opened it. */
  "point-closed": z.object({ text: z.string() }),
  /** What the meter shows; `total` over all meters the machine has had. */
  usage: z.object({ reading: finite, unit: z.string(), total: finite, newMeter: z.boolean() }),
  change: z.object({
    what: z.enum(changedThings),
    text: z.string(),
    warnings: z.array(noted),
    /** A gear exchanged in a job: what came out and what went in, driver and driven, and what was looked at. */
    exchange: z
      .object({
        was: z.tuple([count, count]),
        now: z.tuple([count, count]),
        names: z.tuple([z.string().nullable(), z.string().nullable()]),
        moveMm: finite,
        speedPercent: finite,
        torquePercent: finite,
        acknowledged: z.array(said),
        notAcknowledged: z.array(said),
      })
      .optional(),
  }),
  attachment: z.object({
    name: z.string(),
    mediaType: z.string(),
    sizeBytes: count,
    sha256: z.string(),
    caption: z.string(),
  }),
  /** A computation of the Bench kept on a stage: what went in and what came out. */
  computation: z.object({ tool: z.string(), input: z.unknown(), output: z.unknown(), text: z.string() }),
  /** `atUsage`: the total of the machine's meter at which it is due, where that is what was asked. */
  plan: z.object({ date: day.nullable(), text: z.string(), atUsage: z.number().optional() }),
  /** An open job, or the next visit to a stage, is somebody's; null: nobody's any more. */
  assigned: z.object({ to: z.object({ id: z.string(), name: z.string() }).nullable(), note: z.string() }),
};

export type Bodies = { [K in keyof typeof entryBodies]: z.output<(typeof entryBodies)[K]> };
