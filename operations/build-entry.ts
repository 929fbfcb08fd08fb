import * as z from "zod";
import {
  type Bodies,
  type Entry,
  type EntryOf,
  firstOfRound,
  isKind,
  jobRecord,
  knownIn,
  knownRounds,
  type MachineShaft,
  movedBy,
  type ReadingRecord,
  sameTeeth,
  wholeRound,
} from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Instrument, Stage } from "../core/records";
import type { KnownRound } from "../core/rounds";
import { hardStopOf, type StageTurns, teethOf } from "../core/stages";
import { buildClamp, clampInput } from "./entries/clamp";
import { buildFeel, feelInput } from "./entries/feel";
import { buildLooseThing, looseThingInput } from "./entries/loose-thing";
import { buildMeasured, measuredInput } from "./entries/measured";
import { buildMove, moveInput } from "./entries/move";
import { noteInput } from "./entries/note";
import { buildPartWork, partWorkInput } from "./entries/part-work";
import {
  buildPartOff,
  buildPartOn,
  buildPartScrews,
  buildSeat,
  buildTurned,
  partOffInput,
  partOnInput,
  partScrewsInput,
  seatInput,
  turnedInput,
} from "./entries/parts";
import { buildIsolated, buildLive, isolatedInput, liveInput } from "./entries/power";
import { buildProof, proofInput } from "./entries/proof";
import { buildRound, roundInput } from "./entries/round";
import { buildShaft, shaftInput } from "./entries/shaft";
import { buildShift, shiftInput } from "./entries/shift";
import { buildSide, sideInput } from "./entries/side";
import { buildSweep, sweepInput } from "./entries/sweep";
import { stageAsRead, teethInMesh } from "./stage-as-read";
import { stoodAdjuster } from "./stood-adjuster";

/** What a technician can put into the logbook of an open job. */
export const workInput = z.discriminatedUnion("kind", [
  roundInput,
  sideInput,
  feelInput,
  shiftInput,
  sweepInput,
  looseThingInput,
  moveInput,
  clampInput,
  isolatedInput,
  liveInput,
  proofInput,
  noteInput,
  partOffInput,
  partOnInput,
  partScrewsInput,
  turnedInput,
  seatInput,
  partWorkInput,
  shaftInput,
  measuredInput,
]);
export type WorkInput = z.output<typeof workInput>;
/** As it is sent: what has a usual value may be left out. */
export type Work = z.input<typeof workInput>;

export type Built = { body: Bodies[WorkInput["kind"]]; readings: ReadingRecord[]; namesEntry: string | null };

/** What is known of a stage from before a job. */
export type StageSoFar = {
  known: readonly KnownRound[];
  moved: number;
  /** Earlier runs that proved it, and how its output turns; of a kit of an earlier release nothing is known of the latter. */
  proofs?: readonly Entry[];
  turns?: StageTurns | null;
};

/**
 * Body and readings of an entry, from what was put in and what the job holds so far. Pure: the server builds what it keeps
 * with this, and a tablet without a connection what it shows until then.
 *
 * @param entries of the job, in order; before them those by which earlier jobs left parts of the machine off
 * @param stages of the job: going live looks at the screws of all of them
 * @param before the stage's rounds as they were known before this job, for one that carries them over, and how far its adjuster had been moved
 * @param shafts of the machine, as earlier jobs fitted them
 */
