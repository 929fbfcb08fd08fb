import { useVirtualizer } from "@tanstack/react-virtual";
import { useRef } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { type IndexPlan, indexPosition } from "~/core/trains";

const rowHeight = 36;

/** Every position of a plan; of thousands only those in sight are drawn. */
export function IndexTable({
  plan,
  divisions,
  arcsecPerStep,
}: {
  plan: IndexPlan;
  divisions: number;
  arcsecPerStep: number;
}) {
  const reader = useWords();
  const scroll = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: divisions,
    getScrollElement: () => scroll.current,
    estimateSize: () => rowHeight,
    overscan: 8,
    initialRect: { width: 480, height: 320 },
  });
  const shown = rows.getVirtualItems();
  const above = shown[0]?.start ?? 0;
  const below = rows.getTotalSize() - (shown.at(-1)?.end ?? 0);
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what is scrolled has to be reached by keys
    <section ref={scroll} className="max-h-80 overflow-y-auto" tabIndex={0} aria-label="Positions">
      <table className="w-full text-left" aria-label="Positions" aria-rowcount={divisions + 1}>
        <thead className="sticky top-0 bg-ground">
          <tr className="border-b-2 border-ink" aria-rowindex={1}>
            {["No.", "At, °", "Steps from 0", "Move", "Off, ″"].map((head) => (
              <th key={head} className="py-1 pr-3">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr style={{ height: above }} />
          {shown.map(({ index }) => {
            const { steps, move, offSteps } = indexPosition(plan.stepsPerDivision, index + 1);
            return (
              <tr
                key={index}
                aria-rowindex={index + 2}
                style={{ height: rowHeight }}
                className="border-b border-rule figure"
              >
                <td>{index + 1}</td>
                <td>{formatNumber(reader, (360 * (index + 1)) / divisions, 3)}</td>
                <td>{steps}</td>
                <td>{move}</td>
                <td>{formatNumber(reader, offSteps * arcsecPerStep, 1)}</td>
              </tr>
            );
          })}
          <tr style={{ height: below }} />
        </tbody>
      </table>
    </section>
  );
}
