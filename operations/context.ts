import { accept, type Result, refuse } from "../core/quantity";
import type { Person, Role } from "../core/records";
import type { Pool } from "../data/postgres";
import type { How } from "../data/queries/sessions";

/** Who asks, when, on which database. */
export type Context = {
  pool: Pool;
  person: Person;
  now: Date;
  /** How the session began; left out where a command or the demo asks, for whom no session is. */
  how?: How;
  /** Several people use the browser that asks. */
  shared?: boolean;
};

export const mayWork: readonly Role[] = ["technician", "lead"];

export const checkRole = (person: Person, roles: readonly Role[]): Result<true> =>
  roles.includes(person.role) ? accept(true) : refuse("role", [], { role: person.role });

/** What a PIN is not enough for. */
export const checkStrong = ({ how }: Context): Result<true> =>
  how === "pin" ? refuse("needs-password", []) : accept(true);

/** Whether a signature has to be proven by the PIN or password of who signs: as the workshop has it, for a person at a browser. */
export const signatureAsks = ({ person, how, shared }: Context): boolean =>
  how !== undefined &&
  (person.signAsks === "always" || (person.signAsks === "shared" && (shared === true || how === "pin")));
