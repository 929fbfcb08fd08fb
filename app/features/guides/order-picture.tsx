import type { OrderedPart } from "~/core/guides";

const rowPx = 34;
const width = 440;

/** Parts in the order in which they go on, from below; at the side what each of them waits for. Those that come off to reach one are filled. */
export function OrderPicture({
  parts,
  assembly,
  reach,
}: {
  parts: readonly OrderedPart[];
  assembly: readonly string[];
  reach: { part: string; toReach: readonly string[] } | null;
}) {
  const at = new Map(assembly.map((id, i) => [id, i]));
  const y = (id: string) => 8 + (assembly.length - 1 - (at.get(id) ?? 0)) * rowPx;
  const ties = parts.flatMap(({ id, after = [], hides = [] }) =>
    [...after, ...hides].flatMap((other) => (at.has(id) && at.has(other) ? [{ id, other }] : [])),
  );
  const longest = Math.max(1, ...ties.map(({ id, other }) => Math.abs((at.get(id) ?? 0) - (at.get(other) ?? 0))));
  return (
    <svg
      viewBox={`0 0 ${width} ${assembly.length * rowPx + 16}`}
      className="w-full bg-panel"
      role="img"
      aria-label="Parts in the order in which they go on, from below, with what each waits for"
    >
      {ties.map(({ id, other }, i) => {
        const reachPx = 20 + (90 * Math.abs((at.get(id) ?? 0) - (at.get(other) ?? 0))) / longest;
        const [from, to] = [y(id) + 13, y(other) + 13];
        return (
          <g key={i}>
            <path
              d={`M300 ${from} C${300 + reachPx} ${from} ${300 + reachPx} ${to} 304 ${to}`}
              className="fill-none stroke-mid"
              strokeWidth="1.5"
            />
            <path d={`M302 ${to} l8 -4 v8 z`} className="fill-mid" />
          </g>
        );
      })}
      {assembly.map((id, i) => {
        const off = reach?.toReach.includes(id);
        const own = reach?.part === id;
        const screws = parts.find((part) => part.id === id)?.screws ?? 0;
        return (
          <g key={id}>
            <rect
              x="40"
              y={y(id)}
              width="260"
              height={rowPx - 8}
              className={`stroke-ink ${off ? "fill-band" : "fill-panel"}`}
              strokeWidth={own ? 3 : 1.5}
            />
            <text x="30" y={y(id) + 18} textAnchor="end" fontSize="15" className="fill-mid figure">
              {i + 1}
            </text>
            <text x="50" y={y(id) + 18} fontSize="15" className="fill-ink" fontWeight={own ? 700 : 400}>
              {id.length > 26 ? `${id.slice(0, 25)}…` : id}
            </text>
            {screws > 0 && (
              <text x="292" y={y(id) + 18} textAnchor="end" fontSize="15" className="fill-mid figure">
                {screws}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
