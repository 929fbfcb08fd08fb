import { v7 } from "uuid";
import { describe, expect, test } from "vitest";
import { mustHold, type Result } from "~/core/quantity";
import { isKnownDevice, noteDevice } from "~/data/queries/devices";
import { entriesOfJob } from "~/data/queries/entries";
import { accountsOfWorkshop } from "~/data/queries/people";
import { insertSession, openSession } from "~/data/queries/sessions";
import { countersignJob } from "~/operations/countersign-job";
import { exportPerson } from "~/operations/export-person";
import { changePassword, changePin, endSessions, prefer, sessionName, switchPerson } from "~/operations/own-account";
import { addPerson, editPerson, letLeave, strikePerson } from "~/operations/people";
import { recordEntry } from "~/operations/record-entry";
import { nameFirstLead } from "~/operations/set-up-workshop";
import { signIn } from "~/operations/sign-in";
import { signJob } from "~/operations/sign-job";
import type { PersonId, WorkshopId } from "../../core/records";
import { freshWorks } from "./fixture";

const works = freshWorks();
const refusal = (result: Result<unknown>) =>
  result.ok ? "taken" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();

let count = 0;
const password = "a quiet gear runs long";
async function account(role: "technician" | "lead" | "reader", more: object = {}) {
  const id = v7() as PersonId;
  const signInName = `p${count++}`;
  const input = { id, name: `Person ${count}`, signIn: signInName, role, password, ...more };
  mustHold(await addPerson(works.as(), input));
  return { id, signIn: signInName };
}
const enter = (name: string, typed = password, address = "here", deviceId: Buffer | null = null) =>
  signIn(works.pool, { address, deviceId }, { signIn: name, password: typed });
