/**
 * Recomputes every machine's logbook in DATABASE_URL (or, without it, in the cluster that ./start left here) and everything that is sealed, or
 * what stands in the exported files named, and says what does not fit. Exit 1 if anything does not.
 *
 *   npm run verify
 *   npm run verify -- --against heads.txt        also compares with heads kept elsewhere
 *   npm run verify -- --key public.pem           another key than that of this folder
 *   npm run verify -- record.json …              --earlier takes files that an earlier release wrote without a signature
 */

import { createPublicKey, type KeyObject } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import type { Machine } from "../core/records";
import { type Database, transaction } from "../data/postgres";
import { allMachines } from "../data/queries/machines";
import { headsThatDiffer } from "../data/queries/seals";
import { keyId, sealKeyOf } from "../operations/seal";
import { type BreakReason, type ChainReport, verifyChain } from "../operations/verify-chain";
import { verifyExport } from "../operations/verify-export";
import { type SealProblem, verifySeals } from "../operations/verify-seals";
import { readHeads } from "./lib/heads-file";
import { knownSeal } from "./lib/last-seal-file";
import { sealKeyFile } from "./lib/seal-key-file";
import { withDatabaseHere } from "./lib/with-database";

const breakWords: Record<BreakReason, string> = {
  "number-missing": "an entry before it is missing",
  "previous-hash-differs": "it does not continue from the entry before it",
  "content-differs": "its content is not what was written",
  "attachment-missing": "what was attached to it is missing",
  "attachment-differs": "what was attached to it is not what was kept",
  "media-type-differs": "what was attached to it is called something else than was kept",
  "head-differs": "entries at the end are missing, or the head was changed",
  "not-readable": "it is no exported logbook that can be read",
  "not-signed": "its signature is missing or cannot be read",
  "not-as-signed": "its text is not what was signed",
  "other-key": "it is signed with another key than the one given",
};

const kindWords: Record<Extract<SealProblem, { kind: unknown }>["kind"], string> = {
  geometry: "a revision of a geometry",
  adjuster: "a revision of an adjuster",
  limits: "a revision of limits",
  "side-limits": "a revision of side limits",
  "drive-line": "a revision of a drive line",
  guide: "a revision of a guide",
  shaft: "a revision of a shaft",
  "proof-plan": "a revision of a proof plan",
  upkeep: "a revision of what is greased and looked at",
  attachment: "a photograph or file",
  certificate: "a certificate",
  movement: "a movement of the stores",
  job: "a job",
  "job-stage": "a stage of a job",
  "job-signed": "which entry a job is signed by",
  point: "an open point",
  "point-closed": "how an open point was closed",
};

function problemWords(problem: SealProblem, machines: readonly Machine[]): string {
  const named = (id: string) => machines.find((machine) => machine.id === id)?.name ?? `machine ${id}`;
  switch (problem.why) {
    case "seal-missing":
      return `seal ${problem.number} is missing`;
    case "seal-differs":
      return `seal ${problem.number} is not what was sealed`;
    case "seal-not-signed":
      return `seal ${problem.number} is not signed with the key it names`;
    case "seal-of-another-key":
      return `seal ${problem.number} is signed with another key than the one given`;
    case "seals-cut":
      return `seals are missing at the end: number ${problem.number} was noted beside the key`;
    case "machine-missing":
      return `${named(problem.machineId)} is missing; it had ${problem.seq} entries when it was sealed`;
    case "head-not-sealed-one":
      return `${named(problem.machineId)}: entry ${problem.seq} is not there as it was sealed`;
    case "heads-differ":
      return `seal ${problem.number} does not cover the heads it says`;
    case "row-missing":
      return `${kindWords[problem.kind]} (${problem.id}) is missing`;
    case "row-differs":
      return `${kindWords[problem.kind]} (${problem.id}) is not what was sealed`;
    case "row-never-sealed":
      return `${kindWords[problem.kind]} (${problem.id}) came in beside the seals`;
    case "count-differs":
      return `an item of the stores (${problem.id}) has another count than its movements add up to`;
  }
}

