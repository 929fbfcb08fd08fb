/**
 * What one more shim does, before and after: the part behind which it goes moves by its thickness. Nothing is drawn as chosen until
 * somebody has said which way. Not to scale.
 */
export function ShimPicture({
  drawn: [still, part, between],
  sense,
}: {
  drawn: readonly [still: string, part: string, between: string];
  sense: 1 | -1 | null;
}) {
  const moved = sense === null ? 0 : 26 * sense;
  return (
    <svg
      viewBox="0 0 340 150"
      role="img"
      aria-label={
        sense === null
          ? "Two parts with a gap between them; which way one more shim sends the right one is not said yet"
          : `One more shim sends the right part ${sense > 0 ? "away from" : "towards"} the left one`
      }
      className="w-full"
    >
      <rect x="20" y="35" width="70" height="80" className="fill-ground stroke-ink" strokeWidth="2" />
      <text x="55" y="80" textAnchor="middle" fontSize="15" className="fill-mid">
        {still}
      </text>
      <rect
        x={170}
        y="35"
        width="70"
        height="80"
        className="fill-none stroke-mid"
        strokeWidth="1.5"
        strokeDasharray="5 4"
      />
      <rect x={170 + moved} y="35" width="70" height="80" className="fill-ground stroke-ink" strokeWidth="2" />
      <text x={205 + moved} y="80" textAnchor="middle" fontSize="15" className="fill-mid">
        {part}
      </text>
      <path d={`M90 128H${170 + moved}M90 122v12M${170 + moved} 122v12`} className="stroke-ink" strokeWidth="1.5" />
      <text x={130 + moved / 2} y="146" textAnchor="middle" fontSize="14" className="fill-ink">
        {between}
      </text>
      {sense !== null && (
        <>
          <rect
            x={sense > 0 ? 92 : 240 + moved}
            y="35"
            width="8"
            height="80"
            className="fill-now stroke-now"
            strokeWidth="1"
          />
          <text x={sense > 0 ? 96 : 244 + moved} y="26" textAnchor="middle" fontSize="14" className="fill-now">
            one more shim
          </text>
        </>
      )}
    </svg>
  );
}
