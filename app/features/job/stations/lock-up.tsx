import { Link, useSearchParams } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import { circleOrder, passesOf, pointsOrder } from "~/core/fastening";
import type { ClampState } from "~/core/logbook";
import type { ClampPattern } from "~/core/records";
import { Button, buttonClass } from "~/ui/button";
import { useDoNow } from "../../shell/use-arrival";
import { compoundWords, threadWords, torqueWords } from "../../words/torque";
import { useJobScreen } from "../entries/job-context";
import { ReadingStation } from "../read/reading-station";
import { LookOver } from "./look-over";

type Touch = { clamp: number; pass: number; state: ClampState };

/**
 * The clamps where they are, in their order; each touch logs one. Then the check round. The second half of a double tap
 * (detail 2) would log the next clamp, which nobody has touched.
 */
export function LockUp() {
  const reader = useWords();
  const { stage, job, entriesHere, stationPath } = useJobScreen();
  const [search] = useSearchParams();
  const pattern = stage.geometry.clamps;
  const clamps = job.record.clamps;
  const touches = allTouches(pattern);
  const next = nextTouch(touches, clamps);
  const touched = entriesHere.filter((entry) => entry.kind === "clamp").length;
  useDoNow(next === null);
  if (search.get("round") === "check") return <ReadingStation phase="check" />;

  const here = stationPath("lock-up");
  const checkPath = `${here}${here.includes("?") ? "&" : "?"}round=check`;
  const touch = ({ clamp, pass, state }: Touch) => job.put({ kind: "clamp", clamp, pass, state });
  const allFirm = clamps.every((clamp) => clamp.state === "firm" || clamp.state === "dressed");
  const torque = next ? torqueOf(pattern, next) : null;
  return (
    <div className="grow min-h-0 grid lg:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] overflow-y-auto">
      <div className="bg-panel min-h-80 p-4 flex items-center justify-center">
        <ClampDrawing
          pattern={pattern}
          clamps={clamps}
          next={next?.clamp ?? null}
          onTouch={(clamp) => next && touch({ ...next, clamp })}
        />
      </div>
      <section aria-label="Next clamp" className="p-5 flex flex-col gap-4">
        {next ? (
          <>
            <p className="text-mid font-semibold">
              {stateStep[next.state]}
              {next.state === "dressed" || next.state === "started" ? "" : `, pass ${next.pass} of ${pattern.passes}`}
            </p>
            <p className="text-2xl font-semibold leading-snug" aria-live="polite">
              {next.state !== "dressed" && next.state !== "started" && next.pass === 1
                ? "Start every screw, then clamp "
                : "Clamp "}
              <span className="text-now">{next.clamp}</span>
              {next.state === "started" ? (
                ": by hand, a few threads, until it runs free."
              ) : (
                <>
                  {next.state === "dressed"
                    ? ": draw it, dress it with threadlocking compound, drive it home to "
                    : next.pass === 1
                      ? " to "
                      : ": to "}
                  <span className="figure">{torqueWords(reader, torque)}</span>.
                </>
              )}
            </p>
            <div>
              <Button key={touched} autoFocus kind="now" large onClick={(event) => event.detail < 2 && touch(next)}>
                Clamp {next.clamp} {next.state}
              </Button>
            </div>
            <p className="text-lg">
              Order: <span className="figure">{orderOf(pattern).join(" – ")}</span>.{" "}
              {pattern.size && `${pattern.size}. `}
              {pattern.torqueNm === null ? (
                "Full torque not known. "
              ) : (
                <>
                  Full torque <span className="figure">{torqueWords(reader, pattern.torqueNm)}</span>,{" "}
                  {threadWords(pattern)}.{" "}
                </>
              )}
              Touch another clamp in the drawing if you took it first.
            </p>
            {next.state === "dressed" && (
              <p className="text-lg border-l-4 border-near pl-3">{compoundWords(reader, pattern)}</p>
            )}
          </>
        ) : (
          <p className="text-2xl font-semibold">
            {clamps.length === 0
              ? "No clamps are entered for this stage."
              : pattern.compound
                ? "Every clamp is dressed and home."
                : "Every clamp is firm."}
          </p>
        )}
        {allFirm && (
          <div className="border-t border-rule pt-4">
            <p className="text-lg mb-3">Tightening moves things. Read it again all the way round.</p>
            <Link to={checkPath} replace className={buttonClass(next ? "line" : "now", true)}>
              Read the check round
            </Link>
          </div>
        )}
        <LookOver key={stage.id} />
        {clamps.length > 0 && (
          <details className="border-t border-rule pt-2">
            <summary className="min-h-11 content-center cursor-pointer font-semibold underline">
              Ease the clamps again
            </summary>
            <p className="my-2">In the reverse order, all lightly first. Each touch logs one.</p>
            <div className="flex flex-wrap gap-2">
              {[...orderOf(pattern)].reverse().map((clamp) => (
                <Button
                  key={clamp}
                  onClick={() => touch({ clamp, pass: 0, state: "eased" })}
                  disabled={clamps[clamp - 1]?.state === "eased"}
                >
                  Ease {clamp}
                </Button>
              ))}
            </div>
          </details>
        )}
      </section>
    </div>
  );
}

