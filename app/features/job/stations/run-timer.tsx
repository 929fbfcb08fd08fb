import { useCallback, useEffect, useRef, useState } from "react";
import { isForgotten, ranMs, startTimer, type RunTimer as Timer, turnedTo, watchTimer } from "~/core/proving";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { formatNumber } from "../../words/figure";
import { useWords } from "../../words/use-words";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { TurnDial } from "./turn-dial";

const keptEveryMs = 60_000;

/** A run that takes its time: how long it has run, through sleep and reload, and where the output should stand by now. */
export function RunTimer({
  minutes,
  outputRpm,
  wholeTurn,
  error,
}: {
  /** So long at least; null: as long as it takes. */
  minutes: number | null;
  /** What the train gives; null: not known. */
  outputRpm: number | null;
  /** One turn watched for a stall: where that was belongs to it. */
  wholeTurn: boolean;
  error: (name: string) => string | undefined;
}) {
  const reader = useWords();
  const { job } = useJobScreen();
  const texts = useTexts();
  const { timer, now } = useTimer(texts["proof.timer"] ?? "", (text) => job.changeText("proof.timer", text));
  const set = (name: string, text: string) => job.changeText(`proof.${name}`, text);
  // Where it began is known only where somebody read it.
  const from = degreesIn(texts["proof.from"]);
  const ms = timer ? ranMs(timer, now) : 0;
  const forgotten = timer !== null && isForgotten(timer, now, minutes);
  const slow = outputRpm !== null && outputRpm > 0 && outputRpm <= slowRpm;
  const expected = timer && slow && from !== null ? turnedTo(from, outputRpm, ms) : null;
  const stop = () => {
    if (!timer) return;
    set("minutes", formatNumber(reader, ms / 60_000, 2));
    set("minutesBy", "timer");
    set("clock", `${Math.round(timer.jumpedMs / 1000)} ${Math.round(timer.unwatchedMs / 1000)}`);
    set("timer", "");
  };
  return (
    <section aria-label="How long" className="grid gap-3">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        {timer ? (
          <>
            <p className="figure text-4xl" role="timer" aria-label="Has run for">
              {clockText(ms)}
            </p>
            <Button kind="line" large onClick={stop}>
              Stop the clock
            </Button>
          </>
        ) : (
          <Button
            kind="line"
            large
            onClick={() => set("timer", JSON.stringify(startTimer(Date.now(), performance.now())))}
          >
            Start the clock
          </Button>
        )}
        <Field
          label="Ran for"
          hint={minutes === null ? "minutes" : `minutes; ${formatNumber(reader, minutes, 0)} at least`}
          autoComplete="off"
          value={texts["proof.minutes"] ?? ""}
          onChange={(event) => {
            set("minutes", event.target.value);
            set("minutesBy", "typed");
          }}
          error={error("minutes")}
          className="w-40"
        />
      </div>
      {timer && minutes !== null && (
        <p className="text-lg">
          {ms >= minutes * 60_000 ? "It has run as long as it should." : `${clockText(minutes * 60_000 - ms)} to go.`}
        </p>
      )}
      {forgotten && (
        <p role="alert" className="border-l-4 border-near pl-3 text-lg">
          The clock has been going for {formatNumber(reader, ms / 3_600_000, 0)} hours: was it forgotten? Type how long
          the run really took, or start it again; nothing is logged from it by itself.
        </p>
      )}
      {timer && timer.jumpedMs !== 0 && (
        <p role="alert" className="border-l-4 border-near pl-3 text-lg">
          This tablet’s clock was set back by {formatNumber(reader, -timer.jumpedMs / 60_000, 1)} min meanwhile; that is
          taken out again.
        </p>
      )}
      {timer && timer.unwatchedMs > 30_000 && (
        <p className="border-l-4 border-near pl-3 text-lg">
          Nobody watched for {clockText(timer.unwatchedMs)}: the tablet slept, or its clock was set. Hold it against
          another watch.
        </p>
      )}
      {(slow || wholeTurn) && (
        <div className="flex flex-wrap gap-5 items-center">
          <TurnDial
            expectedDeg={expected}
            endedDeg={degreesIn(texts["proof.endedAt"])}
            fromDeg={degreesIn(texts["proof.from"])}
          />
          <div className="grid gap-3 w-60">
            <Field
              label="Begun at"
              hint="degrees of the output from its mark"
              autoComplete="off"
              value={texts["proof.from"] ?? ""}
              onChange={(event) => set("from", event.target.value)}
              error={error("from")}
            />
            <Field
              label="Stalled or stopped at"
              hint="degrees; read it at the mark"
              autoComplete="off"
              value={texts["proof.endedAt"] ?? ""}
              onChange={(event) => set("endedAt", event.target.value)}
              error={error("endedAt")}
            />
          </div>
        </div>
      )}
    </section>
  );
}

/** Slower than that, one waits for the output to come round. */
const slowRpm = 2;

const degreesIn = (text: string | undefined): number | null => {
  const value = Number((text ?? "").replace(",", ".").replace(/[°\s]|deg/g, ""));
  return (text ?? "").trim() === "" || !Number.isFinite(value) ? null : value;
};

/** "1:02:09", "4:30". */
function clockText(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60];
  const two = (n: number) => String(n).padStart(2, "0");
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

/** The timer that lies in the draft, watched every second while the page is seen; kept when something of the clock was not right, and now and then. */
function useTimer(text: string, onChange: (text: string) => void): { timer: Timer | null; now: number } {
  const kept = timerIn(text);
  const [seen, setSeen] = useState<{ text: string; timer: Timer | null; now: number }>({ text, timer: kept, now: 0 });
  const samePage = useRef<string | null>(null);
  const keep = useRef(onChange);
  useEffect(() => {
    keep.current = onChange;
  });
  const look = useCallback(() => {
    setSeen((before) => {
      const timer = before.text === text ? before.timer : timerIn(text);
      const wall = Date.now();
      if (!timer) return { text, timer: null, now: wall };
      return {
        text,
        timer: watchTimer(timer, wall, performance.now(), samePage.current === String(timer.startedAtMs)),
        now: wall,
      };
    });
    const started = timerIn(text)?.startedAtMs;
    samePage.current = started === undefined ? null : String(started);
  }, [text]);
  useEffect(() => {
    look();
    const ticking = setInterval(look, 1000);
    document.addEventListener("visibilitychange", look);
    return () => {
      clearInterval(ticking);
      document.removeEventListener("visibilitychange", look);
    };
  }, [look]);
  const { timer } = seen.text === text ? seen : { timer: kept };
  const now = seen.now || (kept?.seenAtMs ?? 0);
  const wasSeen = kept?.seenAtMs ?? 0;
  const odd = timer && kept && (timer.jumpedMs !== kept.jumpedMs || timer.unwatchedMs !== kept.unwatchedMs);
  const due = timer && (odd || timer.seenAtMs - wasSeen > keptEveryMs);
  useEffect(() => {
    if (due && timer) keep.current(JSON.stringify(timer));
  }, [due, timer]);
  return { timer, now };
}

export function timerIn(text: string): Timer | null {
  if (text === "") return null;
  try {
    const timer = JSON.parse(text) as Partial<Timer> | null;
    const numbers = [timer?.startedAtMs, timer?.seenAtMs, timer?.seenTicksMs, timer?.jumpedMs, timer?.unwatchedMs];
    return numbers.every(Number.isFinite) ? (timer as Timer) : null;
  } catch {
    return null;
  }
}
