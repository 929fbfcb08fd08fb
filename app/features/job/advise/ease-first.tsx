import type { ClampNow } from "~/core/logbook";
import { Button } from "~/ui/button";

/** Clamps that a move has to find eased; each press logs one. */
export function EaseFirst({ clamps, onEase }: { clamps: readonly ClampNow[]; onEase: (clamp: number) => void }) {
  const tight = clamps.flatMap((clamp, i) => (clamp.state === "eased" || clamp.state === "started" ? [] : [i + 1]));
  if (tight.length === 0) return null;
  return (
    <div className="border-l-4 border-ink pl-3 grid gap-2">
      <p className="text-lg">
        First ease {tight.length === 1 ? "clamp" : "clamps"} <span className="figure">{tight.join(", ")}</span>, all
        lightly before any is let go.
      </p>
      <div className="flex flex-wrap gap-2 items-center">
        <span>Eased:</span>
        {[...tight].reverse().map((clamp) => (
          <Button key={clamp} kind="quiet" aria-label={`Eased ${clamp}`} onClick={() => onEase(clamp)}>
            {clamp}
          </Button>
        ))}
      </div>
    </div>
  );
}
