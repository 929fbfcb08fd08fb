import { generateKeyPairSync } from "node:crypto";
import { v7 } from "uuid";
import { expect, test } from "vitest";
import { mustHold } from "~/core/quantity";
import { transaction } from "~/data/postgres";
import { allMachines } from "~/data/queries/machines";
import { addMachine } from "~/operations/add-machine";
import { attachFile } from "~/operations/attach-file";
import { keepCertificate } from "~/operations/instruments";
import { openPoint } from "~/operations/open-point";
import { sealKeyOf, sealNow } from "~/operations/seal";
import { signJob } from "~/operations/sign-job";
import { keepItem } from "~/operations/stores";
import { verifyChain } from "~/operations/verify-chain";
import { type KnownSeal, verifySeals } from "~/operations/verify-seals";
import { freshWorks, machine, testKey } from "./fixture";

const works = freshWorks();
const seal = () => sealNow(works.pool, testKey, new Date());
const now = () => new Date().toISOString();

/** One snapshot, as the command reads it. */
const reads = <T>(read: Parameters<typeof transaction<T>>[1]) =>
  transaction(works.pool, async (db) => {
    await db.query("set transaction isolation level repeatable read");
    return read(db);
  });
const problems = async (known: KnownSeal | null = null) => {
  const report = await reads((db) => verifySeals(db, testKey.publicKey, known));
  return report.problems.map(({ why }) => why);
};
const chainsWhole = async () =>
  reads(async (db) => {
    const all = await allMachines(db);
    return Promise.all(all.map((one) => verifyChain(db, one))).then((found) => found.every(({ breaks }) => !breaks));
  });

/** What somebody with the owner's rights can do, and how it was before. */
async function tampered(change: readonly string[], look: () => Promise<void>): Promise<void> {
  const client = await works.pool.connect();
  try {
    await client.query("begin");
    await client.query("set local session_replication_role = replica");
    for (const statement of change) {
      const { rowCount } = await client.query(statement);
      expect(rowCount, statement).toBeGreaterThan(0);
    }
    await client.query("commit");
    await look();
  } finally {
    client.release();
  }
}

