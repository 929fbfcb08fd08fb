import { recordedView } from "~/app/features/job/read/round-view";
import { limitsInWork } from "~/core/limits";
import { type Entry, type EntryOf, type ReadingRecord, stageTrend, standingOf } from "~/core/logbook";
import { seededRandom } from "~/core/practice";
import type { Instrument, Stage, StageLimits } from "~/core/records";
import type { KnownRound } from "~/core/rounds";
import {
  frameOf,
  fromJudged,
  judgedBy,
  limitWays,
  type MeasuredQuantity,
  placeAngle,
  placeCount,
  toJudged,
  waysToMeasure,
} from "~/core/stages";
import { buildRound } from "~/operations/entries/round";
import { everyKind } from "./elements";
import { type NaiveJudgement, naiveJudgement, naiveWave } from "./naive-judgement";
import { testInstrument, testStage } from "./stage";

type JudgedStage = Stage & { limits: StageLimits };

/** One round of any kind and quantity, as entry, screen, floor, trend and a naive second judgement say of it. */
export type Judgements = {
  kind: string;
  quantity: string;
  carried: boolean;
  entry: NaiveJudgement;
  screen: NaiveJudgement;
  floor: NaiveJudgement;
  trend: { least: number; greatest: number } | null;
  ends: { least: number; greatest: number };
  naive: NaiveJudgement;
};

const band: Record<string, [number, number]> = {
  backlash: [0.1, 0.24],
  "lost-motion": [4, 12],
  tension: [180, 260],
  sag: [11.5, 23.5],
  elongation: [0, 2],
  "shaft-offset": [0, 0.1],
  gap: [0.1, 0.3],
  "switch-to-buffer": [18.2, 35],
  "switch-to-buffer-angle": [4.5, 8],
};

/** A round drawn anew; null where the geometry takes no such value. */
export function randomRound(seed: number): Judgements | null {
  const random = seededRandom(seed);
  const element = everyKind[seed % everyKind.length] as (typeof everyKind)[number];
  const quantity = judgedBy(element);
  const ways = waysToMeasure(element);
  const way = ways[Math.floor(random() * ways.length)] as MeasuredQuantity;
  const [lo, hi] = band[quantity] as [number, number];
  const limitWay = (limitWays(element)[0] ?? way) as MeasuredQuantity;
  const base = testStage("s");
  const work = limitsInWork(element, { quantity: limitWay, held: null, lo, aim: null, hi });
  const stage: JudgedStage = {
    ...base,
    kind: element.kind,
    geometry: { ...base.geometry, element },
    limits: { ...base.limits, ...(limitWay === "tension" || limitWay === way ? work : {}), lo, hi },
  };
  const dimension = { "span-frequency": "frequency", tension: "force", "span-force": "force" }[way as string];
  const instrument = {
    ...testInstrument("i"),
    ...(dimension ? { dimension, resolution: 0.1 } : {}),
    resolution: (hi - lo) * 0.1 * random() ** 2 + 1e-4,
  } as Instrument;
  const frame = frameOf(element);
  const count = 1 + Math.floor(random() * Math.min(9, placeCount(frame)));
  const places = [...new Set(Array.from({ length: count }, () => 1 + Math.floor(random() * placeCount(frame))))];
  const converted = toJudged(element, { quantity: way, held: null, indicatorRadiusMm: null, indicatorAngleDeg: 0 });
  if (!converted.ok) return null;
  const middle = lo + (hi - lo) * random() * 1.3;
  const spread = (hi - lo) * random() ** 2;
  const typed = places.map((tooth) => ({
    tooth,
    turn: 1,
    typed: fromJudged(converted.value.convert, Math.max(1e-6, middle + spread * (random() - 0.5))).toFixed(4),
    struck: random() < 0.05,
    repeats: null,
  }));
  const carries = random() < 0.3;
  const known: KnownRound | null = carries
    ? {
        id: "earlier",
        readings: [1, 2, 3].map((tooth) => ({
          tooth,
          gearAngleDeg: placeAngle(frame, { tooth: Math.min(tooth, placeCount(frame)), turn: 1 }),
          value: middle + spread * (random() - 0.5),
        })),
      }
    : null;
  const built = buildRound(
    {
      kind: "round",
      phase: "as-found",
      method: {
        quantity: way,
        instrumentId: "i",
        indicatorRadiusMm: null,
        indicatorAngleDeg: 0,
        held: null,
        temperatureC: null,
        sense: "clockwise",
      },
      readings: typed,
      continues: null,
      carries,
    },
    stage,
    instrument,
    known,
    false,
    null,
  );
  if (!built.ok) return null;
  const { result } = built.value.body;
  const entry = entryOf(built.value.body, built.value.readings);
  const view = recordedView(stage, entry, built.value.readings, known, undefined);
  const rounds = [0, 100, 200].map((day) => ({
    ...entry,
    id: `e${day}`,
    seq: day + 1,
    madeAt: `20${20 + day / 100}-01-01T00:00:00.000Z`,
  }));
  const standing = standingOf(rounds as Entry[], { limits: stage.limits, element });
  const trend = stageTrend(rounds as Entry[], stage.limits, "time");
  if (!view || !standing.judged) return null;
  return {
    kind: element.kind,
    quantity,
    carried: result.carriedFrom !== null,
    entry: { verdict: String(result.verdict), holds: String(result.holds) },
    screen: { verdict: String(view.judged.verdict), holds: String(view.judged.holds) },
    floor: { verdict: verdictOf[standing.state] ?? "", holds: String(standing.judged.holds) },
    trend: trend && { least: trend.points[0]?.min ?? Number.NaN, greatest: trend.points[0]?.max ?? Number.NaN },
    ends: { least: view.judged.least, greatest: view.judged.greatest },
    naive: naive(stage, built.value.readings, known, carries, result.expandedUncertainty),
  };
}

