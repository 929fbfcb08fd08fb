import { useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { amountFor, mmAtSwitch, type SwitchMove, switchMoves } from "~/core/advice";
import type { Refusal } from "~/core/quantity";
import type { AxisElement } from "~/core/stages";
import { balanceOf } from "~/core/stages/kinds/axis/travel";
import { Button } from "~/ui/button";
import { Fold } from "~/ui/fold";
import { StateMark } from "~/ui/state-mark";
import { BalancePicture } from "../../axes/balance-picture";
import type { Reader } from "../../words/reader";
import { Refused } from "../../words/refused";
import { stateOfVerdict } from "../../words/state";
import type { BesideProps } from "../kind-panes";
import { alongWords, balanceFacts } from "./words";

/** How each end switch stands before its buffer, what is left once it has stopped, and how far it is to be moved. */
export function Switches({ stage, element, counting, expandedUncertainty, onMove, easeFirst }: BesideProps<"axis">) {
  const reader = useWords();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const { adjuster, step } = stage.adjuster;
  const moves = switchMoves(element, stage.limits, counting, expandedUncertainty, step);
  const balance = balanceOf(element);
  const asked = moves.filter(({ by }) => by !== 0);
  const ways = asked.map(({ by }) => mmAtSwitch(element, by));
  const log = () => {
    if (!adjuster || ways.includes(null)) return;
    const greatest = ways.reduce<number>((most, mm) => (Math.abs(mm ?? 0) > Math.abs(most) ? (mm ?? 0) : most), 0);
    const note = asked.map((move) => `${ends[move.end]} ${movedWords(reader, element, move)}`).join("; ");
    setRefusal(onMove(amountFor(adjuster, greatest).amount, note));
  };
  if (moves.length === 0) return null;
  return (
    <section aria-label="Switch before buffer" className="grid gap-3">
      <ul className="grid gap-3" aria-live="polite">
        {moves.map((move) => (
          <li key={move.end} className="grid gap-1">
            <p className="flex items-center gap-x-3">
              <b>{ends[move.end]}</b> {move.verdict && <StateMark state={stateOfVerdict(move.verdict)} />}
            </p>
            <p className="text-lg">It {standsWords(reader, element, move)}.</p>
            {move.by !== 0 && (
              <p className="text-2xl font-semibold leading-snug">
                Its switch <span className="text-now">{alongWords(reader, element, Math.abs(move.by))}</span> towards
                the {move.by > 0 ? "work" : "buffer"}: it then acts {alongWords(reader, element, move.willRead)} before
                the buffer.
              </p>
            )}
            {move.noRoom && (
              <p className="text-lg">
                No place of the switch cures that: more way, less speed or a better brake at this end.
              </p>
            )}
          </li>
        ))}
      </ul>
      {asked.length > 0 && easeFirst}
      {asked.length > 0 && adjuster && !ways.includes(null) && (
        <div>
          <Button kind="now" large onClick={log}>
            Moved so
          </Button>
        </div>
      )}
      {refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={refusal} />
        </p>
      )}
      {asked.length > 0 && (!adjuster || ways.includes(null)) && (
        <p className="text-mid">
          {adjuster
            ? "How far its switches stand from the pivot is not entered: log what was moved below, in mm."
            : "No adjuster is entered for its switches: log what was done as a note."}
        </p>
      )}
      {balance && (
        <Fold summary="Balance along the travel">
          <BalancePicture {...balance} figure={(value) => formatNumber(reader, value, 0)} />
          {balanceFacts(reader, element).map(([name, said]) => (
            <p key={name}>{said}.</p>
          ))}
        </Fold>
      )}
    </section>
  );
}

const ends = { low: "Low end", high: "High end" } as const;

const movedWords = (reader: Reader, element: AxisElement, { by }: SwitchMove): string =>
  `${alongWords(reader, element, Math.abs(by))} towards the ${by > 0 ? "work" : "buffer"}`;

/** "acts 23.0 mm before its buffer and stops 4.8 mm short of it". */
function standsWords(reader: Reader, element: AxisElement, { read, left }: SwitchMove): string {
  const f = (value: number) => alongWords(reader, element, Math.abs(value));
  if (read < 0) return `acts ${f(read)} behind its buffer: the buffer is hit at full speed`;
  return `acts ${f(read)} before its buffer, and ${left < 0 ? `would run ${f(left)} into it` : `stops ${f(left)} short of it`}`;
}
