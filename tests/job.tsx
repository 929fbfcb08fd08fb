import { configure, render } from "@testing-library/react";
import { createContext, type ReactNode, useContext, useMemo, useState } from "react";
import { createRoutesStub, Outlet, useLocation } from "react-router";
import { v7 } from "uuid";
import { JobContext, type JobScreenValue, pathOf } from "~/app/features/job/entries/job-context";
import type { JobLoaded } from "~/app/features/job/entries/job-loaded";
import { type Making, optimistic } from "~/app/features/job/entries/optimistic";
import { nothingBefore, type StageBefore } from "~/app/features/job/entries/stage-before";
import { TypedDraft } from "~/app/features/job/entries/typed-draft";
import type { Guide } from "~/core/guides";
import { type Entry, jobRecord, movedBy } from "~/core/logbook";
import { accept, type Refusal } from "~/core/quantity";
import type { Job, Machine, PersonId, Stage, StoreItem } from "~/core/records";
import { stoodAdjuster } from "~/operations/stood-adjuster";
import { testInstrument, testStage } from "./stage";

// What is fetched when it is wanted comes when the machine has time for it.
configure({ asyncUtilTimeout: 60_000 });

type Given = {
  machine?: Partial<Machine>;
  stages?: Stage[];
  /** Worked on; the first where it is left out. */
  stage?: Stage;
  entries?: Entry[];
  before?: Partial<StageBefore>[];
  /** What lies in the drawers. */
  stock?: StoreItem[];
  guides?: Guide[];
  /** What signing asks of whoever is signed in. */
  signer?: { asksToSign: boolean; hasPin: boolean };
};

export const testPerson = { id: "p" as PersonId, name: "M. Sandor" };
const job = { id: "j", machineId: "m", stageIds: [], reason: "noise" } as unknown as Job;

/**
 * A part of a job's screen without a server: what is put in becomes an entry as on a tablet that waits for it, or is refused as
 * there.
 *
 * @returns what was put in and signed, newest last; `address` where the page stands; `refuse` has the next signature refused
 */
export function showJob(part: ReactNode, given: Given = {}) {
  const { stages = [testStage("one")], entries: first = [], signer = { asksToSign: false, hasPin: false } } = given;
  const entered = given.stage ?? (stages[0] as Stage);
  const draft = new TypedDraft("j", entered.id, testPerson.id, [], async () => ({ stopped: "server" }));
  const said = {
    entries: [...first],
    signatures: [] as { signature: Record<string, unknown>; secret: string | undefined }[],
    refuse: null as Refusal | null,
    draft,
    address: "",
  };
  const instruments = [testInstrument("01934076-bd4b-711c-88af-73b8ad150001")];
  const before = stages.map((stage, i) => ({ ...nothingBefore(stage.id), ...given.before?.[i] }));
  const making: Making = { job, stages, instruments, before, person: testPerson };
  const data = {
    ...making,
    machine: {
      id: "m",
      name: "Cross drive",
      tag: "XD-1",
      units: "metric",
      air: "unknown",
      heaviestKg: null,
      ...given.machine,
    } as Machine,
    movedAlong: [],
    entries: first,
    stock: given.stock ?? [],
    guides: given.guides ?? [],
    drafts: [],
    now: new Date().toISOString(),
  } as unknown as JobLoaded;

  const Stub = createRoutesStub([
    {
      id: "root",
      path: "/",
      loader: () => ({ person: signer }),
      HydrateFallback: Nothing,
      Component: Outlet,
      children: [{ path: "jobs/:job/*", Component: Screen }],
    },
  ]);
  render(
    <Held value={{ part, said, data, entered, making }}>
      <Stub initialEntries={["/jobs/j/here"]} />
    </Held>,
  );
  return said;
}

type Said = ReturnType<typeof showJob>;
const Held = createContext<{
  part: ReactNode;
  said: Said;
  data: JobLoaded;
  entered: Stage;
  making: Making;
} | null>(null);

function Screen() {
  const held = useContext(Held);
  if (!held) throw new Error("shown by showJob");
  const { part, said, data, entered, making } = held;
  const { draft } = said;
  const [entries, setEntries] = useState<readonly Entry[]>(data.entries);
  const location = useLocation();
  said.address = `${location.pathname}${location.search}`;
  said.entries = [...entries];
  const value = useMemo((): JobScreenValue => {
    const own = data.before.find((item) => item.stageId === entered.id) ?? nothingBefore(entered.id);
    const adjuster = stoodAdjuster(entered, own.moved + movedBy(entries, entered.adjuster.id));
    const stage = { ...entered, adjuster };
    const recordOf = (of: Stage) => jobRecord([...(data.leftOff ?? []), ...entries], of);
    return {
      data,
      stage,
      entered,
      before: own,
      draft,
      job: {
        entries: [...entries],
        refused: [],
        allHere: true,
        revised: [],
        record: recordOf(stage),
        recordOf,
        changeRound: draft.changeRound,
        changeText: draft.changeText,
        put: async (work) => {
          const payload = { ...work, id: v7(), jobId: "j", stageId: stage.id, madeAt: new Date().toISOString() };
          const made = optimistic(payload, said.entries, making);
          if (made.ok) setEntries((was) => [...was, made.value]);
          return made;
        },
        sign: async (signature, secret) => {
          said.signatures.push({ signature, secret });
          return said.refuse ? { ok: false, refusal: said.refuse } : accept(true);
        },
      },
      entriesHere: [...entries],
      stationPath: (station) => pathOf(data, stage, station),
    };
  }, [entries, said, data, entered, making, draft]);
  return <JobContext value={value}>{part}</JobContext>;
}
const Nothing = () => null;

/** Bodies of the entries of one kind. */
export const bodiesOf = (entries: readonly Entry[], kind: Entry["kind"]): unknown[] =>
  entries.filter((entry) => entry.kind === kind).map(({ body }) => body);
