import { z } from "zod";
import { bevelShape, pairGeometry, pairSchema, planetarySchema, wormShape } from "../calc";
import type { PlanetaryGeometry } from "../core/planetary";
import type { StageElement } from "../core/stages";
import { text, words } from "./input";

const measure = z.number().gt(0).lte(1e5).nullable();
const length = z.number().gt(0).lte(1e6);
const teeth = z.number().int().gte(3).lte(10_000);
const bothTeeth = z.tuple([teeth, teeth]);
const place = z.number().gte(-1e6).lte(1e6);

const parts = z
  .object({
    materials: z.tuple([text(60).trim(), text(60).trim()]).optional(),
    boresMm: z.tuple([measure, measure]).optional(),
    keywaysMm: z.tuple([measure, measure]).optional(),
    gearModuleMm: z.number().gt(0).lte(1000).optional(),
  })
  .default({});

const shift = z.number().gte(-5).lte(5);
const switchGear = z.object({
  name: words(40),
  teeth: bothTeeth,
  profileShift: z.tuple([shift, shift]).default([0, 0]),
});

const idlers = z
  .array(
    z.object({
      x: place,
      y: place,
      diameterMm: length,
      side: z.enum(["inside", "outside"]),
      strand: z.enum(["lower", "upper"]),
    }),
  )
  .max(12)
  .default([]);

const run = {
  centreDistanceMm: length,
  idlers,
  moved: z.union([z.literal("centres"), z.number().int().gte(0).lte(11)]).default("centres"),
};

const belt = {
  ...run,
  massKgPerM: z.number().gt(0).lte(1000),
  stiffnessN: z.number().gt(0).lte(1e9).nullable().default(null),
  bendingStiffnessNMm2: z.number().gte(0).lte(1e9).default(0),
};

/** The geometry of a stage of any kind. */
export const elementInput = z
  .discriminatedUnion("kind", [
    z.object({
      kind: z.literal("gear-pair"),
      pair: pairSchema,
      parts,
      gears: z.array(switchGear).max(12).optional(),
      gearName: words(40).optional(),
    }),
    z.object({
      kind: z.literal("worm"),
      worm: z.object(wormShape),
      hand: z.enum(["right", "left"]).default("right"),
    }),
    z.object({
      kind: z.literal("bevel"),
      bevel: z.object(bevelShape),
      faceWidthMm: length.optional(),
      shimmed: z.enum(["pinion", "gear"]).default("gear"),
    }),
    z.object({ kind: z.literal("planetary"), set: planetarySchema }),
    z.object({
      kind: z.literal("toothed-belt"),
      pitchMm: length,
      teeth: bothTeeth,
      beltTeeth: z.number().int().gte(6).lte(100_000),
      ...belt,
    }),
    z.object({
      kind: z.literal("v-belt"),
      pitchDiameterMm: z.tuple([length, length]),
      lengthMm: length,
      belts: z.number().int().gte(1).lte(12).default(1),
      ...belt,
    }),
    z.object({
      kind: z.literal("chain"),
      pitchMm: length,
      teeth: bothTeeth,
      links: z.number().int().gte(4).lte(100_000),
      ...run,
      inclinationDeg: z.number().gte(-90).lte(90).default(0),
    }),
    z.object({
      kind: z.literal("gap"),
      what: z.enum(["end-float", "pinion-clearance", "running-clearance"]),
      places: z.number().int().gte(1).lte(24).default(1),
      diameterMm: length,
    }),
  ])
  .superRefine((element, context) => {
    if ("moved" in element && element.moved !== "centres" && element.moved >= element.idlers.length)
      context.addIssue({ code: "custom", params: { code: "no-such-idler" }, path: ["moved"] });
  });

/** The element as the core knows it. */
export const toElement = (input: z.output<typeof elementInput>): StageElement =>
  input.kind === "gear-pair"
    ? { ...input, pair: pairGeometry(input.pair) }
    : input.kind === "planetary"
      ? { ...input, set: input.set as PlanetaryGeometry }
      : input;
