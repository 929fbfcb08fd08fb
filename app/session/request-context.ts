import { createContext } from "react-router";
import type { Printer } from "~/app/background/printer.server";
import type { Pool } from "~/data/postgres";
import type { SealKey } from "~/operations/seal";
import type { SessionState } from "./session-state";

/** What the server hands to every request; who asks is looked up when first wanted. */
export const poolContext = createContext<Pool>();
/** From where a request comes, for limiting what is tried from one place. */
export const addressContext = createContext<string>("");
export const nonceContext = createContext<string | undefined>(undefined);
/** Whose session a request came with. */
export const sessionContext = createContext<() => Promise<SessionState>>();
/** What seals and exports are signed with. */
export const sealContext = createContext<SealKey>();
/** Asks for a seal soon, as after a signature. */
export const sealSoonContext = createContext<() => void>(() => {});
/** The address by which people reach the app. */
export const originContext = createContext<string>("");
/** When the last backup was made that was found good. */
export const backupContext = createContext<() => string | null>(() => null);
/** Makes papers beside the server. */
export const printerContext = createContext<Printer>();
