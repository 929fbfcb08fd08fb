import type { CauseRule } from "./rules";
import type { OwnRuleFields } from "./schema";

export type { OwnRuleFields };
export type OwnRule = OwnRuleFields & { id: string; madeByName: string; madeAt: string };

/** As the ranking takes it: a rule of one's own shows mostly as it says, and weighs as any other. */
export const ofOwnRule = ({ id, says, kinds, parts, shows, speaksFor, against, test }: OwnRule): CauseRule => ({
  code: "own-rule",
  kinds: kinds.length === 0 ? null : kinds,
  parts,
  times: [1],
  shows: Object.fromEntries(shows.map((kind) => [kind, 2])),
  when: Object.fromEntries([
    ...speaksFor.map((said) => [said, 1] as const),
    ...against.map((said) => [said, -1] as const),
  ]),
  test,
  own: { id, says },
});
