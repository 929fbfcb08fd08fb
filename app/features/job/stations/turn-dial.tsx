/** One turn of the output from its mark: where it began, where it should stand by now (dashed), where it stalled. */
export function TurnDial({
  fromDeg,
  expectedDeg,
  endedDeg,
}: {
  fromDeg: number | null;
  expectedDeg: number | null;
  endedDeg: number | null;
}) {
  const at = (deg: number, r: number) => {
    const turn = (deg * Math.PI) / 180;
    return { x: r * Math.sin(turn), y: -r * Math.cos(turn) };
  };
  const hand = (deg: number, className: string, dash?: string) => {
    const [from, to] = [at(deg, 18), at(deg, 84)];
    return (
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} className={className} strokeWidth="4" strokeDasharray={dash} />
    );
  };
  const said = [
    expectedDeg === null ? "" : `should stand at ${Math.round(expectedDeg)}°`,
    endedDeg === null ? "" : `stalled at ${Math.round(endedDeg)}°`,
  ].filter(Boolean);
  return (
    <svg
      viewBox="-122 -122 244 244"
      className="size-52 bg-panel"
      role="img"
      aria-label={`The output’s turn${said.length > 0 ? `: ${said.join(", ")}` : ""}`}
    >
      <circle r="90" className="fill-none stroke-ink" strokeWidth="2" />
      {Array.from({ length: 36 }, (_, i) => {
        const [from, to] = [at(i * 10, i % 9 === 0 ? 78 : 84), at(i * 10, 90)];
        return (
          <line
            key={i}
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            className="stroke-ink"
            strokeWidth={i % 9 === 0 ? 3 : 1}
          />
        );
      })}
      {[0, 90, 180, 270].map((deg) => (
        <text key={deg} {...at(deg, 101)} dy="5" textAnchor="middle" fontSize="15" className="fill-mid figure">
          {deg}
        </text>
      ))}
      {fromDeg !== null && hand(fromDeg, "stroke-mid")}
      {expectedDeg !== null && hand(expectedDeg, "stroke-now", "8 5")}
      {endedDeg !== null && hand(endedDeg, "stroke-ink")}
    </svg>
  );
}
