import { v7 } from "uuid";
import { seededRandom } from "../../core/practice";
import type { Pool } from "../../data/postgres";
import { lastSeal } from "../../data/queries/seals";
import { sealNow } from "../../operations/seal";
import { verifyExport } from "../../operations/verify-export";
import { sealKey } from "../lib/seal-key-file";
import { tamperCases, unseenTampering } from "../lib/tamper";
import type { Visitor } from "./visitor";

const changes = 500;

/** What of the kinds of tampering with the database is found by its seals, and of changes to an exported file by its signature. */
export async function measureTamper({ get, post }: Visitor, pool: Pool, keyFile: string): Promise<void> {
  const key = sealKey(keyFile);
  const { rows } = await pool.query(
    `select m.id, (select s.id from stage s where s.machine_id = m.id and s.retired_at is null limit 1) as "stageId"
     from machine m where exists (select 1 from attachment a join entry e on e.id = a.entry_id where e.machine_id = m.id)
     order by m.name limit 2`,
  );
  const [machine, other] = rows;
  await pool.query(
    `insert into certificate select gen_random_uuid(), i.id, 'Bench', sha256('certificate'), 'certificate', p.id, now()
     from instrument i, person p limit 1`,
  );
  await sealNow(pool, key, new Date());
  // Something that only the last seal covers.
  const job = { id: v7(), entryId: v7(), machineId: machine.id, stageIds: [machine.stageId], reason: "To be sealed" };
  await post("/jobs/open", { ...job, madeAt: new Date().toISOString() });
  await sealNow(pool, key, new Date());
  const last = await lastSeal(pool);
  const known = { number: last?.number ?? 0, hash: last?.hash.toString("hex") ?? "" };
  const cases = tamperCases(machine.id, other.id);
  const unseen = await unseenTampering(pool, key.publicKey, known, cases);
  console.log(
    `tamper: ${cases.length - unseen.length} of ${cases.length} kinds of change in the database found${unseen.map((line) => `\n  ${line}`).join("")}`,
  );
  const { rows: jobs } = await pool.query("select id from job where signed_entry is not null limit 1");
  const random = seededRandom(3);
  // Both before the long look at one: a connection that stands idle meanwhile is closed by the server.
  const paths = [`/machines/${machine.id}/record.json`, `/jobs/${jobs[0].id}/record.json`];
  const records = [];
  for (const path of paths) records.push({ path, text: await get(path) });
  for (const { path, text } of records) {
    let found = 0;
    for (let i = 0; i < changes; i++) if (verifyExport(changed(text, random), key.publicKey).breaks) found++;
    console.log(
      `tamper: ${found} of ${changes} bytes flipped, cut, added or doubled found in the record of a ${path.split("/")[1]?.slice(0, -1)}; untouched it is ${verifyExport(text, key.publicKey).breaks ? "BROKEN" : "whole"}`,
    );
  }
}

function changed(text: string, random: () => number): string {
  const at = Math.floor(random() * text.length);
  const other = String.fromCharCode(((text.charCodeAt(at) - 31 + Math.floor(random() * 90)) % 94) + 32);
  switch (Math.floor(random() * 4)) {
    case 0:
      return text.slice(0, at) + (other === text[at] ? "~" : other) + text.slice(at + 1);
    case 1:
      return text.slice(0, at) + text.slice(at + 1 + Math.floor(random() * 60));
    case 2:
      return text.slice(0, at) + other + text.slice(at);
    default:
      return text.slice(0, at) + text.slice(at, at + 200) + text.slice(at);
  }
}
