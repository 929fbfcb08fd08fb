import type { Verdict } from "../limits";

/** Five words for the click of a mesh, from loose to tight. */
export const feels = ["knocks", "loose click", "small click", "faint click", "binds"] as const;
export type Feel = (typeof feels)[number];

/** How it was felt. */
export const feelMethods = ["by hand", "by ear", "paper strip", "marking paint"] as const;
export type FeelMethod = (typeof feelMethods)[number];

export type FeelSays = "right" | "leans-loose" | "leans-tight" | "too-loose" | "too-tight" | "not-round";

/**
 * What a round by feel says: a small click all the way round, less at the tight spot but still there, is right (common
 * practice). It is a verdict by feel and never as good as a measured one, so it is told apart wherever it is shown.
 *
 * @param felt one word a place, at least one
 * @returns too tight as soon as one place binds, too loose as soon as one knocks, not round where both are
 */
export function judgeFeel(felt: readonly Feel[]): { verdict: Verdict; says: FeelSays } {
  const some = (feel: Feel) => felt.includes(feel);
  if (some("binds") && some("knocks")) return { verdict: "does-not-conform", says: "not-round" };
  if (some("binds")) return { verdict: "does-not-conform", says: "too-tight" };
  if (some("knocks")) return { verdict: "does-not-conform", says: "too-loose" };
  if (felt.every((feel) => feel === "loose click")) return { verdict: "undecided", says: "leans-loose" };
  if (felt.every((feel) => feel === "faint click")) return { verdict: "undecided", says: "leans-tight" };
  return { verdict: "conforms", says: "right" };
}
