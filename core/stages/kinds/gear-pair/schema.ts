import * as z from "zod";
import { pairGeometry, pairSchema } from "../../../gears/schema";
import { both, text, toothCount, words } from "../../../schemas";

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
/** A further ratio of a switchable gear, at the same centre distance and module. */
export type SwitchGear = z.output<typeof switchGear>;

/** A spur or helical pair. `gears`: the other ratios of a switchable gear; `gearName` is the pair's own. */
export const gearPairSchema = z.object({
  kind: z.literal("gear-pair"),
  pair: pairSchema.transform(pairGeometry),
  parts,
  gears: z.array(switchGear).max(12).readonly().optional(),
  gearName: words(40).optional(),
});
export type GearElement = z.output<typeof gearPairSchema>;
