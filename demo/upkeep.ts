import type { UpkeepList } from "../core/greasing";
import type { Act } from "./visits";

type Place = Partial<UpkeepList["grease"][number]> & { id: string; name: string };
type Care = {
  machine: string;
  list: { grease: Place[]; looks: { id: string; name: string; where?: string; everyDays?: number }[] };
  /** Days ago, and what was done then. */
  done: [number, Record<string, unknown>][];
};

/** What is greased and looked at on two machines: one overdue by its meter, one by its days, and damage found by eye. */
const cares: readonly Care[] = [
  {
    machine: "slitter",
    list: {
      grease: [
        {
          id: "spindle",
          name: "Knife shaft, drive side",
          kind: "lithium complex, NLGI 2",
          bearing: { outerMm: 90, widthMm: 23 },
          intervalUsage: 900,
          dirt: "dusty",
        },
        {
          id: "rewind",
          name: "Rewind shaft",
          kind: "lithium complex, NLGI 2",
          grams: 8,
          intervalUsage: 1500,
          intervalDays: 365,
        },
        { id: "brake", name: "Brake belt and its pulley", mark: "keep-dry" },
      ],
      looks: [
        { id: "edges", name: "Edges of the brake belt", where: "under the guard's window", everyDays: 14 },
        { id: "dust", name: "Dust at the knife shaft", everyDays: 7 },
      ],
    },
    done: [
      [
        260,
        {
          kind: "greased",
          points: [
            { id: "spindle", grams: 10 },
            { id: "rewind", grams: 8 },
          ],
          spread: true,
        },
      ],
      [40, { kind: "greased", points: [{ id: "rewind", grams: 8 }], spread: true }],
      [
        9,
        {
          kind: "looked",
          items: [
            { id: "edges", found: "fine" },
            { id: "dust", found: "fine" },
          ],
        },
      ],
    ],
  },
  {
    machine: "lift",
    list: {
      grease: [
        {
          id: "screw",
          name: "Lift screw, whole length",
          kind: "calcium sulphonate, NLGI 1",
          grams: 25,
          intervalDays: 120,
          vertical: true,
        },
        { id: "guides", name: "Column guides", kind: "the same", grams: 6, intervalDays: 120 },
        { id: "cord", name: "Counterweight cord", mark: "none" },
      ],
      looks: [{ id: "cord", name: "Counterweight cord, end to end", everyDays: 30 }],
    },
    done: [
      [
        128,
        {
          kind: "greased",
          points: [
            { id: "screw", grams: 25 },
            { id: "guides", grams: 6 },
          ],
          spread: true,
        },
      ],
      [
        12,
        { kind: "looked", items: [{ id: "cord", found: "damage", note: "three broken strands at the lower clamp" }] },
      ],
    ],
  },
];

const day = 86_400_000;

export const upkeepActs = (now: Date): Act[] =>
  cares.flatMap(({ machine, list, done }) => [
    {
      at: new Date(now.getTime() - 300 * day),
      operation: "keep-upkeep" as const,
      input: {
        entryId: `${machine}-upkeep-kept`,
        revisionId: `${machine}-upkeep`,
        machineId: machine,
        seenRevision: 0,
        // Its lines have ids of their own.
        list: JSON.stringify(list),
      },
    },
    ...done.map(([daysAgo, { points, items, ...said }], i) => ({
      at: new Date(now.getTime() - daysAgo * day),
      operation: "log-upkeep" as const,
      input: {
        id: `${machine}-upkeep-${i}`,
        machineId: machine,
        ...said,
        lines: JSON.stringify(points ? { points } : { items }),
      },
    })),
  ]);
