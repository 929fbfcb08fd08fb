/** The gap between two faces, the pin that goes in it and the one that stands before it, to one scale. */
export function PinsInGap({
  goesMm,
  stopsMm,
  gapMm,
}: {
  goesMm: number | null;
  stopsMm: number | null;
  gapMm: number;
}) {
  const largest = Math.max(goesMm ?? 0, stopsMm ?? 0, gapMm);
  const per = 90 / largest;
  const [gap, goes, stops] = [gapMm * per, (goesMm ?? 0) * per, (stopsMm ?? 0) * per];
  const middle = 80;
  return (
    <svg
      viewBox="0 0 440 160"
      className="w-full max-w-xl bg-panel"
      role="img"
      aria-label="What goes and what does not, to one scale"
    >
      <path
        d={`M150 ${middle - gap / 2}H430V8H150ZM150 ${middle + gap / 2}H430V152H150Z`}
        className="fill-band stroke-ink"
        strokeWidth="1.5"
      />
      {goesMm !== null && (
        <circle
          cx={300}
          cy={middle + gap / 2 - goes / 2}
          r={goes / 2}
          className="fill-ground stroke-ink"
          strokeWidth="2"
        />
      )}
      {stopsMm !== null && (
        <circle cx={145 - stops / 2} cy={middle} r={stops / 2} className="fill-ground stroke-outside" strokeWidth="2" />
      )}
      <text x="300" y="28" textAnchor="middle" fontSize="17" className="fill-ink">
        {goesMm === null ? "nothing goes yet" : "goes"}
      </text>
      <text x="72" y="28" textAnchor="middle" fontSize="17" className="fill-ink">
        {stopsMm === null ? "nothing stops yet" : "does not"}
      </text>
    </svg>
  );
}
