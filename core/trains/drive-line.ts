import { accept, type Result, refuse } from "../quantity";

/** A motor or whatever else drives in; speed and torque where they are known. */
export type DriveSource = { id: string; name: string; rpm: number | null; torqueNm: number | null };

/**
 * A stage in the drive line. Its driving member sits on the shaft of a source or of another stage's output (`from`), its driven one
 * on a shaft of its own, or on that of another stage (`onto`). What shares a shaft is so said by naming the same one.
 */
export type DriveLink = {
  id: string;
  from: string;
  onto: string | null;
  /** Input turns per output turn, negative where reversed; of a switchable gear the one that is in. */
  ratio: number;
  efficiency: number;
  /** At its own output; null: never read. */
  lostMotionArcmin: number | null;
};

export type DriveOutput = { at: string; name: string; wheelDiameterMm: number | null; scale: number | null };
export type DriveGraph = {
  sources: readonly DriveSource[];
  links: readonly DriveLink[];
  outputs: readonly DriveOutput[];
};

export type ShaftState = {
  /** The source, or the stage whose driven member sits on it; the first one named. */
  id: string;
  /** Source turns per turn of this shaft, with its sense; null: nothing drives it. */
  ratio: number | null;
  /** Signed: positive turns as the source does. */
  rpm: number | null;
  /** Were all of the source's power to go this way. */
  torqueNm: number | null;
  source: string | null;
  /** Stages between source and here, in that order. */
  path: string[];
};

export type Share = { id: string; arcmin: number | null; share: number };
export type OutputState = DriveOutput & {
  shaft: ShaftState;
  surfaceMPerS: number | null;
  /** Sum of what is known, at this output. */
  lostMotionArcmin: number;
  shares: Share[];
};

export type DriveLine = { shafts: ShaftState[]; outputs: OutputState[] };

/**
 * A drive line worked through from its sources: what each shaft does, and what each output adds up to. Shafts are found by following
 * `onto`, then driven one after the other until nothing more turns; what nothing drives stands, and is said to.
 *
 * @returns the line, or a refusal at links.i: `no-such-shaft` at from or onto, `train-loops` at from (facts: name of the stage that comes
 *   round to itself), `driven-twice` at onto (facts: ratio that would fit, and the one that is there)
 */
export function driveLine(graph: DriveGraph): Result<DriveLine> {
  const { sources, links, outputs } = graph;
  const ids = new Set([...sources, ...links].map(({ id }) => id));
  for (const [i, link] of links.entries()) {
    if (!ids.has(link.from)) return refuse("no-such-shaft", ["links", i, "from"]);
    if (link.onto !== null && !links.some(({ id }) => id === link.onto))
      return refuse("no-such-shaft", ["links", i, "onto"]);
  }
  const shaftOf = shaftsOf(graph);
  const looped = firstLoop(links, shaftOf);
  if (looped !== null) return refuse("train-loops", ["links", looped, "from"], { stage: links[looped]?.id ?? "" });

  const shafts = new Map<string, ShaftState>();
  for (const { id, rpm, torqueNm } of sources) shafts.set(id, { id, ratio: 1, rpm, torqueNm, source: id, path: [] });
  const waiting = new Map(links.map((link, i) => [i, link]));
  for (let turned = true; turned; ) {
    turned = false;
    for (const [i, link] of waiting) {
      const driver = shafts.get(shaftOf(link.from));
      if (!driver || driver.ratio === null) continue;
      waiting.delete(i);
      turned = true;
      const driven = drivenBy(driver, link, shaftOf(link.id));
      const known = shafts.get(driven.id);
      if (!known) shafts.set(driven.id, driven);
      else if (!sameSpeed(known, driven))
        return refuse("driven-twice", ["links", i, "onto"], {
          stage: link.id,
          fits: (known.ratio ?? 1) / (driver.ratio ?? 1),
          is: link.ratio,
        });
    }
  }
  for (const link of waiting.values()) {
    const id = shaftOf(link.id);
    if (!shafts.has(id)) shafts.set(id, { id, ratio: null, rpm: null, torqueNm: null, source: null, path: [] });
  }
  const byId = new Map(links.map((link) => [link.id, link]));
  return accept({
    shafts: [...shafts.values()],
    outputs: outputs.flatMap((output) => {
      const shaft = shafts.get(shaftOf(output.at));
      return shaft ? [outputState(output, shaft, byId)] : [];
    }),
  });
}

