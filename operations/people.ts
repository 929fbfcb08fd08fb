import { v7 } from "uuid";
import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import { readFirsts } from "../core/records/person";
import { transaction } from "../data/postgres";
import { takeBackFrom } from "../data/queries/assignments";
import {
  type Account,
  insertAccountEvent,
  insertPerson,
  lockAccounts,
  setHouseRules,
  setLeft,
  setPassword,
  signInTaken,
  strikeName,
  updateAccount,
} from "../data/queries/people";
import { deleteSessionsOf } from "../data/queries/sessions";
import { type Context, checkRole, checkStrong } from "./context";
import { checkInput, id, words } from "./input";
import { hashSecret, isCommonPassword } from "./secrets";

export const roles = ["technician", "lead", "reader"] as const;

/** Twelve characters or more; a sentence is easier to keep in mind than a riddle (NIST SP 800-63B wants no more than length). */
export const newPassword = z.string().min(12).max(200);
export const accountFields = z.object({ name: words(80), signIn: words(80), role: z.enum(roles) });

const addInput = accountFields.extend({ id, password: newPassword });

/** Add a person. Only leads may. */
export async function addPerson(context: Context, input: unknown): Promise<Result<{ id: string }>> {
  const { pool, person, now } = context;
  const allowed = mayKeepAccounts(context);
  if (!allowed.ok) return allowed;
  const checked = checkInput(addInput, input);
  if (!checked.ok) return checked;
  const { password, ...fields } = checked.value;
  if (isCommonPassword(password, [fields.name, fields.signIn])) return refuse("too-common", ["password"]);
  const passwordHash = await hashSecret(password);
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const all = await lockAccounts(db, person.workshopId);
    if (all.some((account) => account.id === fields.id)) return accept({ id: fields.id });
    if (await signInTaken(db, fields.signIn, fields.id)) return refuse("sign-in-taken", ["signIn"]);
    await insertPerson(db, { ...fields, workshopId: person.workshopId, passwordHash, at: now });
    return accept({ id: fields.id });
  });
}

const editInput = accountFields.extend({ id, password: z.union([z.literal(""), newPassword]).default("") });

/** Name, sign-in name and role of an account, and a new password where one is given: that ends its sessions. Only leads may. */
export async function editPerson(context: Context, input: unknown): Promise<Result<{ id: string }>> {
  const { pool, person } = context;
  const allowed = mayKeepAccounts(context);
  if (!allowed.ok) return allowed;
  const checked = checkInput(editInput, input);
  if (!checked.ok) return checked;
  const { password, ...fields } = checked.value;
  if (password !== "" && isCommonPassword(password, [fields.name, fields.signIn]))
    return refuse("too-common", ["password"]);
  const passwordHash = password === "" ? null : await hashSecret(password);
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const all = await lockAccounts(db, person.workshopId);
    const before = all.find((account) => account.id === fields.id);
    if (!before) return refuse("no-such-person", ["id"]);
    if (before.struckAt) return refuse("struck", ["id"]);
    if (await signInTaken(db, fields.signIn, fields.id)) return refuse("sign-in-taken", ["signIn"]);
    if (before.role === "lead" && fields.role !== "lead" && isLastLead(all, before))
      return refuse("last-lead", ["role"]);
    await updateAccount(db, fields.id, fields);
    if (passwordHash) await setPassword(db, fields.id, passwordHash);
    if (passwordHash) await deleteSessionsOf(db, fields.id, null);
    return accept({ id: fields.id });
  });
}

const leaveInput = z.object({ id, left: z.boolean() });

/** Closes an account or opens it again. What its owner wrote stays under the name; every session of it ends. Only leads may. */
export async function letLeave(context: Context, input: unknown): Promise<Result<{ id: string }>> {
  const { pool, person, now } = context;
  const allowed = mayKeepAccounts(context);
  if (!allowed.ok) return allowed;
  const checked = checkInput(leaveInput, input);
  if (!checked.ok) return checked;
  const { id: whom, left } = checked.value;
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const all = await lockAccounts(db, person.workshopId);
    const before = all.find((account) => account.id === whom);
    if (!before) return refuse("no-such-person", ["id"]);
    if (before.struckAt) return refuse("struck", ["id"]);
    if (left && isLastLead(all, before)) return refuse("last-lead", ["id"]);
    await setLeft(db, whom, left ? now : null);
    if (left) {
      await deleteSessionsOf(db, whom, null);
      await takeBackFrom(db, whom);
    }
    return accept({ id: whom });
  });
}

/** Only leads, and not on the strength of a PIN. */
function mayKeepAccounts(context: Context): Result<true> {
  const allowed = checkRole(context.person, ["lead"]);
  return allowed.ok ? checkStrong(context) : allowed;
}

const rulesInput = z.object({
  signAsks: z.enum(["always", "shared", "never"]),
  liftLimitKg: z.number().gt(0).lte(1000),
  readFirst: z.enum(readFirsts).default("numbers"),
});

/** When signing asks for the PIN or password of who signs, above what two people lift, and how a stage is read first. Only leads may. */
export async function setRules(context: Context, input: unknown): Promise<Result<true>> {
  const allowed = mayKeepAccounts(context);
  if (!allowed.ok) return allowed;
  const checked = checkInput(rulesInput, input);
  if (!checked.ok) return checked;
  await setHouseRules(context.pool, context.person.workshopId, checked.value);
  return accept(true);
}

const strikeInput = z.object({ id });

/**
 * Strikes the name of somebody who has left from the accounts, with everything that was kept for their signing in. What they did and signed
 * stays as it was signed, under the name that stands in the entries. Only leads may.
 */
export async function strikePerson(context: Context, input: unknown): Promise<Result<{ id: string }>> {
  const { pool, person, now } = context;
  const allowed = mayKeepAccounts(context);
  if (!allowed.ok) return allowed;
  const checked = checkInput(strikeInput, input);
  if (!checked.ok) return checked;
  const { id: whom } = checked.value;
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const before = (await lockAccounts(db, person.workshopId)).find((account) => account.id === whom);
    if (!before) return refuse("no-such-person", ["id"]);
    if (before.leftAt === null) return refuse("still-here", ["id"]);
    if (before.struckAt) return accept({ id: whom });
    await strikeName(db, whom, "Struck from the accounts", `struck ${whom}`, now);
    await insertAccountEvent(db, { id: v7(), personId: whom, what: "struck", madeBy: person.id, at: now });
    return accept({ id: whom });
  });
}

/** Without a lead nobody could make one. */
const isLastLead = (all: readonly Account[], account: Account): boolean =>
  account.role === "lead" &&
  account.leftAt === null &&
  !all.some((other) => other.id !== account.id && other.role === "lead" && other.leftAt === null);
