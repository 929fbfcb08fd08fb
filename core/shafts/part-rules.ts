import type { ShaftPart } from "./schema";

/** What is to be seen to as a part goes on a shaft. Common practice. */
export const shaftPartRules = [
  "inner-race-only",
  "press-lightly",
  "screws-on-flats",
  "key-without-rock",
  "pin-home",
  "collar-a-hair-back",
  "bush-turns-on-shaft",
] as const;
export type ShaftPartRule = (typeof shaftPartRules)[number];

/** The rules for a part, in the order in which they come up. */
export function rulesFor({ kind, hold }: Pick<ShaftPart, "kind" | "hold">): ShaftPartRule[] {
  const rules: ShaftPartRule[] = [];
  if (kind === "bearing") rules.push("inner-race-only");
  if (kind === "bush") rules.push("bush-turns-on-shaft");
  if (hold === "press fit") rules.push("press-lightly");
  if (hold === "set screws") rules.push("screws-on-flats");
  if (hold === "key") rules.push("key-without-rock");
  if (hold === "pin") rules.push("pin-home");
  if (kind === "collar" || hold === "collar") rules.push("collar-a-hair-back");
  return rules;
}
