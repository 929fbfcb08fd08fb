import { accept, type Result, refuse } from "../core/quantity";
import type { Pool } from "../data/postgres";
import type { Person, Role } from "../data/queries/people";

/** Who asks, when, on which database. */
export type Context = { pool: Pool; person: Person; now: Date };

export const mayWork: readonly Role[] = ["technician", "lead"];

export const checkRole = (person: Person, roles: readonly Role[]): Result<true> =>
  roles.includes(person.role) ? accept(true) : refuse("role", [], { role: person.role });
