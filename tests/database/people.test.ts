import { v7 } from "uuid";
import { describe, expect, test } from "vitest";
import { mustHold, type Result } from "~/core/quantity";
import { insertSession, sessionData } from "~/data/queries/sessions";
import { changePassword, changePin, endSessions, prefer, sessionName, switchPerson } from "~/operations/own-account";
import { addPerson, editPerson, letLeave } from "~/operations/people";
import { nameFirstLead } from "~/operations/set-up-workshop";
import { signIn } from "~/operations/sign-in";
import { freshWorks } from "./fixture";

const works = freshWorks();
const refusal = (result: Result<unknown>) =>
  result.ok ? "taken" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();

let count = 0;
const password = "a quiet gear runs long";
async function account(role: "technician" | "lead" | "reader", more: object = {}) {
  const id = v7();
  const signInName = `p${count++}`;
  const input = { id, name: `Person ${count}`, signIn: signInName, role, password, ...more };
  mustHold(await addPerson(works.as(), input));
  return { id, signIn: signInName };
}
const enter = (name: string, typed = password, address = "here", now = new Date()) =>
  signIn(works.pool, now, address, { signIn: name, password: typed });
const session = async (personId: string) => {
  const id = v7();
  const expires = new Date(Date.now() + 60_000);
  await insertSession(works.pool, { id, data: { personId }, personId, expires, now: new Date(), device: "" });
  return id;
};

describe("accounts", () => {
  test("only a lead opens one; a name to sign in by is nobody else's, a password is long", async () => {
    const input = { id: v7(), name: "N", signIn: "LEAD", role: "reader", password };
    for (const role of ["technician", "reader"] as const) {
      const other = works.as(await works.addPerson(role));
      expect(refusal(await addPerson(other, input))).toBe("role");
      expect(refusal(await editPerson(other, { ...input, id: works.lead.id }))).toBe("role");
      expect(refusal(await letLeave(other, { id: works.lead.id, left: true }))).toBe("role");
    }
    expect(refusal(await addPerson(works.as(), input))).toBe("sign-in-taken signIn");
    expect(refusal(await addPerson(works.as(), { ...input, signIn: "n", password: "short" }))).toBe("empty password");
    expect(refusal(await addPerson(works.as(), { ...input, signIn: "n", role: "owner" }))).toBe("not-understood role");
  });

  test("the last lead stays a lead and stays, even where two leave at once", async () => {
    const second = await account("lead");
    const leave = (id: string) => letLeave(works.as(), { id, left: true });
    const both = await Promise.all([leave(works.lead.id), leave(second.id)]);
    expect(both.map(refusal).sort()).toEqual(["last-lead id", "taken"]);
    const [gone, here] = both[0]?.ok ? [works.lead.id, second.id] : [second.id, works.lead.id];
    const edit = { id: here, name: "Lead", signIn: here === second.id ? second.signIn : "lead", role: "reader" };
    expect(refusal(await editPerson(works.as(), edit))).toBe("last-lead role");
    mustHold(await letLeave(works.as(), { id: gone, left: false }));
  });

  test("who has left has no way in, and every session of theirs has ended", async () => {
    const person = await account("technician");
    const open = await session(person.id);
    mustHold(await letLeave(works.as(), { id: person.id, left: true }));
    expect(await sessionData(works.pool, open, new Date())).toBeNull();
    expect(refusal(await enter(person.signIn))).toBe("wrong-sign-in password");
    mustHold(await letLeave(works.as(), { id: person.id, left: false }));
    expect((await enter(person.signIn)).ok).toBe(true);
  });

  test("a workshop that has somebody asks for no first lead again", async () => {
    const input = {
      id: v7(),
      workshopId: v7(),
      workshop: "W",
      timeZone: "Europe/London",
      name: "N",
      signIn: "n",
      password,
    };
    expect(refusal(await nameFirstLead(works.pool, new Date(), input, []))).toBe("already-set-up");
    const nowhere = { ...input, timeZone: "Europe/Nowhere" };
    expect(refusal(await nameFirstLead(works.pool, new Date(), nowhere, []))).toBe("no-such-time-zone timeZone");
  });
});