/** Finds the shaft of a source or stage: that of the stage whose output it shares, and so on. */
function shaftsOf({ links }: DriveGraph): (id: string) => string {
  const onto = new Map(links.map((link) => [link.id, link.onto]));
  return (id) => {
    const seen = new Set<string>();
    let at = id;
    for (let next = onto.get(at); next && !seen.has(next); next = onto.get(at)) {
      seen.add(at);
      at = next;
    }
    return at;
  };
}

/** The first stage whose driving shaft hangs, through others, on its own driven one. */
function firstLoop(links: readonly DriveLink[], shaftOf: (id: string) => string): number | null {
  const drives = new Map<string, string[]>();
  for (const link of links) {
    const driven = shaftOf(link.id);
    drives.set(driven, [...(drives.get(driven) ?? []), shaftOf(link.from)]);
  }
  const hangsOn = (start: string, wanted: string): boolean => {
    const seen = new Set<string>();
    const queue = [start];
    for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
      if (at === wanted) return true;
      if (seen.has(at)) continue;
      seen.add(at);
      queue.push(...(drives.get(at) ?? []));
    }
    return false;
  };
  const found = links.findIndex((link) => hangsOn(shaftOf(link.from), shaftOf(link.id)));
  return found < 0 ? null : found;
}

function drivenBy(driver: ShaftState, link: DriveLink, id: string): ShaftState {
  return {
    id,
    ratio: (driver.ratio ?? 1) * link.ratio,
    rpm: driver.rpm === null ? null : driver.rpm / link.ratio,
    torqueNm: driver.torqueNm === null ? null : driver.torqueNm * Math.abs(link.ratio) * link.efficiency,
    source: driver.source,
    path: [...driver.path, link.id],
  };
}

/** Two ways to one shaft must agree, to the digits that tooth counts give. */
const sameSpeed = (a: ShaftState, b: ShaftState): boolean =>
  a.source === b.source && Math.abs((a.ratio ?? 0) - (b.ratio ?? 0)) <= 1e-9 * Math.abs(a.ratio ?? 1);

function outputState(output: DriveOutput, shaft: ShaftState, links: ReadonlyMap<string, DriveLink>): OutputState {
  let behind = 1;
  const shares = [...shaft.path].reverse().map((id) => {
    const link = links.get(id) as DriveLink;
    const arcmin = link.lostMotionArcmin === null ? null : link.lostMotionArcmin / behind;
    behind *= Math.abs(link.ratio);
    return { id, arcmin };
  });
  const total = shares.reduce((sum, { arcmin }) => sum + (arcmin ?? 0), 0);
  return {
    ...output,
    shaft,
    surfaceMPerS:
      shaft.rpm === null || output.wheelDiameterMm === null
        ? null
        : (Math.PI * output.wheelDiameterMm * Math.abs(shaft.rpm)) / 60_000,
    lostMotionArcmin: total,
    shares: shares
      .reverse()
      .map(({ id, arcmin }) => ({ id, arcmin, share: total === 0 || arcmin === null ? 0 : arcmin / total })),
  };
}

/** How much faster one output runs than another, in per cent: by surface speed where both have wheels, else by turns. */
export function aheadPercent(one: OutputState, other: OutputState): number | null {
  const speeds =
    one.surfaceMPerS !== null && other.surfaceMPerS !== null
      ? [one.surfaceMPerS, other.surfaceMPerS]
      : [one.shaft.ratio, other.shaft.ratio].map((ratio) => (ratio === null ? null : Math.abs(1 / ratio)));
  const [a, b] = speeds;
  return a === null || a === undefined || !b ? null : 100 * (a / b - 1);
}
