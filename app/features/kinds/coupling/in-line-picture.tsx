import { lengthWords } from "~/app/features/words/spoken";
import { useWords } from "~/app/features/words/use-words";
import type { Alignment, FootMove } from "~/core/couplings";

const [width, middle] = [360, 76];
const [height, ground] = [132, 104];

/** Both shafts from the side, on their feet with the shims that go in or out, and from above: the fixed one in ink, the movable one as it stands, its error drawn large. */
export function InLinePicture({
  found,
  feet,
}: {
  found: Pick<Alignment, "vertical" | "horizontal" | "moves">;
  feet: { frontMm: number; rearMm: number } | null;
}) {
  const reader = useWords();
  const reach = feet?.rearMm ?? 300;
  const along = (mm: number) => middle + (mm / reach) * (width - middle - 52);
  const views = [
    { name: "from the side", error: found.vertical, of: ({ shimMm }: FootMove) => shimMm, ways: ["in", "out"] },
    { name: "from above", error: found.horizontal, of: ({ sideMm }: FootMove) => sideMm, ways: ["right", "left"] },
  ] as const;
  const ends = views.flatMap(({ error }) => [error.offsetMm, error.offsetMm + (error.angleMmPerM * reach) / 1000]);
  const greatest = Math.max(0.01, ...ends.map(Math.abs));
  const axis = 46;
  // Up in the one view, right in the other, are up on the sheet.
  const at = (mm: number) => axis - (mm / greatest) * 26;
  const stands = feet && [
    { mm: feet.frontMm, move: found.moves?.front },
    { mm: feet.rearMm, move: found.moves?.rear },
  ];
  return (
    <div className="flex flex-wrap gap-4">
      {views.map(({ name, error: { offsetMm, angleMmPerM }, of, ways }, view) => {
        const shaft = (mm: number) => at(offsetMm + (angleMmPerM * mm) / 1000);
        return (
          <figure key={name} className="m-0">
            <svg
              width={width}
              height={height}
              role="img"
              aria-label={`Both shafts ${name}`}
              className="bg-panel max-w-full"
            >
              <path d={`M0 ${axis}H${width}`} className="stroke-mid" strokeDasharray="8 3 2 3" fill="none" />
              <path d={`M8 ${axis}H${middle - 4}`} className="stroke-ink" strokeWidth={6} fill="none" />
              <path
                d={`M${middle} ${shaft(0)}L${along(reach)} ${shaft(reach)}`}
                className="stroke-now"
                strokeWidth={6}
                fill="none"
              />
              {stands?.map(({ mm, move }) => (
                <g key={mm}>
                  <path
                    d={`M${along(mm)} ${shaft(mm)}V${ground - 14}M${along(mm) - 16} ${ground - 14}h32`}
                    className="stroke-ink"
                    strokeWidth={2}
                    fill="none"
                  />
                  {view === 0 && (
                    <path
                      d={`M${along(mm) - 16} ${ground - 9}h32M${along(mm) - 16} ${ground - 5}h32`}
                      className={move && Math.abs(of(move)) >= 0.005 ? "stroke-now" : "stroke-mid"}
                      strokeWidth={2.5}
                    />
                  )}
                  {move && (
                    <text x={along(mm)} y={height - 8} textAnchor="middle" fontSize="15" className="fill-ink figure">
                      {Math.abs(of(move)) < 0.005
                        ? "stays"
                        : `${lengthWords(reader, Math.abs(of(move)), 2)} ${ways[of(move) < 0 ? 1 : 0]}`}
                    </text>
                  )}
                </g>
              ))}
              {view === 0 && feet && (
                <path d={`M${middle} ${ground}H${width}`} className="stroke-ink" strokeWidth={2} />
              )}
            </svg>
            <figcaption className="text-mid">
              {name}; errors drawn large{feet && view === 0 ? ", shims under the feet" : ""}
            </figcaption>
          </figure>
        );
      })}
    </div>
  );
}
