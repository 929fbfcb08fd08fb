import type { ShiftQuestion } from "~/core/shifting";

/** The mates on their shaft with the slider against each stop, to one scale along the shaft; faces that meet are filled. */
export function ShiftPicture({ slider, mates, stops }: Pick<ShiftQuestion, "slider" | "mates" | "stops">) {
  const rows = [
    { name: "against the left stop", at: stops.leftMm },
    { name: "against the right stop", at: stops.rightMm },
  ];
  const edges = [
    ...[mates.left, mates.right].flatMap(({ fromMm, toMm }) => [fromMm, toMm]),
    ...rows.flatMap(({ at }) => [slider.left.fromMm + at, slider.right.toMm + at]),
  ];
  const [left, right] = [Math.min(...edges), Math.max(...edges)];
  const per = 400 / (right - left || 1);
  const x = (mm: number) => 20 + (mm - left) * per;
  const rowPx = 104;
  return (
    <svg
      viewBox={`0 0 440 ${2 * rowPx + 10}`}
      className="w-full bg-panel"
      role="img"
      aria-label="Slider and mates at both stops, to scale along the shaft"
    >
      {rows.map(({ name, at }, row) => {
        const y = 30 + row * rowPx;
        return (
          <g key={name}>
            <text x="20" y={y - 10} fontSize="16" className="fill-ink">
              {name}
            </text>
            <line
              x1="8"
              x2="432"
              y1={y + 44}
              y2={y + 44}
              className="stroke-mid"
              strokeWidth="1"
              strokeDasharray="10 3 2 3"
            />
            {[mates.left, mates.right].map((mate, i) => (
              <rect
                key={i === 0 ? "left" : "right"}
                x={x(mate.fromMm)}
                y={y}
                width={(mate.toMm - mate.fromMm) * per}
                height="26"
                className="fill-ground stroke-ink"
                strokeWidth="1.5"
              />
            ))}
            {(["left", "right"] as const).map((side) => (
              <rect
                key={side}
                x={x(slider[side].fromMm + at)}
                y={y + 28}
                width={(slider[side].toMm - slider[side].fromMm) * per}
                height="26"
                className="fill-band stroke-ink"
                strokeWidth="1.5"
              />
            ))}
            {(["left", "right"] as const).map((side) => {
              const from = Math.max(mates[side].fromMm, slider[side].fromMm + at);
              const to = Math.min(mates[side].toMm, slider[side].toMm + at);
              return (
                to > from && (
                  <line
                    key={side}
                    x1={x(from)}
                    x2={x(to)}
                    y1={y + 27}
                    y2={y + 27}
                    className="stroke-ink"
                    strokeWidth="5"
                  />
                )
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}
