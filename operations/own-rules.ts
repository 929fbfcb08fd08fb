import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import { ownRuleFields } from "../core/symptoms/schema";
import { transaction } from "../data/postgres";
import { insertOwnRule, ownRuleById, ownRules, takeBackRule } from "../data/queries/own-rules";
import { type Context, checkRole } from "./context";
import { checkInput, id } from "./input";

/** As many as one can keep in mind; the ranking takes all of them each time. */
const mostRules = 200;
const ruleInput = z.object({ id, rule: ownRuleFields });

/** Keeps what the workshop has learnt of its own. Only leads may. What speaks for it cannot speak against it (`said-twice`). */
export async function keepRule({ pool, person, now }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(ruleInput, input);
  if (!checked.ok) return checked;
  const { id: ruleId, rule } = checked.value;
  if (rule.speaksFor.some((said) => rule.against.includes(said))) return refuse("said-twice", ["rule", "against"]);
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    if ((await ownRules(db, person.workshopId)).length >= mostRules)
      return refuse("too-many", ["rule"], { given: mostRules + 1, most: mostRules });
    await insertOwnRule(db, { id: ruleId, workshopId: person.workshopId, rule, madeBy: person.id, at: now });
    return accept({ id: ruleId });
  });
}

const takeInput = z.object({ id });

/** Takes a rule back: what was found by it stays in the logbooks in its words. Only leads may. */
export async function dropRule({ pool, person, now }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(takeInput, input);
  if (!checked.ok) return checked;
  if (!(await ownRuleById(pool, person.workshopId, checked.value.id))) return refuse("no-such-rule", ["id"]);
  await takeBackRule(pool, person.workshopId, checked.value.id, now);
  return accept({ id: checked.value.id });
}
