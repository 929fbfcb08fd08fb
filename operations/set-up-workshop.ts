import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import type { NewInstrument, Person, PersonId, WorkshopId } from "../core/records";
import * as ids from "../core/records/ids";
import { usualLiftLimitKg } from "../core/records/lifting";
import { type Pool, transaction } from "../data/postgres";
import { insertInstrument } from "../data/queries/instruments";
import { countPeople, insertPerson, insertWorkshop, lockPeople } from "../data/queries/people";
import { checkInput, words } from "./input";
import { newPassword } from "./people";
import { hashSecret, isCommonPassword } from "./secrets";

export type FirstLead = { id: PersonId; name: string; signIn: string; password: string };

/** The workshop, its first lead and its instruments, on an empty database. */
export async function setUpWorkshop(
  pool: Pool,
  now: Date,
  workshop: { id: WorkshopId; name: string; timeZone: string },
  lead: FirstLead,
  instruments: readonly NewInstrument[],
): Promise<Person> {
  const made = await setUpOnce(pool, now, workshop, lead, instruments);
  if (!made) throw new Error("there is a workshop already");
  return made;
}

const firstInput = z.object({
  id: ids.personId,
  workshopId: ids.workshopId,
  workshop: words(80),
  timeZone: words(60).refine(isTimeZone, { params: { code: "no-such-time-zone" } }),
  name: words(80),
  signIn: words(80),
  password: newPassword,
});

/** The first lead of a workshop that has nobody yet, as they enter themselves. */
export async function nameFirstLead(
  pool: Pool,
  now: Date,
  input: unknown,
  instruments: readonly NewInstrument[],
): Promise<Result<Person>> {
  const checked = checkInput(firstInput, input);
  if (!checked.ok) return checked;
  const { workshopId, workshop, timeZone, ...lead } = checked.value;
  if (isCommonPassword(lead.password, [lead.name, lead.signIn, workshop])) return refuse("too-common", ["password"]);
  const made = await setUpOnce(pool, now, { id: workshopId, name: workshop, timeZone }, lead, instruments);
  return made ? accept(made) : refuse("already-set-up", []);
}

export const nobodyYet = async (pool: Pool): Promise<boolean> => (await countPeople(pool)) === 0;

/** Null where somebody else was quicker. */
async function setUpOnce(
  pool: Pool,
  now: Date,
  workshop: { id: WorkshopId; name: string; timeZone: string },
  lead: FirstLead,
  instruments: readonly NewInstrument[],
): Promise<Person | null> {
  const passwordHash = await hashSecret(lead.password);
  return transaction(pool, async (db) => {
    await lockPeople(db);
    if ((await countPeople(db)) > 0) return null;
    await insertWorkshop(db, { ...workshop, at: now });
    await insertPerson(db, { ...lead, workshopId: workshop.id, passwordHash, role: "lead", at: now });
    for (const instrument of instruments) await insertInstrument(db, workshop.id, instrument);
    return {
      id: lead.id,
      workshopId: workshop.id,
      name: lead.name,
      role: "lead",
      timeZone: workshop.timeZone,
      preferences: {},
      signAsks: "shared",
      liftLimitKg: usualLiftLimitKg,
      readFirst: "numbers",
    };
  });
}

function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat("en", { timeZone: name });
    return true;
  } catch {
    return false;
  }
}
