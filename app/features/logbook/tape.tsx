import { useWords } from "~/app/features/words/use-words";
import { type Entry, isKind } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { entryWords } from "../words/entry";
import { clockOrDay } from "../words/times";

export type TapeEntry = Entry & { waiting?: boolean };

/** What was done, newest first, along the bottom of the job. Runs of touched clamps count as one. */
export function Tape({
  entries,
  stages,
  now,
}: {
  entries: readonly TapeEntry[];
  stages: readonly Stage[];
  now: string;
}) {
  const reader = useWords();
  const lines = tapeLines(entries);
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by the keyboard
    <section aria-label="Tape" tabIndex={0} className="bg-tape text-on-tape overflow-x-auto shrink-0">
      <ol className="flex max-sm:flex-col min-w-full w-max max-sm:w-full max-sm:max-h-18 max-sm:overflow-y-auto max-sm:px-3.5 max-sm:py-2">
        {lines.map(({ entry, times }) => {
          const stage = stages.find((candidate) => candidate.id === entry.stageId);
          const words = entryWords(reader, entry, stage);
          const title =
            times > 1 && entry.kind === "clamp" ? `Clamps ${entry.body.state}, ${times} touched` : words.title;
          return (
            <li
              key={entry.id}
              className="sm:px-5 sm:py-2.5 sm:border-r border-dashed border-tape-mid/50 max-w-110 sm:min-h-14 max-sm:flex max-sm:gap-2"
            >
              <p className="figure text-tape-mid whitespace-nowrap">
                {entry.waiting ? "waiting" : clockOrDay(reader, entry.madeAt, now)}
                {stages.length > 1 && stage && ` ${stage.name}`}
              </p>
              <p className="truncate" title={words.detail}>
                {title}
                {entry.kind !== "clamp" && words.detail && <span className="text-tape-mid">: {words.detail}</span>}
              </p>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

function tapeLines(entries: readonly TapeEntry[]): { entry: TapeEntry; times: number }[] {
  const lines: { entry: TapeEntry; times: number }[] = [];
  for (const entry of [...entries].reverse()) {
    const last = lines[lines.length - 1];
    const sameRun =
      last &&
      isKind("clamp")(entry) &&
      isKind("clamp")(last.entry) &&
      entry.stageId === last.entry.stageId &&
      entry.body.state === last.entry.body.state;
    if (sameRun) last.times++;
    else lines.push({ entry, times: 1 });
  }
  return lines;
}
