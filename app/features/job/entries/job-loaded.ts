import type { Guide } from "~/core/guides";
import type { Entry, MachineShaft } from "~/core/logbook";
import type { Instrument, Job, Machine, PersonId, ReadFirst, Stage, StoreItem } from "~/core/records";
import type { StoredDraft } from "./draft-store";
import type { StageBefore } from "./stage-before";

/** A photograph of a part: its entry, and the one by which the part came off. */
export type PartPhotograph = { id: string; of: string; caption: string };

/** A job with everything its screen needs, as loaded or as last kept on this tablet. */
export type JobLoaded = {
  job: Job;
  machine: Machine;
  stages: Stage[];
  /** Stages of the machine that a move on one of these sets as well. */
  movedAlong: Stage[];
  instruments: Instrument[];
  /** What lies in the drawers for stages that are set by shims; one kept by an earlier release has none. */
  stock?: StoreItem[];
  entries: Entry[];
  /** Entries by which other jobs took parts off that are not on again; one kept by an earlier release has none. */
  leftOff?: Entry[];
  /** Guides of the machine, and photographs of parts by the entry that each names. */
  guides?: Guide[];
  photographs?: PartPhotograph[];
  /** Shafts of the machine, as earlier jobs fitted them; one kept by an earlier release has none. */
  shafts?: MachineShaft[];
  drafts: StoredDraft[];
  before: StageBefore[];
  /** Whose it is, and what they have to know; null: nobody gave it to anybody. One kept by an earlier release has none. */
  given?: { to: { id: string; name: string }; note: string; givenByName: string } | null;
  person: { id: PersonId; name: string };
  /** Above it two people lift, kg; one kept by an earlier release has none. */
  liftLimitKg?: number;
  /** How the house reads a stage unless one chooses otherwise; one kept by an earlier release has none. */
  readFirst?: ReadFirst;
  now: string;
};
