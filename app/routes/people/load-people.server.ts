import { accountsOfWorkshop } from "~/data/queries/people";
import { lastSeal } from "~/data/queries/seals";
import type { Context } from "~/operations/context";

export async function loadPeople({ pool, person, now }: Context) {
  const [accounts, seal] = [await accountsOfWorkshop(pool, person.workshopId), await lastSeal(pool)];
  return {
    accounts,
    here: person.id,
    signAsks: person.signAsks,
    liftLimitKg: person.liftLimitKg,
    readFirst: person.readFirst,
    sealedAt: seal?.at ?? null,
    now: now.toISOString(),
  };
}
