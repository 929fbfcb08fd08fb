import { Link } from "react-router";
import { nothingToAdjust, sensitivityWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import {
  type LearntResponse,
  type MoveEvidence,
  priorWidth,
  responseChange,
  stiffnessGuessed,
  unitOf,
} from "~/core/advice";
import type { Stage } from "~/core/records";
import { middleOf, sensitivityOf } from "~/core/stages";
import { Fold } from "~/ui/fold";
import { Term } from "../shell/term";
import { movedWords } from "../words/amount";
import { stageUnit } from "../words/quantity";
import { responseChangeWords, responseWords } from "../words/response";

const whyWords: Record<MoveEvidence["why"], string> = {
  used: "counts",
  "no-common-tooth": "no tooth read both before and after",
  "not-teaching": "by hand, or another adjuster",
  reversal: "first move after the direction changed: the screw's own play is in it",
  surprising: "off by more than three deviations: a clamp slipped, or it was noted the wrong way round",
};

/** The adjuster, what a unit of it really does on this stage, and the moves that taught it. */
export function LearntPane({
  stage,
  learnt,
  mayEdit,
}: {
  stage: Stage;
  learnt: LearntResponse | null;
  mayEdit: boolean;
}) {
  const reader = useWords();
  const { adjuster } = stage;
  const { element } = stage.geometry;
  const spoken = stageUnit(reader, element);
  const middle = middleOf(stage.limits);
  const sensitivity = middle === null ? null : sensitivityOf(element, middle, middle);
  if (!adjuster.adjuster || !learnt)
    return (
      <section aria-labelledby="adjuster">
        <div className="flex gap-4 items-baseline justify-between">
          <h2 id="adjuster" className="text-xl font-bold">
            {adjuster.name}
          </h2>
          {mayEdit && <Link to={`/stages/${stage.id}/adjuster`}>Revise the adjuster</Link>}
        </div>
        <p className="text-lg">{nothingToAdjust(element)}</p>
      </section>
    );
  const unit = unitOf(adjuster.adjuster);
  const change = responseChange(learnt.evidence);
  const eccentric = adjuster.adjuster.type === "eccentric";
  return (
    <section aria-labelledby="adjuster">
      <div className="flex gap-4 items-baseline justify-between">
        <h2 id="adjuster" className="text-xl font-bold">
          {adjuster.name}
        </h2>
        {mayEdit && <Link to={`/stages/${stage.id}/adjuster`}>Revise the adjuster</Link>}
      </div>
      <p className="text-lg">
        <span className="figure">{responseWords(reader, stage, learnt)}</span>.
      </p>
      {change && <p className="text-lg text-near font-semibold">{responseChangeWords(reader, stage, change)}.</p>}
      <p className="text-mid">
        + is {adjuster.positiveWord}, − is {adjuster.negativeWord}
        {adjuster.seenFrom && `, seen from ${adjuster.seenFrom}`}
        {adjuster.hand === "left" && ", left-hand thread"}
        {!adjuster.hasScale && ". It has no scale: it is set on a feeler"}.
      </p>
      {learnt.evidence.length > 0 && (
        <Scatter evidence={learnt.evidence} perUnit={eccentric ? null : learnt.perUnit} name={spoken.name} />
      )}
      <Fold summary="Why">
        <p>
          Its <Term name="response">response</Term>: the law of the adjuster and{" "}
          {sensitivity === null ? "the geometry" : sensitivityWords(reader, element, sensitivity)} say what a unit
          should do, taken as good to one part in{" "}
          {stiffnessGuessed(element) ? "two" : priorWidth(element) < 0.2 ? "seven" : "three"} (1 sd, common practice);
          each move between two rounds pulls that towards what it really did, by regression through the origin with the
          reading's uncertainty.
        </p>
        <ul>
          {[...learnt.evidence].reverse().map((move, i) => (
            <li key={i} className="border-t border-rule py-1">
              {movedWords(reader, adjuster, move.amount, unit)}:{" "}
              <span className="figure">
                {move.change > 0 ? "+" : ""}
                {spoken.figure(move.change, 1)}
              </span>{" "}
              {spoken.unit} <span className="text-mid">({whyWords[move.why]})</span>
            </li>
          ))}
        </ul>
      </Fold>
    </section>
  );
}

/** What each move did, against how much it was moved; the line is what was learnt. Hollow: left out. */
function Scatter({
  evidence,
  perUnit,
  name,
}: {
  evidence: readonly MoveEvidence[];
  perUnit: number | null;
  name: string;
}) {
  const reachX = Math.max(...evidence.map((move) => Math.abs(move.amount)), 1e-6) * 1.15;
  const reachY =
    Math.max(
      ...evidence.map((move) => Math.abs(move.change)),
      1e-6,
      perUnit === null ? 0 : Math.abs(perUnit) * reachX * 0.6,
    ) * 1.15;
  const x = (amount: number) => 200 + (180 * amount) / reachX;
  const y = (change: number) => 75 - (65 * change) / reachY;
  const end = perUnit === null ? null : Math.min(reachX, reachY / Math.abs(perUnit || 1));
  return (
    <svg
      viewBox="0 0 400 150"
      className="w-full bg-panel my-2"
      role="img"
      aria-label={`Change of ${name} against the amount of each move`}
    >
      <path d="M20 75H380M200 10V140" className="stroke-rule" strokeWidth="1.5" />
      {end !== null && perUnit !== null && (
        <line
          x1={x(-end)}
          y1={y(-end * perUnit)}
          x2={x(end)}
          y2={y(end * perUnit)}
          className="stroke-ink"
          strokeWidth="2"
        />
      )}
      {evidence.map((move, i) => (
        <circle
          key={i}
          cx={x(move.amount)}
          cy={y(move.change)}
          r="6"
          className={move.used ? "fill-ink stroke-ink" : "fill-panel stroke-mid"}
          strokeWidth="2"
        />
      ))}
      <text x="384" y="94" textAnchor="end" fontSize="15" className="fill-mid">
        moved +
      </text>
      <text x="206" y="22" fontSize="15" className="fill-mid">
        {name} +
      </text>
    </svg>
  );
}