function told({ machine, entries, breaks }: ChainReport): boolean {
  if (!breaks) console.log(`${machine}: ${entries} entries, whole`);
  else if (breaks.seq === 0) console.log(`${machine}: ${breakWords[breaks.why]}`);
  else
    console.log(
      `${machine}: entry ${breaks.seq}${breaks.id ? ` (${breaks.id})` : ""} does not fit: ${breakWords[breaks.why]}`,
    );
  return !breaks;
}

async function verifyDatabase(db: Database, key: KeyObject | null, against: string | null): Promise<boolean> {
  await db.query("set transaction isolation level repeatable read, read only");
  const machines = await allMachines(db);
  let whole = true;
  for (const machine of machines) {
    // What cannot be read at all is a break like any other, and the others are still looked at.
    const report = await verifyChain(db, machine).catch((error: Error): ChainReport => {
      console.log(`${machine.name}: ${error.message}`);
      return { machine: machine.name, entries: 0, breaks: { seq: 0, id: null, why: "not-readable" } };
    });
    whole = told(report) && whole;
  }
  const { seals, lastAt, problems } = await verifySeals(db, key, process.env.DATABASE_URL ? null : knownSeal());
  for (const problem of problems) console.log(`Seals: ${problemWords(problem, machines)}`);
  if (seals === 0) console.log("Seals: there is none yet");
  else if (problems.length === 0) console.log(`Seals: ${seals}, whole; the last at ${lastAt}`);
  if (!key) console.log("Seals: no key is here to check their signatures with; name one by --key");
  whole = whole && problems.length === 0;
  if (against) whole = (await compared(db, against, machines)) && whole;
  return whole;
}

async function compared(db: Database, file: string, machines: readonly Machine[]): Promise<boolean> {
  const { heads, unread } = readHeads(readFileSync(file, "utf8"));
  for (const line of unread) console.log(`${file}, line ${line}: no head can be read there`);
  const differ = await headsThatDiffer(db, heads);
  for (const { machineId, seq } of differ)
    console.log(
      `${file}: ${machines.find(({ id }) => id === machineId)?.name ?? `machine ${machineId}`}: entry ${seq} is not there as it was noted`,
    );
  if (differ.length === 0 && unread.length === 0) console.log(`${file}: ${heads.length} heads, all as noted`);
  return differ.length === 0 && unread.length === 0 && heads.length > 0;
}

function verifyFile(file: string, key: KeyObject | null, earlier: boolean): boolean {
  if (!existsSync(file)) {
    console.log(`${file}: there is no such file`);
    return false;
  }
  const report = verifyExport(readFileSync(file, "utf8"), key);
  if (!told({ ...report, machine: report.machine === "?" ? file : report.machine })) return false;
  if (report.signedWith === null) console.log(`${file}: not signed; an earlier release wrote it so`);
  else if (!key) console.log(`${file}: signed with key ${report.signedWith}; compare it with the workshop's`);
  return report.signedWith !== null || earlier;
}

function publicKey(file: string | undefined): KeyObject | null {
  if (file) return createPublicKey(readFileSync(file, "utf8"));
  return existsSync(sealKeyFile) ? sealKeyOf(readFileSync(sealKeyFile, "utf8")).publicKey : null;
}

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { against: { type: "string" }, key: { type: "string" }, earlier: { type: "boolean", default: false } },
});
const key = publicKey(values.key);
if (key) console.log(`Key ${keyId(key).toString("hex")}`);
/** What cannot be read or reached is told like anything else that does not fit. */
const notVerified = (error: Error): boolean => {
  console.log(`Not verified: ${error.message}`);
  return false;
};
const whole =
  positionals.length > 0
    ? positionals.map((file) => verifyFile(file, key, values.earlier)).every(Boolean)
    : await withDatabaseHere((pool) =>
        transaction(pool, (db) => verifyDatabase(db, key, values.against ?? null)),
      ).catch(notVerified);
process.exitCode = whole ? 0 : 1;
