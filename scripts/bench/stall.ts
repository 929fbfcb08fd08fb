import sharp from "sharp";
import { v7 } from "uuid";
import type { Pool } from "../../data/postgres";
import { personHeader, personOf } from "../lib/as-person";
import type { Visitor } from "./visitor";

/** The longest pause of a ping while others ask for what is dear: a machine's paper, many photographs at once, a large sheet. */
export async function measureStall(base: string, { get, cookie }: Visitor, pool: Pool): Promise<void> {
  const person = await personOf(base, cookie);
  const headers = { Origin: base, cookie, [personHeader]: person };
  const { rows } = await pool.query("select machine_id as id from entry group by 1 order by count(*) desc limit 1");
  const machineId = rows[0].id;
  const picture = await sharp({
    create: {
      width: 5200,
      height: 3900,
      channels: 3,
      background: "#808080",
      noise: { type: "gaussian", mean: 120, sigma: 30 },
    },
  })
    .jpeg({ quality: 70 })
    .toBuffer();
  const upload = () => {
    const body = new FormData();
    body.set("id", v7());
    body.set("caption", "Burst");
    body.set("file", new Blob([new Uint8Array(picture)]), "a.jpg");
    return fetch(`${base}/machines/${machineId}/files`, { method: "POST", body, headers }).then(({ status }) => status);
  };
  const sheet = [
    "kind;name;nominal mm;count",
    ...Array.from({ length: 20_000 }, (_, i) => `shim;Bench shim ${i};${((i % 90) + 10) / 100};1`),
  ].join("\n");
  const idle = await longestPause(base, () => new Promise((later) => setTimeout(later, 2000)));
  const tell = async (what: string, work: () => Promise<string>) => {
    let said = "";
    const pause = await longestPause(base, async () => {
      said = await work();
    });
    console.log(
      `stall: the longest pause of a ping during ${what} is ${(pause / 1000).toFixed(2)} s, idle ${(idle / 1000).toFixed(2)} s${said}`,
    );
  };
  await tell("a machine's paper", async () => {
    await get(`/machines/${machineId}/record.pdf`);
    return "";
  });
  await tell("24 photographs at once", async () => {
    const statuses = await Promise.all(Array.from({ length: 24 }, upload));
    const count = (status: number) => statuses.filter((one) => one === status).length;
    return `; ${count(200)} kept, ${count(503) + count(429)} told to come again, ${24 - count(200) - count(503) - count(429)} else`;
  });
  await tell("a sheet of 20,000 lines looked at", async () => {
    const response = await fetch(`${base}/stores/sheets/stores`, {
      method: "POST",
      headers: { ...headers, "Content-Type": "text/csv" },
      body: sheet,
    });
    await response.text();
    return `; answered ${response.status}`;
  });
}

async function longestPause(base: string, work: () => Promise<unknown>): Promise<number> {
  let running = true;
  let longest = 0;
  const pinging = (async () => {
    while (running) {
      const began = performance.now();
      await fetch(`${base}/mark.svg`).then((response) => response.arrayBuffer());
      longest = Math.max(longest, performance.now() - began);
      await new Promise((later) => setTimeout(later, 10));
    }
  })();
  await work();
  running = false;
  await pinging;
  return longest;
}
