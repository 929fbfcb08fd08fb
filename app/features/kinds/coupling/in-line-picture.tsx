import type { Alignment } from "~/core/couplings";

const [width, height, middle] = [340, 96, 90];

/** Both shafts from the side and from above: the fixed one in ink, the movable one as it stands, its error drawn large. */
export function InLinePicture({
  found,
  feet,
}: {
  found: Pick<Alignment, "vertical" | "horizontal">;
  feet: { frontMm: number; rearMm: number } | null;
}) {
  const reach = feet?.rearMm ?? 300;
  const along = (mm: number) => middle + (mm / reach) * (width - middle - 14);
  const views = [
    { name: "from the side", error: found.vertical },
    { name: "from above", error: found.horizontal },
  ];
  const ends = views.flatMap(({ error }) => [error.offsetMm, error.offsetMm + (error.angleMmPerM * reach) / 1000]);
  const greatest = Math.max(0.01, ...ends.map(Math.abs));
  // Up in the one view, right in the other, are up on the sheet.
  const at = (mm: number) => height / 2 - (mm / greatest) * (height / 2 - 16);
  return (
    <div className="flex flex-wrap gap-4">
      {views.map(({ name, error: { offsetMm, angleMmPerM } }) => {
        const far = offsetMm + (angleMmPerM * reach) / 1000;
        const height2 = (mm: number) => at(offsetMm + (angleMmPerM * mm) / 1000);
        return (
          <figure key={name} className="m-0">
            <svg width={width} height={height} role="img" aria-label={`Both shafts ${name}`} className="bg-panel">
              <path d={`M0 ${height / 2}H${width}`} className="stroke-mid" strokeDasharray="8 3 2 3" fill="none" />
              <path d={`M8 ${height / 2}H${middle - 4}`} className="stroke-ink" strokeWidth={6} fill="none" />
              <path
                d={`M${middle} ${at(offsetMm)}L${along(reach)} ${at(far)}`}
                className="stroke-now"
                strokeWidth={6}
                fill="none"
              />
              {feet &&
                [feet.frontMm, feet.rearMm].map((mm) => (
                  <path
                    key={mm}
                    d={`M${along(mm)} ${height2(mm)}V${height / 2}`}
                    className="stroke-copper"
                    strokeWidth={3}
                    fill="none"
                  />
                ))}
            </svg>
            <figcaption className="text-mid">{name}; errors drawn large</figcaption>
          </figure>
        );
      })}
    </div>
  );
}