export function buildEntry(
  work: WorkInput,
  stage: Stage,
  instruments: readonly Instrument[],
  entries: readonly Entry[],
  stages: readonly Stage[] = [stage],
  before: StageSoFar = { known: [], moved: 0 },
  shafts: readonly MachineShaft[] = [],
): Result<Built> {
  const plain = (body: Result<Built["body"]>, namesEntry: string | null = null): Result<Built> =>
    body.ok ? accept({ body: body.value, readings: [], namesEntry }) : body;
  const part = (made: Result<Pick<Built, "body" | "namesEntry">>): Result<Built> =>
    made.ok ? accept({ ...made.value, readings: [] }) : made;
  const recordOf = (of: Stage) => jobRecord(entries, of);
  const record = () => recordOf(stage);
  switch (work.kind) {
    case "move":
      return plain(moveOf(work, stage, before.moved + movedBy(entries, stage.adjuster.id)));
    case "clamp":
      return plain(buildClamp(work, stage.geometry.clamps));
    case "feel": {
      const read = stageAsRead(stage, work.gear);
      return read.ok ? plain(buildFeel(work, read.value)) : read;
    }
    case "shift":
      return plain(buildShift(work, stage));
    case "sweep":
      return plain(buildSweep(work, stage, record().power));
    case "loose-thing":
      return plain(buildLooseThing(work, record()), work.state === "out" ? work.names : null);
    case "proof":
      return plain(
        buildProof(work, record().power, stage.geometry.element, {
          plans: stage.plans ?? [],
          proofs: before.proofs ?? [],
          turns: before.turns ?? null,
        }),
      );
    case "note":
      return plain(accept({ text: work.text }));
    case "part-off":
      return part(buildPartOff(work, record().apart));
    case "part-on":
      return part(buildPartOn(work, record().apart));
    case "part-screws":
      return part(buildPartScrews(work, record().apart));
    case "part-work":
      return part(buildPartWork(work, record().apart));
    case "turned":
      return plain(accept(buildTurned(work, record().apart)));
    case "seat": {
      const instrument = instruments.find((candidate) => candidate.id === work.instrumentId) ?? null;
      if (work.instrumentId !== null && !instrument) return refuse("no-such-instrument", ["instrumentId"]);
      return part(buildSeat(work, record().apart, instrument));
    }
    case "shaft":
      return plain(buildShaft(work, shafts, record().shafts, instruments));
    case "measured":
      return plain(buildMeasured(work, instruments));
    case "isolated":
      return plain(buildIsolated(work));
    case "live": {
      const parts = stages.map((item) => ({ name: stages.length > 1 ? item.name : "", record: recordOf(item) }));
      return plain(buildLive(work, parts));
    }
    case "side": {
      const instrument = instruments.find((candidate) => candidate.id === work.instrumentId);
      if (!instrument) return refuse("no-such-instrument", ["instrumentId"]);
      const side = buildSide(work, stage, instrument, record().power?.state === "live");
      return side.ok ? accept({ ...side.value, namesEntry: null }) : side;
    }
    case "round": {
      const instrument = instruments.find((candidate) => candidate.id === work.method.instrumentId);
      if (!instrument) return refuse("no-such-instrument", ["method", "instrumentId"]);
      const first = work.continues === null ? null : roundToGoOnWith(work.continues, stage, entries);
      if (work.continues !== null && first === null) return refuse("no-such-round", ["continues"]);
      const live = record().power?.state === "live";
      const { gear } = work.method;
      const rounds = knownRounds(entries, stage.id, work.carries ? before.known : []);
      const mesh = teethInMesh(stage, gear);
      // Typed before the stage was revised, or a round gone on with: what the old gear read is not the new one's.
      const pair = teethOf(stage.geometry.element);
      const exchanged = sameTeeth(work.teeth, pair) ? null : { was: work.teeth, now: pair };
      const meshes = sameTeeth(first?.body.result.teeth, mesh)
        ? exchanged
        : { was: first?.body.result.teeth, now: mesh };
      if (meshes)
        return refuse("gear-exchanged", ["readings"], {
          was: meshes.was?.join(" : ") ?? "",
          now: meshes.now?.join(" : ") ?? "",
        });
      const known = knownIn(rounds, gear, mesh);
      const earlier = first && {
        readings: wholeRound(entries, first),
        expandedUncertainty: first.body.result.expandedUncertainty,
      };
      const round = buildRound(work, stage, instrument, known, live, earlier);
      return round.ok ? accept({ ...round.value, namesEntry: work.continues }) : round;
    }
  }
}

/** A move of the stage's adjuster, or of the stop that one of its gears rests against. */
function moveOf(work: Extract<WorkInput, { kind: "move" }>, stage: Stage, moved: number): ReturnType<typeof buildMove> {
  const { gear } = work;
  if (gear === undefined) return buildMove(work, stoodAdjuster(stage, moved));
  const read = stageAsRead(stage, gear);
  if (!read.ok) return read;
  return hardStopOf(read.value.geometry.element)
    ? buildMove(work, read.value.adjuster)
    : refuse("nothing-to-adjust", ["gear"]);
}

/** The last entry of a round, by its first, unless something was moved after it. */
function roundToGoOnWith(firstId: string, stage: Stage, entries: readonly Entry[]): EntryOf<"round"> | null {
  const here = entries.filter((entry) => entry.stageId === stage.id);
  const last = here.filter(isKind("round")).findLast((round) => firstOfRound(round) === firstId);
  const gear = last?.body.result.gear;
  const moved = here.some(
    (entry) =>
      entry.kind === "move" &&
      last &&
      entry.seq > last.seq &&
      (entry.body.gear === undefined || entry.body.gear === gear),
  );
  return last && !moved ? last : null;
}
