import { findStages } from "~/data/queries/floor";
import type { Context } from "~/operations/context";

const shown = 12;

export const stagesFor = ({ pool, person }: Context, words: string) =>
  findStages(pool, person.workshopId, words, shown);
