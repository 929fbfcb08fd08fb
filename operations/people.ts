import { z } from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import {
  type Account,
  insertPerson,
  lockAccounts,
  setLeft,
  setPassword,
  signInTaken,
  updateAccount,
} from "../data/queries/people";
import { deleteSessionsOf } from "../data/queries/sessions";
import { type Context, checkRole } from "./context";
import { checkInput, id, words } from "./input";
import { hashPassword } from "./sign-in";

export const roles = ["technician", "lead", "reader"] as const;

/** Twelve characters or more; a sentence is easier to keep in mind than a riddle (NIST SP 800-63B wants no more than length). */
export const newPassword = z.string().min(12).max(200);
export const accountFields = z.object({ name: words(80), signIn: words(80), role: z.enum(roles) });

const addInput = accountFields.extend({ id, password: newPassword });

/** An account more. Only leads may. */
export async function addPerson({ pool, person, now }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(addInput, input);
  if (!checked.ok) return checked;
  const { password, ...fields } = checked.value;
  const passwordHash = await hashPassword(password);
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
export async function editPerson({ pool, person }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(editInput, input);
  if (!checked.ok) return checked;
  const { password, ...fields } = checked.value;
  const passwordHash = password === "" ? null : await hashPassword(password);
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const all = await lockAccounts(db, person.workshopId);
    const before = all.find((account) => account.id === fields.id);
    if (!before) return refuse("no-such-person", ["id"]);
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
export async function letLeave({ pool, person, now }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(leaveInput, input);
  if (!checked.ok) return checked;
  const { id: whom, left } = checked.value;
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const all = await lockAccounts(db, person.workshopId);
    const before = all.find((account) => account.id === whom);
    if (!before) return refuse("no-such-person", ["id"]);
    if (left && isLastLead(all, before)) return refuse("last-lead", ["id"]);
    await setLeft(db, whom, left ? now : null);
    if (left) await deleteSessionsOf(db, whom, null);
    return accept({ id: whom });
  });
}

/** Without a lead nobody could make one. */
const isLastLead = (all: readonly Account[], account: Account): boolean =>
  account.role === "lead" &&
  account.leftAt === null &&
  !all.some((other) => other.id !== account.id && other.role === "lead" && other.leftAt === null);
