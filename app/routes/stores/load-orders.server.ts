import { ordersOfWorkshop } from "~/data/queries/open-points";
import { type Context, mayWork } from "~/operations/context";

export const loadOrders = async ({ pool, person, now }: Context) => ({
  orders: await ordersOfWorkshop(pool, person.workshopId),
  now: now.toISOString(),
  mayClose: mayWork.includes(person.role),
});
