import * as z from "zod";
import { words } from "../schemas";
import { personId, workshopId } from "./ids";
import { unitSystems } from "./machine";

export const roles = ["technician", "lead", "reader"] as const;
export type Role = (typeof roles)[number];

/** How somebody wants to be shown things; what is left out is as usual. */
export const preferencesSchema = z.object({
  decimal: z.enum(["point", "comma"]).optional(),
  units: z.enum([...unitSystems, "machine"]).optional(),
  school: z.enum(["centre-of-band", "tight-spot"]).optional(),
  room: z.enum(["bright", "dark"]).optional(),
});
export type Preferences = z.output<typeof preferencesSchema>;

/** How a stage is read first: by number, or by hand. */
export const readFirsts = ["numbers", "feel", "paper", "print", "pins"] as const;
export type ReadFirst = (typeof readFirsts)[number];

const signAsks = z.enum(["always", "shared", "never"]);
export type SignAsks = z.output<typeof signAsks>;

export const personRecord = z.object({
  id: personId,
  workshopId,
  name: words(80),
  role: z.enum(roles),
  timeZone: z.string(),
  preferences: preferencesSchema,
  /** When the workshop wants a signature proven by the PIN or password of who signs. */
  signAsks,
  /** Above it the workshop wants two people to lift, kg. */
  liftLimitKg: z.number().gt(0),
  /** How the workshop reads a stage unless somebody chooses otherwise. */
  readFirst: z.enum(readFirsts),
  /** Somebody's other self, in a practice workshop of their own. */
  practising: z.literal(true).optional(),
});
export type Person = z.output<typeof personRecord>;
