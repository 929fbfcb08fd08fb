import { execFile } from "node:child_process";
import { availableParallelism } from "node:os";
import { fileURLToPath } from "node:url";
import { promisify } from "node:util";
import {
  lowestPartial,
  type PluckedString,
  pluckSound,
  type Random,
  recordedIn,
  seededRandom,
} from "../../core/practice";
import { hearPluck } from "../../core/sound";

const here = fileURLToPath(import.meta.url);
const recordings = 10_000;
const levelsDb = [20, 10, 5] as const;
const sampleRateHz = 8000;
const rightWithin = 0.005;

type Counts = { right: number; unsure: number; refused: number; wrong: number };
const none = (): Counts => ({ right: 0, unsure: 0, refused: 0, wrong: 0 });

const log = (random: Random, lo: number, hi: number): number => lo * (hi / lo) ** random();

/** A span as belts are: 20 to 700 Hz, ringing 20 to 120 swings' worth, limp or stiff, plucked and heard anywhere, one in four struck twice. */
function someString(random: Random): PluckedString {
  const stringHz = log(random, 20, 700);
  return {
    stringHz,
    stiffness: random() < 0.5 ? 0 : log(random, 1e-5, 3e-3),
    decayS: (6.908 * log(random, 20, 120)) / (Math.PI * stringHz),
    decayRise: log(random, 1, 40),
    sharpening: random() < 0.5 ? 0 : 0.01 * random(),
    pluckAt: 0.12 + 0.76 * random(),
    hearAt: 0.12 + 0.76 * random(),
    plucks: [
      { atS: 0.25 + 0.3 * random(), strength: 1 },
      ...(random() < 0.25 ? [{ atS: 0.65 + 0.5 * random(), strength: 0.3 + 0.7 * random() }] : []),
    ],
  };
}

/** The plucks from one number to another, each in a works of every noise level, with hum in half and a knock in a quarter of them. */
function hearSome(from: number, to: number): Counts[] {
  const counts = levelsDb.map(none);
  for (let seed = from; seed < to; seed++) {
    const random = seededRandom(seed);
    const string = someString(random);
    const clean = pluckSound(string, sampleRateHz, 2);
    const truth = lowestPartial(string, sampleRateHz);
    const room = {
      mainsHz: random() < 0.5 ? 50 : 60,
      hum: random() < 0.5 ? 0 : 0.7 * random(),
      knocksS: random() < 0.25 ? [0.1 + 1.6 * random()] : [],
    };
    for (const [i, signalToNoiseDb] of levelsDb.entries()) {
      const samples = recordedIn(clean, sampleRateHz, { ...room, signalToNoiseDb }, random);
      const { frequencyHz, confidence } = hearPluck({ samples, sampleRateHz }, { bandHz: [10, 1200] });
      const right = frequencyHz !== null && Math.abs(frequencyHz / truth - 1) < rightWithin;
      const sure = confidence >= 0.5;
      (counts[i] as Counts)[right ? (sure ? "right" : "unsure") : sure ? "wrong" : "refused"]++;
    }
  }
  return counts;
}

/** Share of so many with its interval (95 %, Wilson). */
function share(count: number, of: number): string {
  const [p, z] = [count / of, 1.96];
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of);
  const half = (z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))) / (1 + (z * z) / of);
  const percent = (value: number) => (100 * value).toFixed(2);
  return `${percent(p)} % (${percent(Math.max(0, middle - half))} to ${percent(middle + half)})`;
}

/** Plucks of strings stepped through their wave equation, heard in noise: right within 0.5 % and sure, refused, wrong and called sure. */
export async function measurePlucks(): Promise<void> {
  const processes = availableParallelism();
  const each = Math.ceil(recordings / processes);
  const parts = await Promise.all(
    Array.from({ length: processes }, async (_, i): Promise<Counts[]> => {
      const range = [1 + i * each, 1 + Math.min(recordings, (i + 1) * each)].map(String);
      const { stdout } = await promisify(execFile)(process.execPath, ["--import", "tsx", here, ...range]);
      return JSON.parse(stdout);
    }),
  );
  for (const [i, db] of levelsDb.entries()) {
    const sum = (what: keyof Counts) => parts.reduce((total, part) => total + (part[i] as Counts)[what], 0);
    console.log(
      `plucks, ${recordings} recordings ${db} dB over the noise: right within 0.5 % and sure ${share(sum("right"), recordings)}${db === 10 ? ", aim 98" : ""}; right but not sure ${share(sum("unsure"), recordings)}; refused ${share(sum("refused"), recordings)}; wrong and called sure ${share(sum("wrong"), recordings)}${db === 10 ? ", aim 0.2 at most" : ""}`,
    );
  }
  const long = recordedIn(
    pluckSound({ ...someString(seededRandom(5)), stringHz: 90 }, 48_000, 5),
    48_000,
    { signalToNoiseDb: 20, mainsHz: 50, hum: 0.3, knocksS: [] },
    seededRandom(1),
  );
  hearPluck({ samples: long, sampleRateHz: 48_000 }, { bandHz: [10, 1200] });
  const before = process.cpuUsage();
  for (let i = 0; i < 5; i++) hearPluck({ samples: long, sampleRateHz: 48_000 }, { bandHz: [10, 1200] });
  const { user, system } = process.cpuUsage(before);
  console.log(`a pluck of 5 s at 48 kHz: ${((user + system) / 5e6).toFixed(3)} s of CPU`);
}

// A part of them, in a process of its own.
if (process.argv[1] === here) {
  const [from, to] = process.argv.slice(2).map(Number) as [number, number];
  process.stdout.write(JSON.stringify(hearSome(from, to)));
}
