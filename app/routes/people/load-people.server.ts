import { accountsOfWorkshop } from "~/data/queries/people";
import type { Context } from "~/operations/context";

export const loadPeople = async ({ pool, person }: Context) => ({
  accounts: await accountsOfWorkshop(pool, person.workshopId),
  here: person.id,
  timeZone: person.timeZone,
});