const verdictOf: Record<string, string> = { inside: "conforms", near: "undecided", outside: "does-not-conform" };

const entryOf = (body: EntryOf<"round">["body"], readings: ReadingRecord[]): EntryOf<"round"> =>
  ({
    id: "e",
    seq: 1,
    kind: "round",
    stageId: "s",
    jobId: "j",
    namesEntry: null,
    usage: null,
    madeAt: "2026-01-01T00:00:00.000Z",
    body,
    readings,
  }) as unknown as EntryOf<"round">;

/** The same from the readings alone: carried over, fitted and judged by hand. */
function naive(
  stage: JudgedStage,
  readings: readonly ReadingRecord[],
  known: KnownRound | null,
  carries: boolean,
  uncertainty: number,
): NaiveJudgement {
  const { element } = stage.geometry;
  const frame = frameOf(element);
  let counting = readings
    .filter(({ struck }) => !struck)
    .map(({ tooth, angleDeg, value }) => ({ tooth, angleDeg, value }));
  const fresh = counting;
  if (carries && known && !frame.ends && new Set(fresh.map(({ tooth }) => tooth)).size < 3) {
    let shift = 0;
    let common = 0;
    for (const now of fresh) {
      const was = known.readings.filter(({ tooth }) => tooth === now.tooth);
      if (was.length === 0) continue;
      shift += now.value - was.reduce((sum, { value }) => sum + value, 0) / was.length;
      common++;
    }
    const rest = known.readings.filter(({ tooth }) => !fresh.some((now) => now.tooth === tooth));
    if (common > 0 && rest.length + fresh.length > new Set(fresh.map(({ tooth }) => tooth)).size)
      counting = [
        ...fresh,
        ...rest.map(({ tooth, gearAngleDeg, value }) => ({
          tooth,
          angleDeg: gearAngleDeg,
          value: value + shift / common,
        })),
      ];
  }
  const values = counting.map(({ value }) => value);
  const angles = counting.map(({ angleDeg }) => angleDeg);
  const enough =
    counting.length >= 3 &&
    new Set(angles.map((angle) => angle % 360)).size >= 3 &&
    (stage.geometry.arcDeg !== null || !hasUnreadHalf(angles));
  const wave = frame.wave && enough ? naiveWave(angles, values, frame.teeth ? frame.teeth[1] : frame.places) : null;
  return naiveJudgement({
    quantity: judgedBy(element),
    values,
    fitted: wave ? [wave.least, wave.greatest] : [],
    lo: stage.limits.lo,
    hi: stage.limits.hi,
    uncertainty,
  });
}

/** Whether all of them say the same. */
export function allAgree({ entry, screen, floor, naive: second, trend, ends }: Judgements): boolean {
  const same = [entry, screen, floor].every(
    ({ verdict, holds }) => verdict === second.verdict && holds === second.holds,
  );
  return same && (!trend || (trend.least === ends.least && trend.greatest === ends.greatest));
}

/** From every place read, some other one lies within the half turn after it, or none does. */
const hasUnreadHalf = (angles: readonly number[]): boolean =>
  angles.some(
    (from) =>
      !angles.some((to) => {
        const on = (((to - from) % 360) + 360) % 360;
        return on > 1e-6 && on < 360 - 1e-6 && on <= 180 + 1e-6;
      }),
  );
