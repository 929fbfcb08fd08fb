import * as z from "zod";
import { lowestPartial, pluckSound, recordedIn, seededRandom } from "../../core/practice";
import { accept, refuse } from "../../core/quantity";
import { hearPluck, type Sound } from "../../core/sound";
import { both, chosenForm, notNegative, positive } from "../fields";
import { tool } from "../tool";

/** A pluck that is made up, by what it is to sound like. */
export const simulatedPluck = z.strictObject({
  frequencyHz: z.number().gte(5).lte(1500),
  /** How long it rings: the swings in which it falls to a thousandth are 2.2 times this. */
  quality: z.number().gte(5).lte(500).default(40),
  stiffness: z.number().gte(0).lte(0.01).default(0),
  signalToNoiseDb: z.number().gte(-20).lte(80).default(30),
  hum: z.number().gte(0).lte(10).default(0),
  mainsHz: z.union([z.literal(50), z.literal(60)]).default(50),
  pluckAt: z.number().gte(0.05).lte(0.95).default(0.4),
  hearAt: z.number().gte(0.05).lte(0.95).default(0.3),
  secondHitS: z.number().gte(0).lte(1.5).optional(),
  seed: z.number().int().gte(0).lte(1e9).default(1),
});

export const pluckTool = tool({
  name: "pluck",
  purpose: "the pitch of a plucked span from a recording of it, and how sure it is",
  input: z
    .strictObject({
      /** Read by the command, which hands on what is in it. */
      wavPath: z.string().min(1).max(4096).optional(),
      samples: z.array(z.number()).min(1).max(20_000_000).optional(),
      sampleRateHz: z.number().gte(1000).lte(1_000_000).optional(),
      simulated: simulatedPluck.optional(),
      expectedHz: positive.optional(),
      bandHz: both(positive)
        .refine(([lo, hi]) => lo <= hi, {
          path: [0],
          params: { code: "window-upside-down" },
          error: "the band ends below where it begins",
        })
        .default([10, 1200]),
    })
    .superRefine(chosenForm(["wavPath"], ["samples", "sampleRateHz"], ["simulated"])),
  output: z.strictObject({
    frequencyHz: z.number().nullable(),
    confidence: z.number(),
    peaks: z.array(z.strictObject({ hz: z.number(), level: notNegative })),
  }),
  run: ({ samples, sampleRateHz, simulated, expectedHz, bandHz }) => {
    const sound = simulated ? simulatedSound(simulated) : givenSound(samples, sampleRateHz);
    if (!sound) return refuse("not-read-here", ["wavPath"]);
    const { frequencyHz, confidence, peaks } = hearPluck(sound, { expectedHz, bandHz });
    return accept({ frequencyHz, confidence, peaks });
  },
});

const givenSound = (samples: readonly number[] | undefined, sampleRateHz: number | undefined): Sound | null =>
  samples && sampleRateHz !== undefined ? { samples: Float64Array.from(samples), sampleRateHz } : null;

const simulatedRateHz = 8000;

/** A pluck by the wave equation, in a room. */
export function simulatedSound(of: z.output<typeof simulatedPluck>): Sound {
  const string = {
    stringHz: of.frequencyHz,
    stiffness: of.stiffness,
    decayS: (6.908 * of.quality) / (Math.PI * of.frequencyHz),
    decayRise: 6,
    sharpening: 0.002,
    pluckAt: of.pluckAt,
    hearAt: of.hearAt,
    plucks: [
      { atS: 0.4, strength: 1 },
      ...(of.secondHitS === undefined ? [] : [{ atS: 0.4 + of.secondHitS, strength: 0.7 }]),
    ],
  };
  // What is asked for is the pitch, which the string's own figure is not with stiffness and steps of time.
  const tuned = { ...string, stringHz: (of.frequencyHz * of.frequencyHz) / lowestPartial(string, simulatedRateHz) };
  const room = { signalToNoiseDb: of.signalToNoiseDb, mainsHz: of.mainsHz, hum: of.hum, knocksS: [] };
  const samples = recordedIn(pluckSound(tuned, simulatedRateHz, 2), simulatedRateHz, room, seededRandom(of.seed));
  return { samples, sampleRateHz: simulatedRateHz };
}
