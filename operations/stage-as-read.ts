import { accept, type Result, refuse } from "../core/quantity";
import type { Stage, StageAdjuster, StageLimits } from "../core/records";
import { positionOf, type StageElement, teethOf, withGearIn } from "../core/stages";

/**
 * A stage with the gear in that is read: of a switchable one each ratio is a pair of its own. Where it has a position of its own its limits are
 * those of that gear, and where it rests against a stop, that stop is its adjuster.
 */
export function stageAsRead(stage: Stage, gear: string | undefined): Result<Stage> {
  const { element } = stage.geometry;
  if (gear === undefined) return accept(stage);
  const read = withGearIn(element, gear);
  if (!read) return refuse("no-such-gear", ["method", "gear"], { gear });
  const adjuster = adjusterInGear(stage.adjuster, element, gear);
  return accept({ ...ownLimits(stage, gear), adjuster, geometry: { ...stage.geometry, element: read } });
}

/** What is moved with that gear in: the stop it rests against, by what that is made of; the stage's own adjuster where it rests against none. */
export function adjusterInGear(adjuster: StageAdjuster, element: StageElement, gear: string): StageAdjuster {
  const stop = positionOf(element, gear)?.stop;
  if (!stop) return adjuster;
  return {
    ...adjuster,
    name: stop.by === "spacer" ? `Spacer under the stop of ${gear}` : `Shoulder that ${gear} rests against`,
    adjuster: { type: "shims", perMm: stop.perMm },
    means: "stop",
    alsoMoves: [],
    step: 0.01,
    positiveWord: "thicker",
    negativeWord: "thinner",
    hand: null,
    hasScale: true,
    seenFrom: "",
  };
}

/** The limits of a gear are of the geometry that it was entered with. */
function ownLimits(stage: Stage, gear: string): Stage {
  const own = positionOf(stage.geometry.element, gear)?.limits;
  if (!own) return stage;
  const { id, revision } = stage.geometry;
  const given: StageLimits["given"] = { quantity: "circumferential-backlash", held: null, ...own };
  const { sourceKind = "drawing", effectiveFrom = "" } = stage.limits ?? {};
  return { ...stage, limits: { id, revision, sourceKind, effectiveFrom, ...own, given } };
}

/** The same for showing what was read: in a gear that has been taken out of the geometry since, the stage as it is. */
export function inGear(stage: Stage, gear: string | undefined): Stage {
  const read = stageAsRead(stage, gear);
  return read.ok ? read.value : stage;
}

/** The gear itself where it rests against a stop of its own, so that a move is of that stop; undefined where the stage's adjuster moves it. */
export const ownStop = (stage: Stage, gear: string | null | undefined): string | undefined =>
  positionOf(stage.geometry.element, gear)?.stop && gear ? gear : undefined;

/** The tooth counts that mesh with that gear in. */
export const teethInMesh = (stage: Stage, gear: string | undefined) => teethOf(inGear(stage, gear).geometry.element);
