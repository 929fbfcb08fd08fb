type Row = {
  id: string;
  move?: string;
  direction?: string;
  speed?: string;
  name?: string;
  minutes?: number;
  required?: boolean;
};
type Shown = { current: string; temp?: string; peak?: string; noise?: string; minutes?: string };

/** What proves a stage here, since when, and what its runs draw; a run that stalled first, and what it was. */
export type DemoProof = {
  machine: string;
  stage: string;
  since: number;
  why: string;
  rows: readonly Row[];
  limits: readonly Record<string, unknown>[];
  meters?: readonly { of: string; expandedUncertainty: number }[];
  asymmetryPercent?: number;
  /** Of each row. */
  shows: Readonly<Record<string, Shown>>;
  stall?: { row: string; endedAt: string; current: string; looks: readonly string[] };
};

const both = (speed: string): Row[] =>
  ["forwards", "backwards"].map((direction) => ({ id: `${direction} ${speed}`, direction, speed }));
const clampMeter = [{ of: "current", expandedUncertainty: 0.05 }];
const atMost = (of: string, hi: number, place = "") => ({ of, hi, place });

export const demoProofs: readonly DemoProof[] = [
  {
    machine: "die-cutter",
    stage: "anvil",
    since: 230,
    why: "After it had run warm for a week unseen",
    rows: [{ id: "hand", move: "hand-turn" }, ...both("slow"), ...both("working")],
    limits: [
      atMost("current", 2.8),
      atMost("temperature", 60, "motor"),
      { of: "current", aroundLast: { by: 25, unit: "percent" } },
    ],
    meters: clampMeter,
    asymmetryPercent: 15,
    shows: {
      hand: { current: "", noise: "same drag all round" },
      "forwards slow": { current: "1.4", temp: "31", noise: "even hum" },
      "backwards slow": { current: "1.5", temp: "33", noise: "even hum" },
      "forwards working": { current: "2.3", temp: "44", noise: "even hum" },
      "backwards working": { current: "2.4", temp: "47", noise: "even hum, a little louder" },
    },
  },
  {
    machine: "feeder",
    stage: "cam",
    since: 60,
    why: "The knock once a turn has to be heard every time",
    rows: [
      { id: "hand", move: "hand-turn" },
      ...both("working"),
      { id: "knock", move: "failing-case", speed: "fast", name: "Start at full speed with a full pile" },
    ],
    limits: [atMost("current", 3.2)],
    meters: clampMeter,
    shows: {
      hand: { current: "", noise: "tighter once a turn, still moves" },
      "forwards working": { current: "2.6", noise: "small knock once a turn" },
      "backwards working": { current: "2.7", noise: "small knock once a turn" },
      knock: { current: "2.9", peak: "6.1", noise: "knocks, less than before" },
    },
  },
  {
    machine: "gluer",
    stage: "delivery",
    since: 40,
    why: "To be worked by from the next overhaul on",
    rows: [
      { id: "hand", move: "hand-turn" },
      ...both("working"),
      { id: "fast", speed: "fast", direction: "forwards", required: false },
    ],
    limits: [atMost("current", 2.4), { of: "speed-off", lo: -3, hi: 3 }],
    meters: clampMeter,
    shows: {},
  },
  {
    machine: "slitter",
    stage: "knife",
    since: 300,
    why: "Knives bind one way when the end float is gone",
    rows: [...both("slow"), ...both("working")],
    limits: [atMost("current", 2.6)],
    meters: clampMeter,
    asymmetryPercent: 15,
    shows: {
      "forwards slow": { current: "1.3", noise: "quiet" },
      "backwards slow": { current: "1.4", noise: "quiet" },
      "forwards working": { current: "1.8", noise: "even hum" },
      "backwards working": { current: "2.4", noise: "scrapes lightly" },
    },
  },
  {
    machine: "slitter",
    stage: "rewind",
    since: 410,
    why: "New gear: one whole turn watched for a stall",
    rows: [{ id: "turn", move: "full-turn", speed: "slow", minutes: 3 }, ...both("working")],
    limits: [atMost("current", 3)],
    meters: clampMeter,
    shows: {
      turn: { current: "1.7", minutes: "3.4", noise: "quiet" },
      "forwards working": { current: "2.2", noise: "even hum" },
      "backwards working": { current: "2.3", noise: "even hum" },
    },
    stall: {
      row: "turn",
      endedAt: "143",
      current: "4.1",
      looks: [
        "Stalled at 143°. A snagged cable or hose, something in its way: found",
        "The brake’s air hose was caught behind the reel arm; laid clear.",
      ],
    },
  },
];

export const proofOf = (machine: string, stage: string): DemoProof | undefined =>
  demoProofs.find((proof) => proof.machine === machine && proof.stage === stage);

export const runId = ({ stage }: DemoProof, row: string): string => `${stage} run ${row}`;
