import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { WarmUp, WarmUpPoint } from "~/core/statistics";
import { PointsPlot } from "~/ui/points-plot";

/** Temperatures over time, the curve through them, dashed where it leads, and what it may get. */
export function WarmUpPicture({
  points,
  fitted: { finalC, timeConstantMinutes },
  limitC,
}: {
  points: readonly WarmUpPoint[];
  fitted: WarmUp;
  limitC: number | null;
}) {
  const reader = useWords();
  const minutes = points.map((point) => point.minutes);
  const [start, last] = [Math.min(...minutes), Math.max(...minutes)];
  const ahead = last + Math.min(1.5 * timeConstantMinutes, 2 * (last - start));
  // Where it ends and how fast are known; the rise that goes with them, by least squares, is that of the fit.
  const fades = minutes.map((minute) => Math.exp(-(minute - start) / timeConstantMinutes));
  const rise =
    points.reduce((sum, { tempC }, i) => sum + (finalC - tempC) * (fades[i] ?? 0), 0) /
    fades.reduce((sum, fade) => sum + fade * fade, 0);
  const curve = (from: number, to: number) =>
    Array.from({ length: 41 }, (_, i) => {
      const x = from + ((to - from) * i) / 40;
      return { x, y: finalC - rise * Math.exp(-(x - start) / timeConstantMinutes) };
    });
  return (
    <PointsPlot
      points={points.map((point) => ({ x: point.minutes, y: point.tempC }))}
      lines={[
        { kind: "fit", points: curve(start, last) },
        { kind: "ahead", points: curve(last, ahead) },
        ...(limitC === null ? [] : [{ kind: "limit" as const, points: [start, ahead].map((x) => ({ x, y: limitC })) }]),
      ]}
      label="Temperature over time, with the fitted curve and where it leads"
      axes="°C over minutes"
      figure={(value, decimals) => formatNumber(reader, value, decimals)}
    />
  );
}
