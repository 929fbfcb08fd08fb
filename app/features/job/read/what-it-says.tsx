import { memo, type RefObject, startTransition, useEffect, useMemo, useRef, useState } from "react";
import { setShares } from "~/core/rounds";
import { measuredUnit } from "~/core/stages";
import type { DraftBody } from "~/operations/draft-body";
import { ownStop } from "~/operations/stage-as-read";
import { useHandler } from "~/ui/use-handler";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { withUnit } from "../../words/spoken";
import { OtherWay, ReadAgain } from "../advise/after-move";
import { MovePane } from "../advise/move-pane";
import { useJobScreen } from "../entries/job-context";
import { useLaidShims } from "../entries/laid-shims";
import { useTyped } from "../entries/use-draft";
import { Onward } from "../stations/onward";
import { MeterShows } from "./meter-shows";
import { unreadGear } from "./next-gear";
import { OtherGearFirst } from "./other-gear-first";
import { RoundPane } from "./round-pane";
import { type RoundView, roundView } from "./round-view";
import type { Logging } from "./use-logging";
import { isTyping, type RoundNow } from "./use-round";

const Picture = memo(RoundPane);
const NextMove = memo(MovePane);
const setPane = later(async () => (await import("./set-pane")).SetPane);

/**
 * The picture of the readings and the next move. They follow the open field when no key has come for a moment: half a
 * number says nothing, and the field never waits for them.
 */
export function WhatItSays({
  now,
  logging,
  soButton,
}: {
  now: RoundNow;
  logging: Logging;
  soButton: RefObject<HTMLButtonElement | null>;
}) {
  const { stage, job } = useJobScreen();
  const { phase, positions, recorded, waitingForReading, asking, questioned, readings, wentOtherWay, texts } = now;
  const round = useRoundShown(phase);
  const tooth = positions[Math.min(round.at, positions.length)] ?? null;
  const view = useViewShown(now, round, tooth);
  const onSo = useHandler((feelerMm?: number[]) => {
    if (view?.move) void logging.move(view, view.move.amount, "so", "", feelerMm);
  });
  const onOtherwise = useHandler((amount: number, note: string) => {
    if (amount === 0) return { code: "no-amount" as const, path: ["amount"], facts: {} };
    void logging.move(view, amount, "otherwise", note);
    return null;
  });
  const onTake = useHandler((chosen: Parameters<Logging["take"]>[1]) => void logging.take(view, chosen));
  const onEase = useHandler((clamp: number) => void job.put({ kind: "clamp", clamp, pass: 0, state: "eased" }));
  const asks = useMemo(
    () => questioned && { tooth: questioned.tooth, typed: readings[questioned.index]?.typed ?? "" },
    [questioned, readings],
  );
  const onward = useMemo(() => (now.settled ? <Onward phase={phase} /> : null), [now.settled, phase]);
  // Arrived at where a move is asked for, or the way on.
  const arrived = useRef(now.settled);
  useEffect(() => {
    if (!arrived.current || (document.activeElement && document.activeElement !== document.body)) return;
    (soButton.current ?? document.querySelector<HTMLElement>("[data-onward]"))?.focus({ preventScroll: true });
  }, [soButton]);
  const unread = phase === "as-found" ? unreadGear(job.record, stage, now.method.gear) : null;
  const laid = useLaidShims(now.read);
  const shares = useMemo(
    () => (view && !waitingForReading ? setShares(now.frame, view.readings, view.expandedUncertainty) : null),
    [view, waitingForReading, now.frame],
  );
  const meter = useMemo(() => <MeterShows stage={now.read} method={now.method} />, [now.read, now.method]);
  return (
    <>
      <div
        className={`bg-panel min-h-0 p-2 max-lg:-mx-3.5 max-lg:h-[24rem] ${asking ? "max-sm:h-60" : "max-sm:h-[18.5rem]"} shrink-0 flex items-center justify-center max-lg:order-2`}
      >
        <Picture
          stage={now.read}
          view={waitingForReading ? null : view}
          ghost={waitingForReading ? (recorded?.fitted ?? now.ghost) : now.ghost}
          currentTooth={asking ? tooth : null}
          counterClockwise={now.method.sense === "counter-clockwise"}
          laid={laid}
        />
      </div>
      <div className="lg:p-5 max-lg:py-2 min-h-0 lg:overflow-y-auto max-lg:order-1">
        {waitingForReading ? (
          <ReadAgain stage={now.read} tooth={positions[0] ?? null} />
        ) : unread !== null && now.settled ? (
          <OtherGearFirst gear={unread} />
        ) : wentOtherWay && texts[`sense.${wentOtherWay}`] !== "right" ? (
          <OtherWay stage={stage} onGoOn={() => job.changeText(`sense.${wentOtherWay}`, "right")} />
        ) : (
          <NextMove
            stage={now.read}
            gear={ownStop(stage, now.method.gear)}
            instrument={now.method.instrument}
            view={view}
            learnt={now.learnt}
            onEase={onEase}
            feltTight={now.feltTight}
            onSo={onSo}
            onTake={onTake}
            onOtherwise={onOtherwise}
            questioned={asks}
            soButton={soButton}
            onward={onward}
            meter={meter}
          />
        )}
        {shares && <WhenHere part={setPane} props={{ shares }} />}
      </div>
    </>
  );
}

const restMs = 150;

/** The round as it is typed; while keys come and only the open field differs, as it was before them. */
function useRoundShown(phase: RoundNow["phase"]): DraftBody["rounds"][RoundNow["phase"]] {
  const round = useTyped(({ rounds }) => rounds[phase]);
  const [before, setBefore] = useState(round);
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setBefore(round)), restMs);
    return () => clearTimeout(timer);
  }, [round]);
  return before.readings === round.readings && before.at === round.at ? before : round;
}

/** Of what is typed, the open field with it while it can be understood; else as it stands in the logbook. */
function useViewShown(
  { taken, recorded, asked, method }: RoundNow,
  round: DraftBody["rounds"][RoundNow["phase"]],
  tooth: number | null,
): RoundView | null {
  const { readings } = round;
  // A point that nothing follows yet changes nothing.
  const open = round.field.replace(/[.,\s]+$/, "");
  const typed = useMemo(() => {
    if (tooth === null || open === "") return taken;
    const bare = measuredUnit[method.quantity].bare;
    return roundView({ ...asked, readings, open: { typed: withUnit(open, method.bareUnit, bare), tooth } });
  }, [tooth, open, taken, asked, readings, method]);
  return isTyping(round) ? typed : recorded;
}
