import type { Adjuster } from "~/core/advice";

const pinion = { x: 70, y: 80 };
const gear = { x: 240, y: 80 };

/** What the adjuster moves: a pinion in its gear or inside its ring, a pulley in its belt, or a roller on a strand. */
export type MovedPart = "pinion" | "pinion-in-ring" | "pulley" | "roller";

/** What stays, what is moved, and an arrow for what the positive direction does to it. Not to scale. */
export function AdjusterPicture({
  law,
  apart,
  hand,
  part,
}: {
  law: Adjuster;
  /** Centres further apart, or the roller further into the strand. */
  apart: boolean;
  hand: "left" | "right";
  part: MovedPart;
}) {
  if (part === "pinion-in-ring") return <RingPicture law={law} apart={apart} hand={hand} />;
  if (part === "roller") return <RollerPicture law={law} into={apart} hand={hand} />;
  const way = apart ? -1 : 1;
  const stays = part === "pinion" ? 72 : 50;
  const x = part === "pinion" ? gear.x : gear.x + 40;
  return (
    <svg
      viewBox="0 0 340 170"
      role="img"
      aria-label={`Its positive direction moves the ${part} ${apart ? "away from" : "towards"} the ${part === "pinion" ? "gear" : "other pulley"}`}
      className="w-full"
    >
      <circle cx={x} cy={gear.y} r={stays} className="fill-ground stroke-ink" strokeWidth="2" />
      <circle cx={x} cy={gear.y} r="4" className="fill-ink" />
      {part === "pulley" && (
        <path
          d={`M${pinion.x + 56 - 3} ${pinion.y - 38}L${x - 3} ${gear.y - 50}M${pinion.x + 56 - 3} ${pinion.y + 38}L${x - 3} ${gear.y + 50}`}
          className="stroke-ink"
          strokeWidth="4"
        />
      )}
      <text x={x} y={gear.y - 16} textAnchor="middle" fontSize="15" className="fill-mid">
        stays
      </text>
      <circle cx={pinion.x + 56} cy={pinion.y} r="38" className="fill-ground stroke-ink" strokeWidth="2" />
      <circle cx={pinion.x + 56} cy={pinion.y} r="4" className="fill-ink" />
      <line
        x1={pinion.x + 56}
        y1={pinion.y}
        x2={x}
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

/** A pinion inside its ring, in mesh on the left: away from the ring's middle is into mesh. */
function RingPicture({ law, apart, hand }: { law: Adjuster; apart: boolean; hand: "left" | "right" }) {
  const x = pinion.x + 56;
  const middle = x + 44;
  return (
    <svg
      viewBox="0 0 340 170"
      role="img"
      aria-label={`Its positive direction moves the pinion ${apart ? "away from the middle of the ring, into mesh" : "towards the middle of the ring, out of mesh"}`}
      className="w-full"
    >
      <circle cx={middle} cy={pinion.y} r="74" className="fill-none stroke-ink" strokeWidth="4" />
      <circle cx={middle} cy={pinion.y} r="4" className="fill-ink" />
      <text x={middle + 26} y={pinion.y + 34} textAnchor="middle" fontSize="15" className="fill-mid">
        ring stays
      </text>
      <circle cx={x} cy={pinion.y} r="30" className="fill-ground stroke-ink" strokeWidth="2" />
      <circle cx={x} cy={pinion.y} r="4" className="fill-ink" />
      <line x1={x} y1={pinion.y} x2={middle} y2={pinion.y} className="stroke-mid" strokeDasharray="8 3 2 3" />
      <Mechanism law={law} hand={hand} />
      <Arrow x={x} y={pinion.y - 38} dx={apart ? -40 : 40} />
      <text x={x} y={pinion.y - 46} textAnchor="middle" fontSize="20" fontWeight="700" className="fill-now">
        +
      </text>
    </svg>
  );
}

/** A roller that lies on a strand from below. */
function RollerPicture({ law, into, hand }: { law: Adjuster; into: boolean; hand: "left" | "right" }) {
  const x = pinion.x + 56;
  return (
    <svg
      viewBox="0 0 340 170"
      role="img"
      aria-label={`Its positive direction moves the roller ${into ? "further into" : "out of"} the strand`}
      className="w-full"
    >
      <path
        d={`M4 64L${x - 14} ${pinion.y - 36}A38 38 0 0 1 ${x + 14} ${pinion.y - 36}L336 64`}
        className="fill-none stroke-ink"
        strokeWidth="4"
      />
      <circle cx={x} cy={pinion.y} r="35" className="fill-ground stroke-ink" strokeWidth="2" />
      <circle cx={x} cy={pinion.y} r="4" className="fill-ink" />
      <Mechanism law={law} hand={hand} />
      <path
        d={into ? "M236 150V100M228 111L236 100L244 111" : "M236 100V150M228 139L236 150L244 139"}
        className="fill-none stroke-now"
        strokeWidth="3.5"
      />
      <text x="256" y="132" fontSize="20" fontWeight="700" className="fill-now">
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
