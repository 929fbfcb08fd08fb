/**
 * Writes where every machine's logbook ends, a line each, for keeping elsewhere: printed, mailed, on another machine. What is kept so is compared by
 * `npm run verify -- --against heads.txt`. With a file named, its lines are added to it.
 *
 *   npm run heads
 *   npm run heads -- heads.txt
 */
import { appendFileSync } from "node:fs";
import { allMachines } from "../data/queries/machines";
import { allHeads } from "../data/queries/seals";
import { headLine } from "./lib/heads-file";
import { withDatabaseHere } from "./lib/with-database";

const [file] = process.argv.slice(2);
await withDatabaseHere(async (pool) => {
  const names = new Map<string, string>((await allMachines(pool)).map(({ id, name }) => [id, name]));
  const day = new Date().toISOString().slice(0, 10);
  const lines = (await allHeads(pool)).map((head) => headLine(day, head, names.get(head.machineId) ?? ""));
  if (file) appendFileSync(file, lines.map((line) => `${line}\n`).join(""));
  else console.log(lines.join("\n"));
});
