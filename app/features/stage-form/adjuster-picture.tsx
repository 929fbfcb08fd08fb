import type { Adjuster } from "~/core/advice";

const pinion = { x: 70, y: 80 };
const gear = { x: 240, y: 80 };

/** The gear that stays, the pinion that is moved, and an arrow for what the positive direction does to it. Not to scale. */
export function AdjusterPicture({ law, apart, hand }: { law: Adjuster; apart: boolean; hand: "left" | "right" }) {
  const way = apart ? -1 : 1;
  return (
    <svg
      viewBox="0 0 340 170"
      role="img"
      aria-label={`Its positive direction moves the pinion ${apart ? "away from" : "towards"} the gear`}
      className="w-full"
    >
      <circle cx={gear.x} cy={gear.y} r="72" className="fill-ground stroke-ink" strokeWidth="2" />
      <circle cx={gear.x} cy={gear.y} r="4" className="fill-ink" />
      <text x={gear.x} y={gear.y - 16} textAnchor="middle" fontSize="15" className="fill-mid">
        stays
      </text>
      <circle cx={pinion.x + 56} cy={pinion.y} r="38" className="fill-ground stroke-ink" strokeWidth="2" />
      <circle cx={pinion.x + 56} cy={pinion.y} r="4" className="fill-ink" />
      <line
        x1={pinion.x + 56}
        y1={pinion.y}
        x2={gear.x}
        y2={gear.y}
        className="stroke-mid"
        strokeDasharray="8 3 2 3"
        strokeWidth="1"
      />
      <Mechanism law={law} hand={hand} />
      <Arrow x={pinion.x + 56} y={pinion.y - 52} dx={way * 46} />
      <text x={pinion.x + 56} y={pinion.y - 62} textAnchor="middle" fontSize="20" fontWeight="700" className="fill-now">
        +
      </text>
    </svg>
  );
}

function Arrow({ x, y, dx }: { x: number; y: number; dx: number }) {
  const tip = x + dx;
  const back = dx > 0 ? -11 : 11;
  return (
    <path
      d={`M${x - dx * 0.2} ${y}H${tip}M${tip + back} ${y - 8}L${tip} ${y}L${tip + back} ${y + 8}`}
      className="fill-none stroke-now"
      strokeWidth="3.5"
    />
  );
}

function Mechanism({ law, hand }: { law: Adjuster; hand: "left" | "right" }) {
  const cx = pinion.x + 56;
  const line = "fill-none stroke-ink";
  switch (law.type) {
    case "slide":
      return (
        <g transform={`rotate(${law.angleDeg} ${cx} ${pinion.y})`}>
          <rect x={cx - 60} y={pinion.y + 48} width="120" height="14" rx="7" className={line} strokeWidth="2" />
          <circle cx={cx - 18} cy={pinion.y + 55} r="9" className="fill-panel stroke-ink" strokeWidth="2" />
        </g>
      );
    case "screw":
      return (
        <g transform={`rotate(${law.angleDeg} ${cx} ${pinion.y})`}>
          <path d={`M8 ${pinion.y}H${cx - 38}`} className={line} strokeWidth="10" />
          {[22, 34, 46, 58, 70].map((x) => (
            <path
              key={x}
              d={hand === "right" ? `M${x} ${pinion.y - 6}l6 12` : `M${x} ${pinion.y + 6}l6 -12`}
              className="stroke-panel"
              strokeWidth="2"
            />
          ))}
          <rect x="2" y={pinion.y - 15} width="14" height="30" className="fill-ink" />
        </g>
      );
    case "pivot":
      return (
        <>
          <path d={`M${cx} ${pinion.y}L${cx + 6} 158`} className={line} strokeWidth="4" />
          <circle cx={cx + 6} cy="158" r="7" className="fill-panel stroke-ink" strokeWidth="2.5" />
          <text x={cx + 20} y="164" fontSize="14" className="fill-mid">
            pivot
          </text>
        </>
      );
    case "eccentric": {
      const angle = (law.angleDeg * Math.PI) / 180;
      return (
        <>
          <circle cx={cx} cy={pinion.y} r="17" className="fill-panel stroke-ink" strokeWidth="2" />
          <path
            d={`M${cx} ${pinion.y}L${cx - 17 * Math.cos(angle)} ${pinion.y - 17 * Math.sin(angle)}`}
            className="stroke-ink"
            strokeWidth="3"
          />
        </>
      );
    }
    case "shims":
      return (
        <>
          {[0, 6, 12].map((x) => (
            <rect key={x} x={22 + x} y={pinion.y - 40} width="4" height="80" className="fill-mid" />
          ))}
          <rect x="42" y={pinion.y - 30} width={cx - 80} height="60" className={line} strokeWidth="2" />
        </>
      );
  }
}
