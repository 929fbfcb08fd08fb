import type { Point, StageShapes } from "../drawing";
import { degrees, radians } from "../numerics";
import { stageShapes } from "./drawn";
import type { KeptDriveLine } from "./drive-graph";
import type { StageElement } from "./element";

export type PlacedStage = {
  id: string;
  shapes: StageShapes["shapes"];
  /** Where its first shaft stands on the sheet, mm, and how far it is turned about it, clockwise. */
  at: Point;
  /** Its own first shaft, about which it is turned. */
  pivot: Point;
  angleDeg: number;
  /** On the sheet. */
  driven: Point;
  box: StageShapes["box"];
};

export type DriveLineShapes = {
  stages: PlacedStage[];
  /** Sources, and shafts of stages by the stage whose driven member sits on them. */
  shafts: { id: string; at: Point }[];
  box: StageShapes["box"];
};

/** Room between the trees of two sources, as a part of the taller one. */
const apart = 0.15;

/**
 * A drive line to scale: every stage stands with its driving shaft on the shaft that drives it, turned as it was laid. What shares a shaft
 * lies over one another, as it does seen along the axes; a stage that drives a shaft that is there already is drawn from its own
 * driver. Stages that hang on nothing are left out.
 */
export function driveLineShapes(
  kept: KeptDriveLine,
  stages: readonly { id: string; element: StageElement }[],
): DriveLineShapes {
  const placed: PlacedStage[] = [];
  const shafts: DriveLineShapes["shafts"] = [];
  let top = 0;
  for (const source of kept.sources) {
    const grown = growFrom(source.id, kept, stages);
    if (grown.length === 0) {
      shafts.push({ id: source.id, at: [0, top] });
      continue;
    }
    const box = around(grown.map((stage) => stage.box));
    const shift = shafts.length === 0 ? 0 : top - box.top;
    const moved = grown.map((stage) => movedDown(stage, shift));
    placed.push(...moved);
    shafts.push({ id: source.id, at: [0, shift] }, ...moved.map(({ id, driven }) => ({ id, at: driven })));
    top = box.bottom + shift + apart * (box.bottom - box.top);
  }
  return { stages: placed, shafts, box: placed.length === 0 ? empty : around(placed.map((stage) => stage.box)) };
}

const empty = { left: 0, top: 0, right: 1, bottom: 1 };

function growFrom(
  source: string,
  kept: KeptDriveLine,
  stages: readonly { id: string; element: StageElement }[],
): PlacedStage[] {
  const grown: PlacedStage[] = [];
  const queue: { id: string; at: Point }[] = [{ id: source, at: [0, 0] }];
  const seen = new Set<string>();
  for (let shaft = queue.shift(); shaft; shaft = queue.shift()) {
    const { id, at } = shaft;
    const shares = kept.links
      .filter(({ stageId, onto }) => onto === id || stageId === id)
      .map(({ stageId }) => stageId);
    for (const link of kept.links.filter(({ from }) => from === id || shares.includes(from))) {
      const stage = stages.find((item) => item.id === link.stageId);
      const drawn = stage && stageShapes(stage.element);
      if (!drawn || seen.has(link.stageId)) continue;
      seen.add(link.stageId);
      const one = placeStage(link.stageId, drawn, at, link.angleDeg);
      grown.push(one);
      queue.push({ id: link.stageId, at: one.driven });
    }
  }
  return grown;
}

function placeStage(id: string, drawn: StageShapes, at: Point, angleDeg: number): PlacedStage {
  const [pivot, other] = drawn.shafts;
  const turn = radians(angleDeg);
  const put = ([x, y]: Point): Point => {
    const [dx, dy] = [x - pivot[0], y - pivot[1]];
    return [at[0] + dx * Math.cos(turn) - dy * Math.sin(turn), at[1] + dx * Math.sin(turn) + dy * Math.cos(turn)];
  };
  const { left, top, right, bottom } = drawn.box;
  const corners = (
    [
      [left, top],
      [right, top],
      [right, bottom],
      [left, bottom],
    ] as Point[]
  ).map(put);
  return {
    id,
    shapes: drawn.shapes,
    at,
    pivot,
    angleDeg,
    driven: put(other),
    box: {
      left: Math.min(...corners.map(([x]) => x)),
      top: Math.min(...corners.map(([, y]) => y)),
      right: Math.max(...corners.map(([x]) => x)),
      bottom: Math.max(...corners.map(([, y]) => y)),
    },
  };
}

const movedDown = (stage: PlacedStage, by: number): PlacedStage => ({
  ...stage,
  at: [stage.at[0], stage.at[1] + by],
  driven: [stage.driven[0], stage.driven[1] + by],
  box: { ...stage.box, top: stage.box.top + by, bottom: stage.box.bottom + by },
});

const around = (boxes: readonly StageShapes["box"][]): StageShapes["box"] => ({
  left: Math.min(...boxes.map(({ left }) => left)),
  top: Math.min(...boxes.map(({ top }) => top)),
  right: Math.max(...boxes.map(({ right }) => right)),
  bottom: Math.max(...boxes.map(({ bottom }) => bottom)),
});

/** How a further stage on a shaft is laid so that it hides little: straight on, then to either side of that. */
export function usualAngle(kept: KeptDriveLine, from: string): number {
  const before = kept.links.find(({ stageId }) => stageId === from)?.angleDeg ?? 0;
  const beside = kept.links.filter((link) => link.from === from).length;
  const steps = [0, 55, -55, 110, -110, 165];
  return ((before + (steps[beside % steps.length] ?? 0) + 540) % 360) - 180;
}

/** The angle at which a stage is laid in the mirror image of a machine: left and right change places, up stays up. */
export function mirroredAngle(element: StageElement, angleDeg: number): number {
  const [a, b] = stageShapes(element)?.shafts ?? [
    [0, 0],
    [1, 0],
  ];
  const own = degrees(Math.atan2(b[1] - a[1], b[0] - a[0]));
  return ((((180 - 2 * own - angleDeg + 540) % 360) + 360) % 360) - 180;
}
