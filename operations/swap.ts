import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import { machineOfStage } from "../data/queries/stages";
import { deleteOption, insertOption } from "../data/queries/swap-options";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, words } from "./input";

const figure = z.number().gte(-1e6).lte(1e6);
const both = <T extends z.ZodType>(item: T) => z.array(item).length(2);

const keepInput = z.object({
  id,
  stageId: id,
  option: z.object({
    names: both(words(120)),
    teeth: both(z.int().gte(3).lte(10_000)),
    centreDistanceMm: figure,
    ratio: figure,
    backlashMm: figure,
    contactRatio: figure,
    usableContactRatio: figure.optional(),
    price: figure.nullable(),
  }),
  reason: words(400),
});

/** Keeps a pair beside the present one of a stage, with the reason. */
export async function keepOption({ pool, person, now }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keepInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  if (!(await machineOfStage(pool, person.workshopId, value.stageId))) return refuse("no-such-stage", ["stageId"]);
  await insertOption(pool, { ...value, madeBy: person.id, at: now });
  return accept({ id: value.id });
}

const dropInput = z.object({ id, stageId: id });

/** Puts a kept pair away again. */
export async function dropOption({ pool, person }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(dropInput, input);
  if (!checked.ok) return checked;
  const { stageId, id: option } = checked.value;
  if (!(await machineOfStage(pool, person.workshopId, stageId))) return refuse("no-such-stage", ["stageId"]);
  await deleteOption(pool, stageId, option);
  return accept({ id: option });
}
