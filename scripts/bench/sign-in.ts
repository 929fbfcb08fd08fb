import { lead } from "../../demo/works";
import { cpuTicks, type Visitor } from "./visitor";

const times = 30;

/** CPU time of the server for a sign-in, most of it the hash that is meant to be dear, as a ratio to a bare page. */
export async function measureSignIn(base: string, { get }: Visitor, pid: number): Promise<void> {
  const spent = async (work: () => Promise<unknown>) => {
    const before = cpuTicks(pid);
    for (let i = 0; i < times; i++) await work();
    return (cpuTicks(pid) - before) / times;
  };
  const bare = await spent(() => get("/status"));
  const body = () => new URLSearchParams({ signIn: lead.signIn, password: lead.password });
  const signIn = await spent(() =>
    fetch(`${base}/sign-in`, { method: "POST", body: body(), redirect: "manual", headers: { Origin: base } }),
  );
  console.log(
    `sign-in, CPU time of the server: ${(signIn / bare).toFixed(1)} times a bare page (Argon2id, 19 MiB, two passes)`,
  );
}