describe("one's own account", () => {
  test("a password is changed by the present one, and every other session ends", async () => {
    const { id, signIn: name } = await account("technician");
    const person = { ...works.lead, id, role: "technician" as const };
    const [here, there] = [await session(id), await session(id)];
    const change = (present: string, next = "another quiet gear") =>
      changePassword(works.as(person), here, { present, password: next });
    expect(refusal(await change("not it"))).toBe("wrong-password present");
    expect(refusal(await change(password, "short"))).toBe("empty password");
    mustHold(await change(password));
    expect(refusal(await enter(name))).toBe("wrong-sign-in password");
    expect((await enter(name, "another quiet gear")).ok).toBe(true);
    expect(await sessionData(works.pool, here, new Date())).not.toBeNull();
    expect(await sessionData(works.pool, there, new Date())).toBeNull();
  });

  test("a PIN hands the tablet over within the workshop; five wrong ones are enough", async () => {
    const { id } = await account("technician");
    const person = { ...works.lead, id, role: "technician" as const };
    const set = (pin: string) => changePin(works.as(person), { present: password, pin });
    for (const pin of ["123", "abcd", "123456789"]) expect(refusal(await set(pin))).toBe("not-a-pin pin");
    const take = (pin: string, by = works.lead) => switchPerson(works.as(by), { id, pin });
    expect(refusal(await take("1234"))).toBe("wrong-pin pin");
    mustHold(await set("1234"));
    expect(mustHold(await take("1234")).id).toBe(id);
    expect(refusal(await take("1234", { ...works.lead, workshopId: v7() }))).toBe("wrong-pin pin");
    for (let i = 0; i < 4; i++) await take("9999");
    expect(refusal(await take("1234"))).toBe("too-many-tries");
    mustHold(await set(""));
  });

  test("sessions are ended one by one or all but this one; nobody else's by its name", async () => {
    const { id } = await account("reader");
    const person = { ...works.lead, id, role: "reader" as const };
    const ids = [`${v7()}`, "b", "c"].map((_, i) => `session-${i}-${id}`);
    const expires = new Date(Date.now() + 60_000);
    for (const own of ids)
      await insertSession(works.pool, { id: own, data: {}, personId: id, expires, now: new Date(), device: "" });
    const [here = ""] = ids;
    const strange = await session(works.lead.id);
    expect(refusal(await endSessions(works.as(person), here, { session: sessionName(strange) }))).toBe(
      "no-such-session session",
    );
    mustHold(await endSessions(works.as(person), here, { session: "others" }));
    const left = await Promise.all([...ids, strange].map((one) => sessionData(works.pool, one, new Date())));
    expect(left.map((found) => found !== null)).toEqual([true, false, false, true]);
  });

  test("what one prefers is one of a few", async () => {
    expect(mustHold(await prefer(works.as(), { decimal: "comma" }))).toMatchObject({
      decimal: "comma",
      units: "machine",
      room: "bright",
    });
    expect(mustHold(await prefer(works.as(), { units: "inch" }))).toMatchObject({ decimal: "point", units: "inch" });
    expect(refusal(await prefer(works.as(), { units: "cubits" }))).toBe("not-understood units");
    expect(refusal(await prefer(works.as(), { room: "green" }))).toBe("not-understood room");
    mustHold(await prefer(works.as(), {}));
  });
});

test("a thousand attempts to sign in: a few are tried, the rest refused at once, and it is over a quarter of an hour later", async () => {
  const { signIn: name } = await account("technician");
  const answers: Result<unknown>[] = [];
  for (let wave = 0; wave < 20; wave++)
    answers.push(...(await Promise.all(Array.from({ length: 50 }, () => enter(name, "guess guess guess", "there")))));
  const tally = (code: string) => answers.filter((answer) => refusal(answer).startsWith(code)).length;
  expect(tally("wrong-sign-in")).toBe(8);
  expect(tally("too-many-tries")).toBe(992);
  expect(refusal(await enter(name, password, "there"))).toBe("too-many-tries");
  // From another place the same person still gets in.
  expect((await enter(name, password, "elsewhere")).ok).toBe(true);
  expect((await enter(name, password, "there", new Date(Date.now() + 16 * 60_000))).ok).toBe(true);
});
