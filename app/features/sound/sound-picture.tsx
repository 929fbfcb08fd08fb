import type { DrawnSound } from "~/core/sound";

const [width, waveHeight, spectrumHeight] = [480, 70, 130];
const leastDb = -60;

/**
 * A recording: its wave with the stretch that was listened to, and its spectrum over octaves with the band that is expected and the pitch
 * that was picked.
 */
export function SoundPicture({
  drawn,
  ringS,
  pickedHz,
  expected,
  hertz,
}: {
  drawn: DrawnSound;
  ringS: readonly [number, number] | null;
  pickedHz: number | null;
  /** Of the limits, Hz. */
  expected: { lo: number; hi: number } | null;
  hertz: (hz: number) => string;
}) {
  const { wave, spectrum, seconds } = drawn;
  const [lo, hi] = [spectrum[0]?.hz ?? 10, spectrum.at(-1)?.hz ?? 1200];
  const x = (hz: number) => (width * Math.log(Math.min(hi, Math.max(lo, hz)) / lo)) / Math.log(hi / lo);
  const y = (db: number) => waveHeight + 24 + (spectrumHeight * db) / leastDb;
  const middle = waveHeight / 2;
  const outline = [
    ...wave.map(({ high }, i) => `${(width * i) / wave.length},${middle - high * middle * 0.95}`),
    ...wave.map(({ low }, i) => `${(width * i) / wave.length},${middle - low * middle * 0.95}`).reverse(),
  ].join(" ");
  const floor = waveHeight + 24 + spectrumHeight;
  const line = spectrum.map(({ hz, db }) => `${x(hz)},${y(db)}`).join(" ");
  const ticks = [10, 20, 50, 100, 200, 500, 1000].filter((hz) => hz >= lo && hz <= hi);
  return (
    <svg
      viewBox={`0 0 ${width} ${floor + 26}`}
      className="w-full bg-panel"
      role="img"
      aria-label={
        pickedHz === null ? "The sound and its spectrum" : `The sound and its spectrum, ${hertz(pickedHz)} picked`
      }
    >
      {ringS && seconds > 0 && (
        <rect
          x={(width * ringS[0]) / seconds}
          width={(width * (ringS[1] - ringS[0])) / seconds}
          y="0"
          height={waveHeight}
          className="fill-band"
        />
      )}
      <polygon points={outline} className="fill-ink" />
      {expected && (
        <rect
          x={x(expected.lo)}
          width={Math.max(2, x(expected.hi) - x(expected.lo))}
          y={waveHeight + 10}
          height={spectrumHeight + 14}
          className="fill-band stroke-band-line"
        />
      )}
      <polyline points={`0,${floor} ${line} ${width},${floor}`} className="fill-none stroke-ink" strokeWidth="1.5" />
      {ticks.map((hz) => (
        <g key={hz}>
          <line x1={x(hz)} x2={x(hz)} y1={floor} y2={floor + 5} className="stroke-rule" />
          <text x={x(hz)} y={floor + 21} textAnchor={anchorAt(x(hz))} fontSize="15" className="fill-mid figure">
            {hz}
          </text>
        </g>
      ))}
      {pickedHz !== null && (
        <>
          <line
            x1={x(pickedHz)}
            x2={x(pickedHz)}
            y1={waveHeight + 10}
            y2={floor}
            className="stroke-now"
            strokeWidth="3"
          />
          <text
            x={x(pickedHz) + (x(pickedHz) > width * 0.75 ? -8 : 8)}
            y={waveHeight + 28}
            textAnchor={x(pickedHz) > width * 0.75 ? "end" : "start"}
            fontSize="17"
            className="fill-now figure font-semibold"
          >
            {hertz(pickedHz)}
          </text>
        </>
      )}
    </svg>
  );
}

/** A figure at an end of the scale stands inside of it. */
const anchorAt = (x: number) => (x < 16 ? "start" : x > width - 22 ? "end" : "middle");
