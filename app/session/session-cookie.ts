import { createHash, randomBytes } from "node:crypto";
import { createCookie } from "react-router";

/** Behind TLS the cookies belong to this host alone and never travel in the clear. */
const secure = process.env.SECURE_COOKIES === "1" || (process.env.PUBLIC_URL ?? "").startsWith("https://");
const named = (name: string): string => (secure ? `__Host-${name}` : name);

const secrets = [process.env.SESSION_SECRET ?? randomBytes(32).toString("hex")];
const common = { httpOnly: true, sameSite: "lax", path: "/", secure, secrets } as const;

/** Holds the random id of a session. */
const sessionCookie = createCookie(named("harmostat"), common);
/** Holds a random number that this browser keeps, by which one that has signed somebody in before is known. */
const deviceCookie = createCookie(named("harmostat-device"), { ...common, maxAge: 60 * 60 * 24 * 400 });

export async function sessionIdIn(header: string | null): Promise<string | null> {
  const id: unknown = header ? await sessionCookie.parse(header) : null;
  return typeof id === "string" && id !== "" ? id : null;
}

export const sessionSetting = (id: string, expires: Date): Promise<string> => sessionCookie.serialize(id, { expires });
export const sessionClearing = (): Promise<string> => sessionCookie.serialize("", { expires: new Date(0) });

/** What the database knows a browser by: nobody who reads it there can pass for that browser. */
export async function deviceIdIn(header: string | null): Promise<Buffer | null> {
  const kept: unknown = header ? await deviceCookie.parse(header) : null;
  return typeof kept === "string" && kept !== "" ? idOf(kept) : null;
}

const idOf = (kept: string): Buffer => createHash("sha256").update(kept).digest();

/** A number for a browser that has none yet. */
export async function newDevice(): Promise<{ id: Buffer; setting: string }> {
  const kept = randomBytes(24).toString("base64url");
  return { id: idOf(kept), setting: await deviceCookie.serialize(kept) };
}

export const newSessionId = (): string => randomBytes(24).toString("base64url");
