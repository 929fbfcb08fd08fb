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
import { sealProblems, tamperCases, unseenTampering } from "~/scripts/lib/tamper";
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
const problems = (known: KnownSeal | null = null) => sealProblems(works.pool, testKey.publicKey, known);
const chainsWhole = async () =>
  reads(async (db) => {
    const all = await allMachines(db);
    return Promise.all(all.map((one) => verifyChain(db, one))).then((found) => found.every(({ breaks }) => !breaks));
  });

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

  expect(await unseenTampering(works.pool, testKey.publicKey, last, tamperCases(works.machineId, other))).toEqual([]);
  expect(await chainsWhole()).toBe(true);
  const pem = generateKeyPairSync("ed25519").privateKey.export({ type: "pkcs8", format: "pem" }).toString();
  const stranger = await reads((db) => verifySeals(db, sealKeyOf(pem).publicKey));
  expect(stranger.problems.every(({ why }) => why === "seal-of-another-key")).toBe(true);
});

test("two processes that seal at once make one chain of seals, and everything is in it once", async () => {
  const job = await works.openJob();
  await Promise.all([
    ...Array.from({ length: 12 }, (_, i) => works.entry(job, { kind: "note", text: `n ${i}` })),
    ...Array.from({ length: 6 }, seal),
  ]);
  await seal();
  expect(await problems()).toEqual([]);
});

test("of very much at once a seal takes a part, and the next ones the rest", async () => {
  await works.pool.query(
    `insert into store_movement select gen_random_uuid(), id, 1, count + n, 'Many', null, $1, now()
     from store_item, generate_series(1, 1500) n`,
    [works.lead.id],
  );
  await works.pool.query("update store_item set count = count + 1500");
  expect((await seal())?.more).toBe(true);
  expect((await seal())?.more).toBe(false);
  expect(await problems()).toEqual([]);
});
