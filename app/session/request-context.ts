import { createContext } from "react-router";
import type { Pool } from "~/data/postgres";
import type { Person } from "~/data/queries/people";

/** What the server hands to every request; who asks is looked up when first wanted. */
export const poolContext = createContext<Pool>();
/** From where a request comes, for limiting what is tried from one place. */
export const addressContext = createContext<string>("");
export const nonceContext = createContext<string | undefined>(undefined);
export const personContext = createContext<() => Promise<Person | null>>();
