import { useWords } from "~/app/features/words/use-words";
import type { EntryOf } from "~/core/logbook";
import { shaftWords } from "../../words/shafts";

/** Shafts as they were found and fitted in a job; nothing where none was measured. */
export function ShaftsOnPage({ shafts }: { shafts: readonly EntryOf<"shaft">[] }) {
  const reader = useWords();
  if (shafts.length === 0) return null;
  return (
    <section aria-label="Shafts" className="grid gap-2 mb-6">
      <h3 className="text-xl font-bold">Shafts</h3>
      <ul className="text-lg">
        {shafts.map(({ id, body }) => {
          const { title, detail } = shaftWords(reader, body);
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
