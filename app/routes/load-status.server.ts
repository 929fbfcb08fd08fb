import { one, sql } from "~/data/postgres";
import type { Context } from "~/operations/context";

export const loadStatus = async ({ pool }: Context) => ({
  databaseTime: await one(pool, sql`select now() as now`, (row) => (row.now as Date).toISOString()),
});
