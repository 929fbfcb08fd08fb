import { v7 } from "uuid";
import { usualInstruments } from "../../core/practice";
import { accept, type Result, refuse } from "../../core/quantity";
import type { InstrumentId, Person } from "../../core/records";
import { transaction } from "../../data/postgres";
import { insertInstrument } from "../../data/queries/instruments";
import { insertPracticeBook, likeSelf, lockPerson, practisingSelf, selfBehind } from "../../data/queries/practice";
import { setSessionPerson } from "../../data/queries/sessions";
import type { Context } from "../context";

/**
 * Somebody's other self, in a practice workshop of their own that is made the first time, under a name that says so: whatever is written there can
 * never be among what is real. Everybody may practise, whatever their role is.
 */
export async function practisingAs({ pool, person, now }: Context): Promise<Person> {
  if (person.practising) return person;
  const name = `${person.name.slice(0, 66)}, practising`;
  return transaction(pool, async (db) => {
    // Two tabs make one book.
    await lockPerson(db, person.id);
    const known = await practisingSelf(db, person.id);
    if (!known) {
      const [workshopId, personId] = [v7(), v7()];
      const { timeZone, liftLimitKg } = person;
      await insertPracticeBook(db, { workshopId, personId, of: person.id, name, timeZone, liftLimitKg, at: now });
      for (const { key: _key, ...instrument } of usualInstruments)
        await insertInstrument(db, workshopId, { ...instrument, id: v7() as InstrumentId });
    }
    const self = known ?? (await practisingSelf(db, person.id));
    if (!self) throw new Error(`no practising self of ${person.id}`);
    // The simulated instruments show metric figures.
    const preferences = { ...person.preferences, units: "metric" as const };
    await likeSelf(db, self.id, { name, preferences });
    return { ...self, name, preferences };
  });
}

/** The session goes on as who practises. */
export const enterPractice = ({ pool }: Context, sessionId: string, self: Person): Promise<void> =>
  setSessionPerson(pool, sessionId, self.id);

/** Back to what is real. */
export async function leavePractice({ pool, person }: Context, sessionId: string): Promise<Result<true>> {
  if (!person.practising) return refuse("not-practising", []);
  const self = await selfBehind(pool, person.id);
  if (!self) return refuse("not-practising", []);
  await setSessionPerson(pool, sessionId, self);
  return accept(true);
}
