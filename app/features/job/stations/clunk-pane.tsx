import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { centreChange } from "~/core/advice";
import { type ClunkSearch, clunkSearch, voidedBy } from "~/core/logbook";
import type { StageAdjuster } from "~/core/records";
import { judgeEnds, type RoundEnds } from "~/core/rounds";
import { feltAs, slackEndOf } from "~/core/stages";
import { Fold } from "~/ui/fold";
import { namedMoveWords } from "../../words/amount";
import type { Reader } from "../../words/reader";
import { useJobScreen } from "../entries/job-context";

/** Tight enough for no clunk at a fast reversal, and no tighter: the steps so far, with what was heard and drawn, and the next one. */
export function ClunkPane() {
  const reader = useWords();
  const { stage, entriesHere, job } = useJobScreen();
  const { adjuster, limits } = stage;
  if (feltAs(stage.geometry.element) !== "strand" || !adjuster.adjuster) return null;
  const voided = voidedBy(entriesHere);
  const search = clunkSearch(
    entriesHere.filter(({ id }) => !voided.has(id)),
    adjuster.step,
  );
  const round = job.record.lastRound;
  const warning = round && !job.record.changedSinceRound && limits ? against(search, round.body.result, limits) : null;
  return (
    <section aria-labelledby="clunk" className="border-t border-rule pt-3 mt-4">
      <h3 id="clunk" className="text-xl font-bold">
        Tight enough for no clunk, and no tighter
      </h3>
      <p className="text-lg" role="status">
        {warning ?? nextWords(reader, adjuster, search)}
      </p>
      {search.steps.length > 0 && (
        <table className="w-full text-left mt-2">
          <thead>
            <tr className="border-b-2 border-ink">
              <th className="py-1">Stood</th>
              <th>Heard</th>
              <th className="text-right">Current</th>
            </tr>
          </thead>
          <tbody>
            {search.steps.map((step) => (
              <tr key={step.seq} className="border-b border-rule">
                <td className="py-1">{atWords(reader, adjuster, step.at)}</td>
                <td>{step.noise}</td>
                <td className="text-right figure">
                  {step.currentA === null ? "–" : `${formatNumber(reader, step.currentA, 2)} A`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Fold summary="How it is done" look="line">
        <p>
          Run it fast, reverse it fast, and pick the noise before the run is logged. Tighten while it clunks; where it
          does not, slacken until it does once, then go half the way back. Isolate it before every move. Tighter than
          that only costs current and bearings; a measured tension still decides. Common practice.
        </p>
      </Fold>
    </section>
  );
}

/** Where the ear and what was measured do not agree, the measured round decides; null: they do. */
function against({ steps, next, clunkAt, quietAt }: ClunkSearch, read: RoundEnds, limits: { lo: number; hi: number }) {
  const slack = slackEndOf(read.quantity);
  if (!slack || steps.length === 0) return null;
  const { beyond } = judgeEnds(read, limits);
  const tighter = next === null ? clunkAt !== null && quietAt === null : next > 0;
  if (tighter && beyond[slack === "lo" ? "hi" : "lo"])
    return "It clunks, and yet it reads tighter than its limits: the clunk is not the strand's. Look at keys, couplings and meshes, and bring it back within its limits.";
  if (!tighter && beyond[slack])
    return "It does not clunk, and yet it reads slacker than its limits. The measured round decides: do not slacken it.";
  return null;
}

/** A way to tighten, or to slacken, in the adjuster's own words. */
function tighterWords(reader: Reader, adjuster: StageAdjuster, tighter: number): string {
  const sense = adjuster.adjuster && centreChange(adjuster.adjuster, 1e-3) < 0 ? -1 : 1;
  return namedMoveWords(reader, adjuster, sense * tighter);
}

const atWords = (reader: Reader, adjuster: StageAdjuster, at: number): string =>
  Math.abs(at) < 1e-9 ? "as found" : `${tighterWords(reader, adjuster, at)} of as found`;

function nextWords(reader: Reader, adjuster: StageAdjuster, { steps, at, clunkAt, found, next }: ClunkSearch): string {
  const last = steps[steps.length - 1];
  if (!last) return "No fast run had its noise noted yet: run it fast, reverse it fast, and note whether it clunks.";
  if (found && next !== null)
    return Math.abs(next) < 1e-9
      ? "Found: it does not clunk here, and a step or two slacker it does. Leave it."
      : `Found: ${tighterWords(reader, adjuster, next)}, where it did not clunk.`;
  if (Math.abs(at - last.at) > 1e-9) return "It was moved since: run it fast, reverse it fast, and note what is heard.";
  if (next !== null) return `Next: ${tighterWords(reader, adjuster, next)}, then run it fast again.`;
  return clunkAt === null || !last.clunk
    ? "Slacken it a little, then run it fast again: it has to clunk once to tell."
    : "Tighten it a little, then run it fast again.";
}
