import { ownRules } from "~/data/queries/own-rules";
import type { Context } from "~/operations/context";

/** The rules of the house. */
export const loadRules = async ({ pool, person }: Context) => ({
  rules: await ownRules(pool, person.workshopId),
  mayKeep: person.role === "lead",
});
