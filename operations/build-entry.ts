import { z } from "zod";
import { type Bodies, type Entry, type EntryKind, jobRecord, knownRound, type ReadingRecord } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Instrument } from "../data/queries/instruments";
import type { Stage } from "../data/queries/stages";
import { buildClamp, clampInput } from "./entries/clamp";
import { buildMove, moveInput } from "./entries/move";
import { noteInput } from "./entries/note";
import { buildLive, isolatedInput, liveChecks, liveInput } from "./entries/power";
import { buildProof, proofInput } from "./entries/proof";
import { buildRound, roundInput } from "./entries/round";

/** What a technician can put into the logbook of an open job. */
export const workInput = z.discriminatedUnion("kind", [
  roundInput,
  moveInput,
  clampInput,
  isolatedInput,
  liveInput,
  proofInput,
  noteInput,
]);
export type WorkInput = z.output<typeof workInput>;

export type Built = { body: Bodies[EntryKind]; readings: ReadingRecord[] };

/**
 * Body and readings of an entry, from what was put in and what the job holds so far. Pure: the server builds what it keeps
 * with this, and a tablet without a connection what it shows until then.
 *
 * @param entries of the job, in order
 */
export function buildEntry(
  work: WorkInput,
  stage: Stage,
  instruments: readonly Instrument[],
  entries: readonly Entry[],
): Result<Built> {
  const plain = (body: Result<Bodies[EntryKind]>): Result<Built> =>
    body.ok ? accept({ body: body.value, readings: [] }) : body;
  switch (work.kind) {
    case "move":
      return plain(buildMove(work, stage.adjuster));
    case "clamp":
      return plain(buildClamp(work, stage.geometry.clamps));
    case "proof":
      return plain(buildProof(work));
    case "note":
      return plain(accept({ text: work.text }));
    case "isolated":
      return plain(accept({ lock: work.lock, acknowledged: work.acknowledged }));
    case "live": {
      const missing = liveChecks.find((check) => !work.acknowledged.includes(check));
      if (missing) return refuse("not-acknowledged", ["acknowledged", missing]);
      return plain(accept(buildLive(work, jobRecord(entries, stage.geometry.clamps))));
    }
    case "round": {
      const instrument = instruments.find((candidate) => candidate.id === work.method.instrumentId);
      if (!instrument) return refuse("no-such-instrument", ["method", "instrumentId"]);
      const live = jobRecord(entries, stage.geometry.clamps).power?.state === "live";
      return buildRound(work, stage, instrument, knownRound(entries, stage.id, stage.geometry.pair.teeth[1]), live);
    }
  }
}
