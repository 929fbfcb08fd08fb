import { useWords } from "~/app/features/words/use-words";
import { circleOrder, fastenNext } from "~/core/fastening";
import type { ScrewState } from "~/core/guides";
import type { PartNow, ScrewsBack } from "~/core/logbook";
import { Button } from "~/ui/button";
import { setTorqueWords } from "../../words/torque";
import { useJobScreen } from "../entries/job-context";
import { partIn, useGuide } from "./use-guide";

const stepWords: Record<ScrewState, string> = {
  started: "started, run free by hand",
  snug: "snug, all of them lightly, opposite ones in turn",
  firm: "firm, to full torque, opposite ones in turn",
  dressed: "dressed: each alone drawn, dressed with threadlocking compound and driven home again",
};

/**
 * Screws of the parts that are on, several patterns in one sequence: all started, then all snug, then all firm, in the order in which the
 * parts went on; compound last, one by one.
 */
export function ScrewsPane() {
  const reader = useWords();
  const { job } = useJobScreen();
  const guide = useGuide();
  const { apart } = job.record;
  const open = apart.parts.filter((part) => part.on !== null && part.screws.some((set) => set.count > 0 || set.in > 0));
  const put = (part: PartNow, state: ScrewState, screws: ScrewsBack[] = part.screws) =>
    job.put({ kind: "part-screws", key: part.key, screws, state });
  // One after the other: never two of them out at once.
  const dress = (part: PartNow) =>
    job.put({
      kind: "part-screws",
      key: part.key,
      screws: part.screws,
      state: "firm",
      dressed: part.dressed + 1,
    });
  const upTo = (part: PartNow): ScrewState => (wantsCompound(part, guide) ? "dressed" : "firm");
  const next = fastenNext(open.map((part) => ({ ...part, upTo: upTo(part) })));
  const shown = open
    .filter(
      (part) => part.state !== "dressed" && (part.state !== "firm" || wantsCompound(part, guide) || isShort(part)),
    )
    .sort((a, b) => Number(b.key === next?.pattern.key) - Number(a.key === next?.pattern.key));
  if (shown.length === 0) return null;
  return (
    <section aria-label="Screws" className="border-t-2 border-ink pt-3 grid gap-2">
      <h2 className="text-xl font-bold">Screws{shown.length > 1 && `, ${shown.length} patterns together`}</h2>
      <ul className="grid">
        {shown.map((part) => {
          const isNext = part.key === next?.pattern.key;
          const guided = partIn(guide, part.key)?.screws ?? [];
          const plastic = guided.some(({ into }) => into === "plastic");
          const torques = [...new Set(guided.map((set) => setTorqueWords(reader, set)).filter(Boolean))];
          const count = inOf(part);
          const cross = isNext && next.to !== "started" && next.to !== "dressed" && count > 3 ? circleOrder(count) : [];
          return (
            <li key={part.key} className="border-t border-rule py-2 grid gap-2">
              <p className="text-lg">
                <b>{part.name}</b> {part.state ?? "no screw in yet"}
                {isNext && <span className="block text-mid">Next: {stepWords[next.to]}</span>}
                {!isNext && next && part.state !== "firm" && (
                  <span className="block text-mid">
                    Not yet: {next.pattern.name} comes first, {next.to}
                  </span>
                )}
                {plastic && part.state === "started" && (
                  <span className="block text-near">
                    Into plastic: turn each backwards until it drops into its old thread, then in.
                  </span>
                )}
                {cross.length > 0 && cross.length <= 24 && (
                  <span className="block figure">Numbered round: {cross.join(" – ")}</span>
                )}
                {isNext &&
                  next.to === "firm" &&
                  torques.map((words) => (
                    <span key={words} className="block figure">
                      {words}
                    </span>
                  ))}
              </p>
              <div className="flex flex-wrap gap-2">
                {isNext && next.to !== "dressed" && (
                  <Button
                    large
                    kind={apart.toTurn ? "line" : "now"}
                    onClick={() => put(part, next.to, part.state === null ? allIn(part) : part.screws)}
                  >
                    {part.name}: all {next.to}
                  </Button>
                )}
                {isNext && next.to === "dressed" && (
                  <Button key={part.dressed} large onClick={(event) => event.detail < 2 && dress(part)}>
                    {part.name}: screw {part.dressed + 1} of {count} drawn, dressed and driven home
                  </Button>
                )}
                {isShort(part) && (
                  <Button large onClick={() => put(part, part.state ?? "started", allIn(part))}>
                    {part.name}: the missing ones are in now
                  </Button>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

const inOf = ({ screws }: PartNow): number => screws.reduce((sum, set) => sum + set.in, 0);

const allIn = ({ screws }: PartNow): ScrewsBack[] =>
  screws.map((set) => ({ ...set, in: set.count, washersIn: set.washers }));

const isShort = ({ screws }: PartNow): boolean =>
  screws.some((set) => set.in < set.count || set.washersIn < set.washers);

const wantsCompound = ({ key }: PartNow, guide: ReturnType<typeof useGuide>): boolean =>
  partIn(guide, key)?.screws.some(({ compound }) => compound) ?? false;
