import { type Pool, transaction } from "../data/postgres";
import { type Instrument, insertInstrument } from "../data/queries/instruments";
import { insertPerson, insertWorkshop, type Person } from "../data/queries/people";
import { hashPassword } from "./sign-in";

export type FirstLead = { id: string; name: string; signIn: string; password: string };

/** The workshop, its first lead and its instruments, on an empty database. */
export async function setUpWorkshop(
  pool: Pool,
  now: Date,
  workshop: { id: string; name: string; timeZone: string },
  lead: FirstLead,
  instruments: readonly Instrument[],
): Promise<Person> {
  const passwordHash = await hashPassword(lead.password);
  await transaction(pool, async (db) => {
    await insertWorkshop(db, { ...workshop, at: now });
    await insertPerson(db, { ...lead, workshopId: workshop.id, passwordHash, role: "lead", at: now });
    for (const instrument of instruments) await insertInstrument(db, workshop.id, instrument);
  });
  return { id: lead.id, workshopId: workshop.id, name: lead.name, role: "lead", timeZone: workshop.timeZone };
}
