import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { Verdict } from "~/core/limits";
import type { SetShares } from "~/core/rounds";
import { StateMark } from "~/ui/state-mark";
import { SharePicture } from "../../strands/share-picture";
import { verdictState } from "../../words/state";

const said: Record<Verdict, string> = {
  conforms: "They share the load.",
  undecided: "Too uncertain to tell whether they share the load.",
  "does-not-conform":
    "They do not share the load. Turn the drive two turns by hand and read them again; if it stays so, no move mends it: renew the set, all of one make (common practice).",
};

/** How the belts of a set share what they carry. */
export function SetPane({ shares }: { shares: SetShares }) {
  const reader = useWords();
  const figure = (value: number) => formatNumber(reader, value, 1);
  const strands = shares.strands.map((strand) => ({ ...strand, id: `Belt ${strand.id}` }));
  return (
    <section aria-label="The set" className="grid gap-2 border-t border-rule mt-4 pt-3">
      <p className="flex gap-3 items-center">
        <b>The set:</b> within ± {shares.limitPercent} % of its mean <StateMark state={verdictState[shares.verdict]} />
      </p>
      <p>
        {figure(shares.spreadPercent)} % between belt {shares.weakest} and belt {shares.overPulled}.{" "}
        {said[shares.verdict]}
      </p>
      <SharePicture
        strands={strands}
        limitPercent={shares.limitPercent}
        uncertaintyPercent={shares.uncertaintyPercent}
        figure={figure}
      />
    </section>
  );
}
