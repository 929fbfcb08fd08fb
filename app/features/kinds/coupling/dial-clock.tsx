import type { ReactNode } from "react";

export const dialPlaces = ["top", "right", "bottom", "left"] as const;
export type DialPlace = (typeof dialPlaces)[number];

const where: Record<DialPlace, string> = {
  top: "col-start-2 row-start-1",
  right: "col-start-3 row-start-2",
  bottom: "col-start-2 row-start-3",
  left: "col-start-1 row-start-2",
};

/** A round of the dial at four places, each typed where it is read; between them what was read, its differences drawn large. */
export function DialClock({
  name,
  read,
  field,
}: {
  name: string;
  read: Readonly<Record<DialPlace, number>> | null;
  field: (place: DialPlace) => ReactNode;
}) {
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold mb-1">{name}</legend>
      <div className="grid grid-cols-3 gap-2 items-center max-w-sm">
        {dialPlaces.map((place) => (
          <div key={place} className={where[place]}>
            {field(place)}
          </div>
        ))}
        <div className="col-start-2 row-start-2">
          <Rim read={read} name={name} />
        </div>
      </div>
    </fieldset>
  );
}

const [middle, radius, most] = [60, 36, 16];

/** The rim as a circle, and where the plunger stood against its mean: outside is pushed in. */
function Rim({ read, name }: { read: Readonly<Record<DialPlace, number>> | null; name: string }) {
  const values = read && dialPlaces.map((place) => read[place]);
  const mean = values ? values.reduce((sum, value) => sum + value, 0) / values.length : 0;
  const greatest = values ? Math.max(0.01, ...values.map((value) => Math.abs(value - mean))) : 1;
  const points = values?.map((value, i) => {
    const at = radius + ((value - mean) / greatest) * most;
    return [middle + at * Math.sin((i * Math.PI) / 2), middle - at * Math.cos((i * Math.PI) / 2)] as const;
  });
  return (
    <svg viewBox="0 0 120 120" role="img" aria-label={`${name}, as it was read; differences drawn large`}>
      <circle cx={middle} cy={middle} r={radius} className="fill-panel stroke-mid" strokeDasharray="6 3" />
      <path d="M60 2V14M106 60H118M60 106V118M2 60H14" className="stroke-mid" strokeWidth={2} />
      <path d="M54 60H66M60 54V66" className="stroke-mid" />
      {points && (
        <path
          d={`M${points.map((point) => point.join(" ")).join("L")}Z`}
          className="fill-none stroke-now"
          strokeWidth={2.5}
          strokeLinejoin="round"
        />
      )}
      {points?.map(([x, y], i) => (
        <circle key={dialPlaces[i]} cx={x} cy={y} r={4} className="fill-ink" />
      ))}
    </svg>
  );
}
