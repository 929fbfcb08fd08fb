import { readFileSync } from "node:fs";
import { lead } from "../../demo/works";
import { personHeader, personOf } from "../lib/as-person";

/** A signed-in visitor of a running app, without a browser. */
export type Visitor = {
  get: (path: string) => Promise<string>;
  post: (path: string, body: object) => Promise<unknown>;
  cookie: string;
};

export async function visitor(base: string): Promise<Visitor> {
  const form = new URLSearchParams({ signIn: lead.signIn, password: lead.password });
  const headers = { Origin: base };
  const signedIn = await fetch(`${base}/sign-in`, { method: "POST", body: form, redirect: "manual", headers });
  const cookie = signedIn.headers
    .getSetCookie()
    .map((c) => c.split(";")[0])
    .join("; ");
  // Every write says whose it is.
  const personId = await personOf(base, cookie);
  const answered = async (path: string, init: RequestInit = {}) => {
    const response = await fetch(base + path, {
      ...init,
      headers: { ...headers, cookie, [personHeader]: personId, ...init.headers },
    });
    if (!response.ok) throw new Error(`${path} answered ${response.status}: ${(await response.text()).slice(0, 200)}`);
    return response.text();
  };
  return {
    cookie,
    get: (path) => answered(path),
    post: async (path, body) =>
      JSON.parse(
        await answered(path, {
          method: "POST",
          body: JSON.stringify(body),
          headers: { "Content-Type": "application/json" },
        }),
      ),
  };
}

/** User and system time of a process in clock ticks of 10 ms (proc(5), fields 14 and 15). */
export function cpuTicks(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1]?.split(" ") ?? [];
  return Number(fields[11]) + Number(fields[12]);
}
