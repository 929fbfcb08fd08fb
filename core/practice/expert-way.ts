import type { Renewal } from "./lessons";

/** What an expert does, in order; the values are what they read. */
export type ExpertStep =
  | { does: "feels-temperature"; tempC: number }
  | { does: "waits"; minutes: number }
  | { does: "clamps" }
  | { does: "repeats"; place: number; values: number[]; repeatable: boolean }
  | { does: "reads-round"; places: number; least: number; greatest: number }
  | { does: "reads-again"; place: number; was: number; now: number }
  | { does: "moves"; amount: number }
  | { does: "comes-back"; amount: number; back: number }
  | { does: "listens"; perMinute: number }
  | { does: "looks"; stage: number; part: Renewal; found: boolean }
  | { does: "renews"; stage: number; part: Renewal };

/** One way through a practice, and what it took. */
export type PracticeWay = { steps: ExpertStep[]; readings: number; moves: number; minutes: number; right: boolean };
