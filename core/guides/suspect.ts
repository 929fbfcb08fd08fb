import type { TurnFeel, TurnWay } from "./vocabulary";

/** What was done in order: a part put on or taken off, its screws tightened, and how it turned after that. */
export type BuildStep =
  | { did: "on" | "off" | "screws"; part: string }
  | { did: "turned"; way: TurnWay; feel: TurnFeel };

/** A part, or its screws, that may make it bind. */
export type Suspect = { part: string; by: "part" | "screws" };

export type NextTest =
  /** Turn the suspect by itself; push it home at that end only; slacken its screws half a turn. */
  | { code: Exclude<TurnWay, "as built"> }
  /** Several came on since it was free: take off the newer half and turn again. */
  | { code: "newer-half"; parts: string[] }
  /** Rough or stiff by itself: it is the part. */
  | { code: "part-itself" }
  /** Free with its screws slackened: they pull it askew. */
  | { code: "screws-pull" }
  /** Stiff when it is pushed home there: look for a burr, a raised edge, dust. */
  | { code: "fouled-there" }
  /** Every test is done and it still binds: look at all that touches it. */
  | { code: "look" };

export type Binding = {
  /** Newest first. */
  suspects: Suspect[];
  next: NextTest;
  /** Whether it was ever turned and found free before; if not, everything on is suspect. */
  wasFree: boolean;
};

/**
 * Who makes it bind, when it did not turn freely the last time it was turned as built: all that came on or was tightened since it was last
 * free, the newest first, and which test tells most next. Null while it turns freely, or nobody has turned it.
 *
 * @source common practice: turn by hand after every part, the last one added is the culprit; a part that is free alone and stiffens when
 *   pushed home is fouled at that end
 */
export function binding(steps: readonly BuildStep[]): Binding | null {
  const last = steps.findLastIndex((step) => step.did === "turned" && step.way === "as built");
  const turn = steps[last];
  if (turn?.did !== "turned" || turn.feel === "free") return null;
  const free = steps.findLastIndex((step) => step.did === "turned" && step.way === "as built" && step.feel === "free");
  const suspects: Suspect[] = [];
  const drop = (part: string) => {
    for (let i = suspects.length - 1; i >= 0; i--) if (suspects[i]?.part === part) suspects.splice(i, 1);
  };
  for (const step of steps.slice(free + 1)) {
    if (step.did === "turned") continue;
    if (step.did === "off") drop(step.part);
    else {
      const by = step.did === "screws" ? "screws" : "part";
      const there = suspects.findIndex((one) => one.part === step.part && one.by === by);
      if (there >= 0) suspects.splice(there, 1);
      suspects.unshift({ part: step.part, by });
    }
  }
  return { suspects, next: nextTest(suspects, steps.slice(last + 1)), wasFree: free >= 0 };
}

function nextTest(suspects: readonly Suspect[], since: readonly BuildStep[]): NextTest {
  const parts = [...new Set(suspects.map(({ part }) => part))];
  if (parts.length > 1) return { code: "newer-half", parts: parts.slice(0, Math.ceil(parts.length / 2)) };
  const tested = new Map<TurnWay, TurnFeel>();
  for (const step of since) if (step.did === "turned") tested.set(step.way, step.feel);
  const alone = tested.get("alone");
  if (alone !== undefined && alone !== "free") return { code: "part-itself" };
  if (tested.get("half a turn back") === "free") return { code: "screws-pull" };
  const there = tested.get("at that end only");
  if (there !== undefined && there !== "free") return { code: "fouled-there" };
  const first: TurnWay[] = suspects[0]?.by === "screws" ? ["half a turn back", "alone"] : ["alone"];
  const untested = [...first, "at that end only", "half a turn back"].find((way) => !tested.has(way as TurnWay));
  return untested === undefined ? { code: "look" } : { code: untested as Exclude<TurnWay, "as built"> };
}
