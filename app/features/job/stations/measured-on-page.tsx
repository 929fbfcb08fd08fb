import { useWords } from "~/app/features/words/use-words";
import type { EntryOf } from "~/core/logbook";
import { measuredWords } from "../../words/measured";

/** Runout, fits, housings, frames and couplings as they were measured in a job; nothing where none was. */
export function MeasuredOnPage({ measured }: { measured: readonly EntryOf<"measured">[] }) {
  const reader = useWords();
  if (measured.length === 0) return null;
  return (
    <section aria-label="Measured and put right" className="grid gap-2 mb-6">
      <h3 className="text-xl font-bold">Measured and put right</h3>
      <ul className="text-lg">
        {measured.map(({ id, body }) => {
          const { title, detail } = measuredWords(reader, body);
          return (
            <li key={id} className="border-t border-rule py-1.5">
              <b>{title}</b>. <span className="text-mid">{detail}.</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
