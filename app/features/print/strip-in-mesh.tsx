/** A tooth of a rack at 20° in its space, mm at module 1: where a strip of paper lies when it is rolled through, or slid in beside one flank. */
export function StripInMesh({ flanks }: { flanks: 1 | 2 }) {
  const [tip, root, depth, slant] = [-1, 1.25, 2.25, Math.tan(Math.PI / 9)];
  const paper = 0.09;
  const half = Math.PI / 4;
  // Half the width of the tooth at a height; upwards is towards its tip.
  const at = (y: number) => half + y * slant;
  const flank = (side: 1 | -1, out: number) => `M${side * (at(tip) + out)} ${tip}L${side * (at(root) + out)} ${root}`;
  const left = flanks === 2 ? paper : 0;
  const space = [
    [-(at(root) + left + 0.02), root - 0.1],
    [-(at(tip) + left + 0.02) - 0.06, tip - 0.25],
    [at(tip) + paper + 0.02 + 0.06, tip - 0.25],
    [at(root) + paper + 0.02, root - 0.1],
  ];
  return (
    <svg
      viewBox={`-3 -1.75 6 ${depth + 1.1}`}
      className="w-full max-w-md bg-panel"
      role="img"
      aria-label={flanks === 2 ? "The strip lies on both flanks of the tooth" : "The strip lies beside one flank"}
    >
      <path
        d={`M-3 -1.75H3V${root - 0.1}H${space[3]?.[0]}L${space[2]?.join(" ")}H${space[1]?.[0]}L${space[0]?.join(" ")}H-3Z`}
        className="fill-band stroke-ink"
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M-3 ${root}H${-at(root)}L${-at(tip)} ${tip}H${at(tip)}L${at(root)} ${root}H3V1.4H-3Z`}
        className="fill-ground stroke-ink"
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={
          flanks === 2
            ? `M${-(at(root) + paper / 2)} ${root - 0.1}L${-(at(tip) + paper / 2)} ${tip - paper / 2}H${at(tip) + paper / 2}L${at(root) + paper / 2} ${root - 0.1}`
            : flank(1, paper / 2)
        }
        className="fill-none stroke-near"
        strokeWidth={paper}
      />
      <text x="0" y="0.35" textAnchor="middle" fontSize="0.3" className="fill-ink">
        tooth
      </text>
      <text x={at(0) + 0.35} y="0.1" fontSize="0.3" className="fill-ink">
        paper
      </text>
    </svg>
  );
}
