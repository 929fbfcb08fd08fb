import { v5 } from "uuid";
import {
  type Entry,
  type JobRecord,
  measuredOpen,
  measuredRight,
  type Provisional,
  shaftsNotRight,
  shaftsRight,
} from "../core/logbook";
import type { Database } from "../data/postgres";
import { closePoints, insertPoint, openPointsOf } from "../data/queries/open-points";

type Part = { code: Provisional; name: string };

/** Of what a signature leaves: each shaft that does not stand right, and each frame, fit, housing or coupling that is not inside. */
const leftWrong = ({ shafts, measured }: JobRecord): Part[] => [
  ...shaftsNotRight(shafts).map(({ body }) => part("shaft-not-right", body.shaft.name)),
  ...measuredOpen(measured).map(({ body }) => part("measured-not-inside", body.of)),
];
/** What it put right. */
const putRight = ({ shafts, measured }: JobRecord): Part[] => [
  ...shaftsRight(shafts).map(({ body }) => part("shaft-not-right", body.shaft.name)),
  ...measuredRight(measured).map(({ body }) => part("measured-not-inside", body.of)),
];
const part = (code: Provisional, name: string): Part => ({ code, name });

/** One point for each, on the machine: it keeps its first date while it stays wrong, and closes when that same part was put right. */
export async function settlePutRight(
  db: Database,
  machineId: string,
  record: JobRecord,
  signature: Entry,
): Promise<void> {
  const [wrong, right] = [leftWrong(record), putRight(record)];
  if (wrong.length === 0 && right.length === 0) return;
  const open = await openPointsOf(db, [machineId]);
  const speaksOf = ({ code, name }: Part) =>
    open.filter((point) => point.code === code && (point.text === name || point.text.startsWith(`${name}: `)));
  await closePoints(
    db,
    right.flatMap(speaksOf).map(({ id }) => id),
    signature.id,
  );
  for (const one of wrong) {
    if (speaksOf(one).length > 0) continue;
    await insertPoint(db, {
      id: v5(`${one.code} ${one.name}`, signature.id),
      machineId,
      stageId: null,
      code: one.code,
      text: one.name,
      openedEntry: signature.id,
      openedBy: signature.madeBy,
      openedAt: signature.madeAt,
    });
  }
}
