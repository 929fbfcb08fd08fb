import { shortDay } from "../words/times";
import { useWords } from "../words/use-words";

/** Revisions of something of a machine, newest first. */
export function Revisions({
  of,
}: {
  of: readonly { id: string; revision: number; madeAt: string; madeByName: string; parts: number }[];
}) {
  const reader = useWords();
  return (
    <section aria-labelledby="revisions">
      <h2 id="revisions" className="text-xl font-bold">
        Revisions
      </h2>
      <ol>
        {of.map(({ id, revision, madeAt, madeByName, parts }) => (
          <li key={id} className="border-t border-rule py-1.5">
            <b className="figure">{revision}</b>, {parts} parts, {madeByName}, {shortDay(reader, madeAt)}
          </li>
        ))}
      </ol>
    </section>
  );
}
