import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import { tappedRate } from "~/core/proving";
import { Button } from "~/ui/button";
import { formatNumber } from "../words/figure";
import { refusalWords } from "../words/refusal";

export type Tapped = { perMinute: number; toleranceShare: number; taps: number };

/** Tapped along with a noise, by finger or by the space bar; every tap from the fifth on says how often it comes. */
export function TapKey({ onRate }: { onRate: (rate: Tapped) => void }) {
  const reader = useWords();
  const [taps, setTaps] = useState<readonly number[]>([]);
  const tap = (timeStamp: number) => {
    const seconds = [...taps, timeStamp / 1000];
    setTaps(seconds);
    const rate = tappedRate(seconds);
    if (rate.ok) onRate(rate.value);
  };
  const rate = taps.length > 0 ? tappedRate(taps) : null;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button
        kind="line"
        large
        onPointerDown={(event) => tap(event.timeStamp)}
        onKeyDown={(event) => {
          if (event.key === " " && !event.repeat) tap(event.timeStamp);
        }}
      >
        Tap with the noise
      </Button>
      {taps.length > 0 && (
        <Button kind="quiet" onClick={() => setTaps([])}>
          Start again
        </Button>
      )}
      <p className="text-lg" aria-live="polite">
        {rate === null
          ? ""
          : rate.ok
            ? `${formatNumber(reader, rate.value.perMinute, 1)} a minute, ± ${formatNumber(reader, 100 * rate.value.toleranceShare, 1)} %${rate.value.missed > 0 ? `, ${rate.value.missed} missed` : ""}`
            : `${taps.length} ${taps.length === 1 ? "tap" : "taps"}. ${refusalWords(reader, rate.refusal)}`}
      </p>
    </div>
  );
}
