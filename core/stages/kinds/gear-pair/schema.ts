import * as z from "zod";
import { pairGeometry, pairSchema } from "../../../gears/schema";
import { both, notZero, text, toothCount, words } from "../../../schemas";
import { travelSchema } from "../../../shifting/schema";

const measure = z.number().gt(0).lte(1e5).nullable();
const shift = z.number().gte(-5).lte(5);

const parts = z
  .object({
    materials: both(text(60).trim()).readonly().optional(),
    boresMm: both(measure).readonly().optional(),
    keywaysMm: both(measure).readonly().optional(),
    gearModuleMm: z.number().gt(0).lte(1000).optional(),
  })
  .default({});

const switchGear = z.object({
  name: words(40),
  teeth: both(toothCount).readonly(),
  profileShift: both(shift).readonly().default([0, 0]),
});
/** A further ratio of a switchable gear, of the same module; at the same centre distance, unless it has a position of its own. */
export type SwitchGear = z.output<typeof switchGear>;

/** Against what the moved part comes to rest, and how far a mm of it parts the centres: above 0 where a thicker one parts them. */
const hardStop = z.object({
  by: z.enum(["spacer", "shoulder"]),
  /** Fitted now; null: nobody measured it. */
  thicknessMm: z.number().gte(0).lte(1000).nullable().default(null),
  perMm: notZero.gte(-100).lte(100).default(1),
});
export type HardStop = z.output<typeof hardStop>;

const backlash = z.number().gte(0).lte(1e3);
const gearPosition = z.object({
  /** Which gear is in then. */
  gear: words(40),
  centreDistanceMm: z.number().gt(0).lte(1e5).optional(),
  /** Of the backlash in this gear; left out: those of the stage. */
  limits: z
    .object({ lo: backlash, aim: backlash.nullable().default(null), hi: backlash, source: words(200) })
    .refine(({ lo, hi }) => lo <= hi, { path: ["lo"], params: { code: "window-upside-down" } })
    .refine(({ lo, aim, hi }) => aim === null || (aim >= lo && aim <= hi), {
      path: ["aim"],
      params: { code: "aim-outside" },
    })
    .optional(),
  stop: hardStop.optional(),
});
/** Where a switchable stage stands with one of its gears in. */
export type GearPosition = z.output<typeof gearPosition>;

/** What shifts it, and between which of its own ends: a servo's pulse, a lever's angle, a cylinder's stroke. */
const actuator = z
  .object({
    by: z.enum(["lever", "servo", "cylinder"]),
    unit: words(20),
    left: z.number().gte(-1e6).lte(1e6),
    right: z.number().gte(-1e6).lte(1e6),
    /** Its own ends; null: not known. */
    ends: both(z.number().gte(-1e6).lte(1e6)).nullable().default(null),
  })
  .refine(({ ends }) => ends === null || ends[0] < ends[1], {
    path: ["ends", 0],
    params: { code: "window-upside-down" },
  });
export type Actuator = z.output<typeof actuator>;

/** A gear that slides along its shaft between two mates. */
const slide = z.object({
  /** Which gear is in at the left stop, and which at the right. */
  left: words(40),
  right: words(40),
  travel: travelSchema,
  actuator: actuator.optional(),
});
export type Slide = z.output<typeof slide>;

/** A spur or helical pair. `gears`: the other ratios of a switchable gear; `gearName` is the pair's own. */
export const gearPairSchema = z.object({
  kind: z.literal("gear-pair"),
  pair: pairSchema.transform(pairGeometry),
  parts,
  gears: z.array(switchGear).max(12).readonly().optional(),
  gearName: words(40).optional(),
  /** Of gears that do not stand at the pair's own centre distance and limits, or come to rest against a stop. */
  positions: z.array(gearPosition).max(13).readonly().optional(),
  slide: slide.optional(),
  /** With one of its gears in: the stop it rests against then. */
  stop: hardStop.optional(),
});
export type GearElement = z.output<typeof gearPairSchema>;