test("what is sealed is found changed, however it was changed; the machines' chains alone do not see it", async () => {
  const other = v7();
  mustHold(
    await addMachine(works.as(), {
      ...machine({ ...works, machineId: other, stageId: v7() }),
      name: "Other",
      tag: "O-1",
    }),
  );
  const job = await works.openJob();
  mustHold(await works.entry(job, works.round()));
  const point = { id: v7(), machineId: works.machineId, stageId: null, text: "Look at the seal", madeAt: now() };
  mustHold(await openPoint(works.as(), point));
  const picture = { id: v7(), machineId: works.machineId, stageId: null, name: "a.txt", caption: "", madeAt: now() };
  mustHold(await attachFile(works.as(), picture, Buffer.from("Oil at the flange")));
  const item = {
    kind: "shim",
    name: "Shim 0.1",
    nominalMm: 0.1,
    measuredMm: null,
    figures: {},
    count: 4,
    place: "",
    price: null,
  };
  mustHold(await keepItem(works.as(), { ...item, id: v7(), movementId: v7(), gone: false }));
  const certificate = { id: v7(), instrumentId: works.instrumentId, name: "2026.pdf" };
  mustHold(await keepCertificate(works.as(), certificate, Buffer.from("%PDF-1.7\n%%EOF")));
  const signature = {
    id: v7(),
    kind: "signature",
    jobId: job,
    madeAt: now(),
    saw: (await works.pool.query("select id from entry where job_id = $1", [job])).rows.map(({ id }) => id),
    stages: [
      {
        stageId: works.stageId,
        provisional: [
          "not-inside",
          "no-check-round",
          "clamps-not-firm",
          "clamps-not-known",
          "no-compound",
          "not-proved",
        ],
        nextDate: null,
      },
    ],
    comment: "",
  };
  mustHold(await signJob(works.as(), signature));
  expect(await problems()).toEqual([]);
  const first = await seal();
  expect(first?.number).toBe(1);
  expect(await seal()).toBeNull();
  expect(await problems()).toEqual([]);
  mustHold(await works.entry(await works.openJob(), { kind: "note", text: "later" }));
  const second = await seal();
  const last = { number: second?.number ?? 0, hash: second?.hash.toString("hex") ?? "" };
  expect(await problems(last)).toEqual([]);

  const head = "(select hash from entry e where e.machine_id = m.id order by seq desc limit 1)";
  const cases: [string, string, string[], string[]][] = [
    [
      "the end cut, with the head set back",
      "head-not-sealed-one",
      [
        `delete from entry where machine_id = '${works.machineId}' and seq = (select max(seq) from entry where machine_id = '${works.machineId}')`,
        `update machine m set entry_count = entry_count - 1, head_hash = ${head} where id = '${works.machineId}'`,
      ],
      ["entry", "machine"],
    ],
    [
      "a machine emptied",
      "head-not-sealed-one",
      [
        `delete from entry where machine_id = '${other}'`,
        `update machine set entry_count = 0, head_hash = sha256(convert_to('{"machine":"${other}"}', 'UTF8')) where id = '${other}'`,
      ],
      ["entry", "machine"],
    ],
    [
      "a machine gone",
      "machine-missing",
      [`delete from entry where machine_id = '${other}'`, `delete from machine where id = '${other}'`],
      ["entry", "machine"],
    ],
    ["limits", "row-differs", ["update stage_limits set hi = hi + 1"], ["stage_limits"]],
    ["a geometry", "row-differs", [`update stage_geometry set element = element || '{"x": 1}'`], ["stage_geometry"]],
    ["an adjuster", "row-differs", ["update stage_adjuster set step = step * 2"], ["stage_adjuster"]],
    ["a media type", "row-differs", ["update attachment set media_type = 'text/html'"], ["attachment"]],
    ["a preview", "row-differs", ["update attachment set preview = 'x'"], ["attachment"]],
    ["a certificate", "row-differs", ["update certificate set content = 'x'"], ["certificate"]],
    ["stock", "row-differs", ["update store_movement set change = change + 1"], ["store_movement"]],
    ["a count", "count-differs", ["update store_item set count = count + 1"], ["store_item"]],
    ["an open point", "row-differs", ["update open_point set text = 'Nothing'"], ["open_point"]],
    ["an open point gone", "row-missing", ["delete from open_point"], ["open_point"]],
    ["a job's reason", "row-differs", ["update job set reason = 'x'"], ["job"]],
    [
      "a job's signature",
      "row-missing",
      ["update job set signed_entry = null where signed_entry is not null"],
      ["job"],
    ],
    ["a job's stages", "row-differs", ["update job_stage set position = 7"], ["job_stage"]],
    [
      "limits put in beside the seals",
      "row-never-sealed",
      [
        `insert into stage_limits select gen_random_uuid(), stage_id, 9, quantity, lo, aim, hi, source_kind, source, made_by, effective_from, held from stage_limits limit 1`,
      ],
      ["stage_limits"],
    ],
    ["the last seal cut off", "seals-cut", ["delete from seal where number = 2"], ["seal"]],
    ["a seal in between gone", "seal-missing", ["delete from seal where number = 1"], ["seal"]],
    ["a seal's text", "seal-differs", ["update seal set body = replace(body, 'a', 'b') where number = 2"], ["seal"]],
    [
      "a seal signed by somebody else",
      "seal-not-signed",
      ["update seal set signature = decode(repeat('00', 64), 'hex') where number = 2"],
      ["seal"],
    ],
  ];
  const unseen: string[] = [];
  for (const [what, why, change, tables] of cases) {
    await keepTables(tables);
    await tampered(change, async () => {
      const found = await problems(last);
      if (!found.includes(why as never)) unseen.push(`${what}: ${found.join(", ") || "nothing"}`);
    });
    await putBack(tables);
    expect(await problems(last), `after ${what}`).toEqual([]);
  }
  expect(unseen).toEqual([]);
  expect(await chainsWhole()).toBe(true);
  const pem = generateKeyPairSync("ed25519").privateKey.export({ type: "pkcs8", format: "pem" }).toString();
  const stranger = await reads((db) => verifySeals(db, sealKeyOf(pem).publicKey));
  expect(stranger.problems.every(({ why }) => why === "seal-of-another-key")).toBe(true);
});

/** A copy of whole tables, and back from it. */
async function keepTables(tables: readonly string[]): Promise<void> {
  for (const table of tables) {
    await works.pool.query(`drop table if exists kept_${table}`);
    await works.pool.query(`create table kept_${table} as table ${table}`);
  }
}

/** In their own order, for the heads that machines are sealed with. */
async function putBack(tables: readonly string[]): Promise<void> {
  await transaction(works.pool, async (db) => {
    await db.query("set local session_replication_role = replica");
    for (const table of tables) {
      await db.query(`delete from ${table}`);
      await db.query(`insert into ${table} select * from kept_${table}`);
      await db.query(`drop table kept_${table}`);
    }
  });
}

test("two processes that seal at once make one chain of seals, and everything is in it once", async () => {
  const job = await works.openJob();
  await Promise.all([
    ...Array.from({ length: 12 }, (_, i) => works.entry(job, { kind: "note", text: `n ${i}` })),
    ...Array.from({ length: 6 }, seal),
  ]);
  await seal();
  expect(await problems()).toEqual([]);
});