const stateStep: Record<ClampState, string> = {
  eased: "Eased",
  started: "Start every screw before any is tightened",
  snug: "Tighten",
  firm: "Tighten to full torque",
  dressed: "Locking compound",
};

const orderOf = ({ points }: ClampPattern): number[] =>
  isCircle(points) ? circleOrder(points.length) : pointsOrder(points);

const isCircle = (points: ClampPattern["points"]): boolean => {
  const radii = points.map(({ x, y }) => Math.hypot(x, y));
  return points.length > 4 && Math.max(...radii) - Math.min(...radii) < 0.02 * Math.max(...radii);
};

const torqueOf = (pattern: ClampPattern, { pass }: Touch): number | null =>
  pattern.torqueNm === null ? null : (pattern.torqueNm * Math.max(1, pass)) / pattern.passes;

/** Every touch of a lock-up in order: all started, the passes, the last one firm, then compound screw by screw. */
function allTouches(pattern: ClampPattern): Touch[] {
  const order = orderOf(pattern);
  const tightening = passesOf(order, pattern.passes).flatMap((pass, i): Touch[] =>
    pass.order.map((clamp) => ({ clamp, pass: i + 1, state: i + 1 === pattern.passes ? "firm" : "snug" })),
  );
  const dressing = pattern.compound
    ? order.map((clamp): Touch => ({ clamp, pass: pattern.passes, state: "dressed" }))
    : [];
  const starting = order.map((clamp): Touch => ({ clamp, pass: 0, state: "started" }));
  return [...starting, ...tightening, ...dressing];
}

/** The first touch that has not been made, from how far each clamp has come. */
function nextTouch(touches: readonly Touch[], clamps: readonly { state: string; pass: number }[]): Touch | null {
  const reached = (clamp: { state: string; pass: number } | undefined) => {
    if (!clamp || clamp.state === "eased") return 0;
    // A clamp that nobody touched sits in its hole: it needs no starting.
    if (clamp.state === "unknown" || clamp.state === "started") return 0.5;
    return clamp.state === "dressed" ? 1000 : clamp.pass;
  };
  const needs = (touch: Touch) => (touch.state === "dressed" ? 1000 : touch.state === "started" ? 0.5 : touch.pass);
  return touches.find((touch) => reached(clamps[touch.clamp - 1]) < needs(touch)) ?? null;
}

function ClampDrawing({
  pattern,
  clamps,
  next,
  onTouch,
}: {
  pattern: ClampPattern;
  clamps: readonly { state: string; pass: number }[];
  next: number | null;
  onTouch: (clamp: number) => void;
}) {
  const reach = Math.max(...pattern.points.flatMap(({ x, y }) => [Math.abs(x), Math.abs(y)]), 1);
  const scale = 150 / reach;
  const order = orderOf(pattern);
  const places = order.map((clamp) => pattern.points[clamp - 1] ?? { x: 0, y: 0 });
  return (
    <svg viewBox="-215 -215 430 430" className="w-full max-h-full max-w-xl" aria-label="Clamps where they stand">
      <polyline
        points={places.map(({ x, y }) => `${x * scale},${y * scale}`).join(" ")}
        className="fill-none stroke-rule"
        strokeWidth="2"
        strokeDasharray="4 5"
      />
      {pattern.points.map(({ x, y }, i) => {
        const clamp = clamps[i] ?? { state: "unknown", pass: 0 };
        const firm = clamp.state === "firm" || clamp.state === "dressed";
        const isNext = next === i + 1;
        return (
          // biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside an SVG drawing
          <g
            key={`${x} ${y}`}
            role="button"
            tabIndex={0}
            aria-label={`Clamp ${i + 1}, ${clamp.state === "unknown" ? "not known" : clamp.state}`}
            transform={`translate(${x * scale} ${y * scale})`}
            className="cursor-pointer"
            onClick={(event) => event.detail < 2 && onTouch(i + 1)}
            onKeyDown={(event) => {
              if (event.key !== "Enter" && event.key !== " ") return;
              event.preventDefault();
              onTouch(i + 1);
            }}
          >
            <circle
              r="36"
              className={isNext ? "fill-panel stroke-now" : firm ? "fill-ink stroke-ink" : "fill-panel stroke-mid"}
              strokeWidth={isNext ? 5 : 2.5}
            />
            <path
              d={hexagon(20)}
              className={firm ? "fill-none stroke-panel" : "fill-none stroke-mid"}
              strokeWidth="2"
            />
            <text
              y="8"
              textAnchor="middle"
              fontSize="22"
              fontWeight="650"
              className={`figure ${firm && !isNext ? "fill-panel" : "fill-ink"}`}
            >
              {i + 1}
            </text>
            <text
              y="56"
              textAnchor="middle"
              fontSize="15"
              className="fill-mid stroke-panel"
              strokeWidth="5"
              paintOrder="stroke"
            >
              {clamp.state === "unknown" ? "" : clamp.state === "snug" ? `snug ${clamp.pass}` : clamp.state}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

const hexagon = (r: number): string =>
  `M${Array.from({ length: 6 }, (_, i) => `${r * Math.sin((i * Math.PI) / 3)} ${-r * Math.cos((i * Math.PI) / 3)}`).join("L")}Z`;
