import { generateKeyPairSync } from "node:crypto";
import { v7 } from "uuid";
import { afterAll, beforeAll, inject } from "vitest";
import { mustHold } from "~/core/quantity";
import type { InstrumentId, Person, PersonId, WorkshopId } from "~/core/records";
import { type OpenPool, openPool } from "~/data/postgres";
import { insertPerson } from "~/data/queries/people";
import { addMachine } from "~/operations/add-machine";
import type { Context } from "~/operations/context";
import { openJob } from "~/operations/open-job";
import { recordEntry } from "~/operations/record-entry";
import { sealKeyOf } from "~/operations/seal";
import { setUpWorkshop } from "~/operations/set-up-workshop";
import { openCluster } from "~/scripts/lib/cluster";
import { ensureDatabase } from "~/scripts/lib/database";

/** A key for seals and exports, of this run alone. */
export const testKey = sealKeyOf(
  generateKeyPairSync("ed25519").privateKey.export({ type: "pkcs8", format: "pem" }).toString(),
);

export type Works = {
  pool: OpenPool;
  url: string;
  lead: Person;
  machineId: string;
  stageId: string;
  instrumentId: InstrumentId;
  as: (person?: Person) => Context;
  addPerson: (role: Person["role"]) => Promise<Person>;
  openJob: (stageIds?: readonly string[], machineId?: string) => Promise<string>;
  entry: (jobId: string, work: Record<string, unknown>, id?: string) => ReturnType<typeof recordEntry>;
  round: (values?: readonly string[]) => Record<string, unknown>;
};

let count = 0;

/** A fresh database for a test file, with one machine of one stage; emptied with the cluster. */
export function freshWorks(): Works {
  const works = {} as Works;
  beforeAll(async () => {
    const cluster = await openCluster(inject("clusterFolder"), { throwaway: true });
    const name = `test_${process.pid}_${count++}_${Math.floor(performance.now())}`;
    await ensureDatabase(cluster, name, "migrated");
    works.url = cluster.url(name);
    works.pool = openPool(works.url);
    works.instrumentId = v7() as InstrumentId;
    works.machineId = v7();
    works.stageId = v7();
    works.lead = await setUpWorkshop(
      works.pool,
      new Date(),
      { id: v7() as WorkshopId, name: "Test", timeZone: "Europe/London" },
      { id: v7() as PersonId, name: "Lead", signIn: "lead", password: "test" },
      [
        {
          id: works.instrumentId,
          name: "Indicator",
          kind: "lever indicator",
          dimension: "length",
          resolution: 0.01,
          expandedUncertainty: 0.006,
          coverage: 2,
          leavesMm: [0.05, 0.1, 0.15, 0.2],
        },
      ],
    );
    mustHold(await addMachine(works.as(), machine(works)));
  });
  afterAll(() => works.pool.end());
  works.as = (person = works.lead) => ({ pool: works.pool, person, now: new Date() });
  works.addPerson = async (role) => {
    const person = { ...works.lead, id: v7() as PersonId, name: role, role };
    await insertPerson(works.pool, { ...person, signIn: `${role}-${person.id}`, passwordHash: "none", at: new Date() });
    return person;
  };
  works.openJob = async (stageIds = [works.stageId], machineId = works.machineId) => {
    const id = v7();
    const input = {
      id,
      entryId: v7(),
      machineId,
      stageIds,
      reason: "Test",
      madeAt: new Date().toISOString(),
    };
    return mustHold(await openJob(works.as(), input)).jobId;
  };
  works.entry = (jobId, work, id = v7()) =>
    recordEntry(works.as(), { id, jobId, stageId: works.stageId, madeAt: new Date().toISOString(), ...work });
  works.round = (values = ["0.15", "0.17", "0,18", "7 thou", "0.16"]) => ({
    kind: "round",
    phase: "as-found",
    method: {
      instrumentId: works.instrumentId,
      indicatorRadiusMm: null,
      indicatorAngleDeg: 0,
      temperatureC: 21,
      sense: "clockwise",
    },
    readings: values.map((typed, i) => ({
      tooth: ((i * 8) % 40) + 1,
      turn: 1 + Math.floor(i / 5),
      typed,
      struck: false,
      repeats: null,
    })),
  });
  return works;
}

/** A machine of one stage, as `addMachine` takes it. */
export const machine = ({ machineId, stageId }: Works) => ({
  id: machineId,
  entryId: v7(),
  name: "Test machine",
  tag: "T-1",
  place: "Bench",
  model: "none",
  usageUnit: "hours",
  stages: [stageInput(stageId)],
});

/** A gear stage that `addMachine` and `addStage` take. */
export const stageInput = (id: string, name = "Drive") => ({
  id,
  entryId: v7(),
  name,
  geometryId: v7(),
  geometry: {
    element: { kind: "gear-pair", pair: { teeth: [20, 40], moduleMm: 2, centreDistanceMm: 60.2 } },
    clamps: {
      points: [
        { x: 0, y: 0 },
        { x: 9, y: 0 },
      ],
      size: "M6",
      torqueNm: 9,
      passes: 2,
      compound: false,
    },
  },
  adjusterId: v7(),
  adjuster: { name: "Slide", adjuster: { type: "slide" }, step: 0.01, positiveWord: "out", negativeWord: "in" },
  limitsId: v7(),
  limits: { quantity: "circumferential-backlash", lo: 0.1, aim: null, hi: 0.24, sourceKind: "drawing", source: "T" },
});