const session = async (personId: string) => {
  const id = v7();
  const expires = new Date(Date.now() + 60_000);
  await insertSession(works.pool, {
    id,
    personId,
    how: "password",
    expires,
    now: new Date(),
    device: "",
    deviceId: null,
  });
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
    expect(await openSession(works.pool, open, new Date())).toBeNull();
    expect(refusal(await enter(person.signIn))).toBe("wrong-sign-in password");
    mustHold(await letLeave(works.as(), { id: person.id, left: false }));
    expect((await enter(person.signIn)).ok).toBe(true);
  });

  test("a workshop that has somebody asks for no first lead again", async () => {
    const input = {
      id: v7(),
      workshopId: v7() as WorkshopId,
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
    expect(await openSession(works.pool, here, new Date())).not.toBeNull();
    expect(await openSession(works.pool, there, new Date())).toBeNull();
  });

  test("a PIN hands the tablet over within the workshop; ten wrong ones in all lock it until the password is used", async () => {
    const { id, signIn: name } = await account("technician");
    const person = { ...works.lead, id, role: "technician" as const };
    const set = (pin: string) => changePin(works.as(person), { present: password, pin });
    for (const pin of ["123", "abcd", "123456789"]) expect(refusal(await set(pin))).toBe("not-a-pin pin");
    for (const pin of ["0000", "1234", "4321", "7878", "2004", "565656", "112233"])
      expect(refusal(await set(pin))).toBe("too-common pin");
    const take = (pin: string, by = works.lead) => switchPerson(works.as(by), null, { id, pin });
    expect(refusal(await take("1593"))).toBe("wrong-pin pin");
    mustHold(await set("1593"));
    expect(mustHold(await take("1593")).id).toBe(id);
    expect(refusal(await take("1593", { ...works.lead, workshopId: v7() as WorkshopId }))).toBe("wrong-pin pin");
    const many = await Promise.all(Array.from({ length: 14 }, () => take("9998")));
    expect(many.map(refusal).filter((said) => said === "wrong-pin pin")).toHaveLength(10);
    expect(refusal(await take("1593"))).toBe("pin-locked pin");
    mustHold(await enter(name));
    expect((await take("1593")).ok).toBe(true);
    mustHold(await letLeave(works.as(), { id, left: true }));
    mustHold(await letLeave(works.as(), { id, left: false }));
    expect(refusal(await take("1593"))).toBe("wrong-pin pin");
  });

  test("sessions are ended one by one or all but this one; nobody else's by its name", async () => {
    const { id } = await account("reader");
    const person = { ...works.lead, id, role: "reader" as const };
    const ids = [`${v7()}`, "b", "c"].map((_, i) => `session-${i}-${id}`);
    const expires = new Date(Date.now() + 60_000);
    for (const own of ids)
      await insertSession(works.pool, {
        id: own,
        personId: id,
        how: "password",
        expires,
        now: new Date(),
        device: "",
        deviceId: null,
      });
    const [here = ""] = ids;
    const strange = await session(works.lead.id);
    expect(refusal(await endSessions(works.as(person), here, { session: sessionName(strange) }))).toBe(
      "no-such-session session",
    );
    mustHold(await endSessions(works.as(person), here, { session: "others" }));
    const left = await Promise.all([...ids, strange].map((one) => openSession(works.pool, one, new Date())));
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

test("in a session that a PIN began: no accounts, no new password, no countersignature without the password", async () => {
  const { id, signIn: name } = await account("lead");
  const person = { ...works.lead, id, name };
  const weak = { ...works.as(person), how: "pin" as const };
  const input = { id: v7(), name: "N", signIn: `n${id}`, role: "reader", password };
  expect(refusal(await addPerson(weak, input))).toBe("needs-password");
  expect(refusal(await letLeave(weak, { id: works.lead.id, left: true }))).toBe("needs-password");
  const change = { present: password, password: "another quiet gear" };
  expect(refusal(await changePassword(weak, "x", change))).toBe("needs-password");
  const job = await works.openJob();
  mustHold(await works.entry(job, works.round()));
  mustHold(await signJob(works.as(), await signatureOf(job)));
  const beside = { id: v7(), jobId: job, madeAt: new Date().toISOString() };
  expect(refusal(await countersignJob(weak, beside))).toBe("needs-password secret");
  expect(refusal(await countersignJob(weak, { ...beside, secret: "not it" }))).toBe("wrong-password secret");
  expect(mustHold(await countersignJob(weak, { ...beside, secret: password })).body).toMatchObject({
    provenBy: "password",
  });
  mustHold(await letLeave(works.as(), { id, left: true }));
});

const signatureOf = async (job: string) => ({
  kind: "signature",
  id: v7(),
  jobId: job,
  madeAt: new Date().toISOString(),
  saw: (await entriesOfJob(works.pool, job)).map((entry) => entry.id),
  stages: [{ stageId: works.stageId, provisional: [...allProvisional], nextDate: null }],
  comment: "",
});
const allProvisional = [
  "no-as-found",
  "not-inside",
  "no-check-round",
  "clamps-not-firm",
  "clamps-not-known",
  "no-compound",
  "not-proved",
];

test("signing asks for the PIN or password as the workshop has it; what was given is told, and kept nowhere", async () => {
  const { id } = await account("technician");
  const person = { ...works.lead, id, role: "technician" as const };
  mustHold(await changePin(works.as(person), { present: password, pin: "1593" }));
  const at = (how: "password" | "pin", shared: boolean, signAsks: "always" | "shared" | "never" = "shared") => ({
    ...works.as({ ...person, signAsks }),
    how,
    shared,
  });
  const job = await works.openJob();
  mustHold(await works.entry(job, works.round()));
  const signature = await signatureOf(job);
  for (const asked of [at("pin", false), at("password", true), at("password", false, "always")])
    expect(refusal(await signJob(asked, signature))).toBe("signature-unproven secret");
  expect(refusal(await signJob(at("password", true), { ...signature, secret: "1594" }))).toBe("wrong-pin secret");
  const signed = mustHold(await signJob(at("password", true), { ...signature, secret: "1593" }));
  expect(signed.body).toMatchObject({ provenBy: "pin" });
  expect(JSON.stringify(signed)).not.toContain(JSON.stringify("1593"));
  // Its answer got lost: the same again is the same, and has nothing more to prove.
  expect(mustHold(await signJob(at("pin", true), signature)).id).toBe(signed.id);
  const second = await works.openJob();
  mustHold(await works.entry(second, works.round()));
  expect((await signJob(at("pin", true, "never"), await signatureOf(second))).ok).toBe(true);
});

test("a password among the first that anybody would try is refused, however long", async () => {
  for (const common of ["passwordpassword", "123456789012", "qwertyuiopas", "aaaaaaaaaaaaaa"]) {
    const input = { id: v7(), name: "N", signIn: `c${common}`, role: "reader", password: common };
    expect(refusal(await addPerson(works.as(), input))).toBe("too-common password");
  }
});

test("a thousand attempts to sign in, in every spelling: a few are tried, the rest waits, and who is known here gets in all the same", async () => {
  const { id, signIn: name } = await account("technician");
  const device = Buffer.from(id);
  await noteDevice(works.pool, device, id, new Date());
  expect(await isKnownDevice(works.pool, device, works.lead.id)).toBe(false);
  const spelt = [name, name.toUpperCase(), ` ${name}`, `${name} `];
  const answers: Result<unknown>[] = [];
  for (let wave = 0; wave < 20; wave++)
    answers.push(
      ...(await Promise.all(
        Array.from({ length: 50 }, (_, i) =>
          enter(spelt[i % spelt.length] ?? name, "guess guess guess", `place ${wave}`),
        ),
      )),
    );
  const tally = (code: string) => answers.filter((answer) => refusal(answer).startsWith(code)).length;
  // Eight at once, then one for each wait that ran out meanwhile: 1, 2, 4 … seconds.
  expect(tally("wrong-sign-in")).toBeGreaterThanOrEqual(8);
  expect(tally("wrong-sign-in")).toBeLessThan(20);
  expect(tally("too-many-tries")).toBe(1000 - tally("wrong-sign-in"));
  // However fast the thousand were: the wait that stands has not run out.
  await works.pool.query("update attempt set expire = expire + 60000 where key like 'waits%'");
  const waits = await enter(name, password, "elsewhere");
  expect(waits).toMatchObject({
    ok: false,
    refusal: { code: "too-many-tries", facts: { seconds: expect.any(Number) } },
  });
  expect((await enter(name, password, "there", device)).ok).toBe(true);
  // Somebody else from the same places is not held up by it.
  const other = await account("technician");
  expect((await enter(other.signIn, password, "place 1")).ok).toBe(true);
  await works.pool.query("update attempt set expire = 0 where key like 'waits%'");
  expect((await enter(name, password, "elsewhere")).ok).toBe(true);
});

test("who signs in rightly, however often and with how many others from one place, is never made to wait", async () => {
  const { signIn: name } = await account("technician");
  for (let i = 0; i < 70; i++) expect(refusal(await enter(name, password, "one gateway"))).toBe("taken");
});

test("a name is struck from the accounts once its owner has left; what they signed keeps it", async () => {
  const { id } = await account("technician", { name: "Who Was Here" });
  const person = { ...works.lead, id, name: "Who Was Here", role: "technician" as const };
  const job = await works.openJob();
  const input = {
    id: v7(),
    jobId: job,
    stageId: works.stageId,
    madeAt: new Date().toISOString(),
    kind: "note",
    text: "x",
  };
  mustHold(await recordEntry(works.as(person), input));
  expect(refusal(await strikePerson(works.as(), { id }))).toBe("still-here id");
  mustHold(await letLeave(works.as(), { id, left: true }));
  mustHold(await strikePerson(works.as(), { id }));
  expect((await accountsOfWorkshop(works.pool, works.lead.workshopId)).find((one) => one.id === id)?.name).not.toMatch(
    /Who/,
  );
  expect((await entriesOfJob(works.pool, job)).at(-1)?.madeByName).toBe("Who Was Here");
  expect(refusal(await letLeave(works.as(), { id, left: false }))).toBe("struck id");
  let text = "";
  for await (const piece of mustHold(await exportPerson(works.as(), id))) text += piece;
  expect(JSON.parse(text)).toMatchObject({
    account: { id, events: [{ what: "struck" }, { what: "exported" }] },
    entries: [{ kind: "note" }],
  });
  expect(text).not.toMatch(/argon2/);
});
