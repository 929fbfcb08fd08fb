import { cpuTicks, type Visitor } from "./visitor";

export type Pages = Record<
  | "floor"
  | "machine"
  | "stage"
  | "job"
  | "job by its bare address"
  | "jobs"
  | "stores"
  | "plan"
  | "search for a word of every job"
  | "search for a rare word"
  | "search of a machine and a year",
  string
>;

const rounds = 30;
const batch = 10;

/** CPU time of the server for each page as a ratio to a bare page of the same server with one trivial query. */
export async function measurePages(title: string, { get }: Visitor, pid: number, pages: Pages): Promise<void> {
  const paths = { bare: "/status", ...pages };
  const names = Object.keys(paths) as (keyof typeof paths)[];
  for (let i = 0; i < 25; i++) for (const name of names) await get(paths[name]);
  // Turn about in small batches, so that what else the machine does falls on all alike.
  const ticks = Object.fromEntries(names.map((name) => [name, 0])) as Record<keyof typeof paths, number>;
  for (let round = 0; round < rounds; round++) {
    for (const name of names) {
      const before = cpuTicks(pid);
      for (let i = 0; i < batch; i++) await get(paths[name]);
      ticks[name] += cpuTicks(pid) - before;
    }
  }
  const ms = (name: keyof typeof paths) => (ticks[name] * 10) / (rounds * batch);
  for (const name of names.slice(1))
    console.log(
      `${title}, ${name} page, CPU time of the server: ${(ticks[name] / ticks.bare).toFixed(1)} times a bare page (${ms(name).toFixed(1)} ms to ${ms("bare").toFixed(1)} ms a request)`,
    );
}
