import { useMemo, useState } from "react";
import { traitsOf } from "~/app/features/kinds/traits";
import { useWords } from "~/app/features/words/use-words";
import {
  type DrawerStage,
  drawerQuestion,
  exchange,
  gainOf,
  handled,
  type StackOutcome,
  stackOutcome,
  stacksToShow,
  totalOf,
} from "~/core/advice";
import type { MovedStack } from "~/core/logbook";
import type { Refusal, Result } from "~/core/quantity";
import type { Stage, StoreItem } from "~/core/records";
import type { Stack, StackAnswer } from "~/core/stacks";
import { judgedBy } from "~/core/stages";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { PickList } from "~/ui/pick-list";
import { Running } from "../../calculation/running";
import { useWorker } from "../../calculation/use-worker";
import { StackPicture } from "../../stacks/stack-picture";
import { piecesKept, piecesText, piecesTyped, readPieces } from "../../stacks/stack-words";
import { stageUnit } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { lengthWords } from "../../words/spoken";
import { useJobScreen } from "../entries/job-context";
import { useLaidPieces } from "../entries/laid-shims";
import { useTexts } from "../entries/use-draft";
import { type RoundView, seenAfter } from "../read/round-view";
import { BothSides } from "./both-sides";
import { asMeasured, itemsFor, sameSize, sizeOf, stockOf, type Taking, takingsOf } from "./drawer-items";

/** A stack chosen from the drawer, as the move is logged. */
export type ChosenStack = {
  amount: number;
  min: number;
  max: number;
  stack: MovedStack;
  stock: Taking[];
};

const start = () => new Worker(new URL("../../../../workers/stack.ts", import.meta.url), { type: "module" });

/** More than that lie badly on each other (common practice: three to five). */
const usualPieces = 4;
const mostShown = 5;

const handledWords = (pieces: number): string =>
  pieces === 0 ? "as it lies" : pieces === 1 ? "one piece changed" : `${pieces} pieces changed`;

/** The stack for this stage from one's own drawer: which pieces, how they lie, what it will read; taking it logs the move. */
export function DrawerPane({
  stage,
  view,
  onTake,
}: {
  stage: Stage;
  view: RoundView;
  onTake: (chosen: ChosenStack) => void;
}) {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const texts = useTexts();
  const { adjuster } = stage.adjuster;
  const laid = useLaidPieces(stage);
  const { field: wasField, text: wasText } = laid.here;
  const items = useMemo(() => itemsFor(stage, data.stock ?? []), [stage, data.stock]);
  const present = useMemo(() => {
    const typed = readPieces(reader, wasText);
    return typed && asMeasured(typed, items);
  }, [reader, wasText, items]);
  const sensitivity = view.sensitivity;
  const of = useMemo((): DrawerStage | null => {
    if (adjuster?.type !== "shims" || sensitivity === null || present === null || !stage.limits) return null;
    const { lo, aim, hi } = stage.limits;
    return {
      now: view.now,
      limits: { lo, aim: aim ?? undefined, hi },
      expandedUncertainty: view.expandedUncertainty,
      perShimMm: sensitivity * gainOf(adjuster),
      present,
    };
  }, [adjuster, sensitivity, view, stage.limits, present]);
  const most = Number(texts["stack.most"] || usualPieces) || usualPieces;
  const question = useMemo(() => of && drawerQuestion(of, stockOf(items), most), [of, items, most]);
  const found = useWorker<Result<StackAnswer>>(start, question);
  const [chosen, setChosen] = useState(0);
  if (adjuster?.type !== "shims" || !stage.limits) return null;
  const answer = found.answer?.ok ? found.answer.value : null;
  const fitting = answer?.best ? [answer.best, ...answer.alternatives] : [];
  const stacks =
    fitting.length > 0
      ? stacksToShow(present ?? [], fitting, mostShown)
      : [answer?.nearestBelow, answer?.nearestAbove].filter(isThere);
  const stack = stacks[Math.min(chosen, stacks.length - 1)];
  const measured = (thicknessMm: number) =>
    items.some((item) => item.measuredMm !== null && sameSize(item.measuredMm, thicknessMm));
  const outcome = stack && of && stackOutcome(of, stack, measured);
  const unsaid = present?.length === 0 && (view.move?.amount ?? 0) < 0;
  return (
    <section aria-label="From the drawer" className="border-t border-rule pt-3 grid gap-3">
      <h3 className="text-lg font-bold">From the drawer</h3>
      <div className="grid sm:grid-cols-[minmax(0,1fr)_8rem] gap-3">
        <Field
          label="What lies in it now"
          value={wasText}
          autoComplete="off"
          onChange={(event) => job.changeText(wasField, event.target.value)}
          onBlur={() => job.changeText(wasField, piecesKept(reader, wasText))}
          hint={
            present &&
            present.length > 0 &&
            piecesTyped(reader, present) !== piecesTyped(reader, readPieces(reader, wasText) ?? [])
              ? `Taken as measured: ${piecesText(reader, present)}`
              : "0.5 + 2 × 0.1; empty: these go in besides"
          }
          error={present === null ? refusalWords(reader, notPieces) : undefined}
        />
        <Field
          label="Pieces at most"
          inputMode="numeric"
          value={texts["stack.most"] ?? ""}
          placeholder={String(usualPieces)}
          autoComplete="off"
          onChange={(event) => job.changeText("stack.most", event.target.value)}
        />
      </div>
      {items.length === 0 && (
        <p className="text-mid">
          No shim lies in the stores. Enter the drawer under Stores, and it is chosen from here.
        </p>
      )}
      {of && !question && <p className="font-semibold">It spreads wider than its limits: no stack can hold it.</p>}
      <Running of={found} />
      {unsaid && (
        <p className="font-semibold">
          Shims have to come out: say what lies in it now, and the stack to put in its place is chosen here.
        </p>
      )}
      {!unsaid && stack && outcome && of && (
        <StackChoice
          stage={stage}
          of={of}
          stack={stack}
          outcome={outcome}
          view={view}
          fits={fitting.length > 0}
          items={items}
          onTake={() =>
            onTake({
              ...outcome,
              stack: { was: [...of.present], now: stack.shims },
              stock: takingsOf(of.present, stack.shims, items),
            })
          }
        />
      )}
      {!unsaid && stacks.length > 1 && (
        <PickList
          legend={fitting.length > 0 ? "Or another one" : "The nearest that can be had"}
          value={String(Math.min(chosen, stacks.length - 1))}
          onChange={(index) => setChosen(Number(index))}
          options={stacks.map((other, i) => ({
            value: String(i),
            label: (
              <>
                <span className="figure">
                  {piecesText(reader, other.shims)} = {lengthWords(reader, other.totalMm, 3)}
                </span>
                {present !== null && <span className="text-mid">{handledWords(handled(present, other.shims))}</span>}
              </>
            ),
          }))}
        />
      )}
      {of && view.move && view.move.amount !== 0 && present !== null && traitsOf(stage.geometry.element).bothSides && (
        <BothSides
          stage={stage}
          of={of}
          known={laid.known?.other ?? null}
          wantedMm={view.move.amount}
          measured={(pieces) => asMeasured(pieces, items)}
          then={(outcome) => seenAfter(view, outcome)}
          onTake={(outcome, across) => onTake({ ...outcome, stack: across, stock: [] })}
        />
      )}
    </section>
  );
}

const notPieces: Refusal = { code: "not-pieces", path: [], facts: {} };
const isThere = (stack: Stack | undefined): stack is Stack => stack !== undefined;

function StackChoice({
  stage,
  of,
  stack,
  outcome,
  view,
  fits,
  items,
  onTake,
}: {
  stage: Stage;
  of: DrawerStage;
  stack: Stack;
  outcome: StackOutcome;
  view: RoundView;
  fits: boolean;
  items: readonly StoreItem[];
  onTake: () => void;
}) {
  const reader = useWords();
  const { unit, figure, range } = stageUnit(reader, stage.geometry.element);
  const { taken, returned } = exchange(of.present, stack.shims);
  const isGap = judgedBy(stage.geometry.element) === "gap";
  const gapMm = isGap ? totalOf(of.present) + (of.now.min + of.now.max) / 2 : undefined;
  const then = seenAfter(view, outcome);
  const place = (thicknessMm: number) => items.find((item) => sameSize(sizeOf(item), thicknessMm))?.place;
  return (
    <>
      <StackPicture gapMm={gapMm} shims={stack.shims} />
      <ul className="text-lg">
        {taken.map(({ thicknessMm, count }) => (
          <li key={thicknessMm}>
            Take{" "}
            <b className="figure">
              {count > 1 && `${count} × `}
              {lengthWords(reader, thicknessMm, 3)}
            </b>
            {place(thicknessMm) && <span className="text-mid"> from {place(thicknessMm)}</span>}
          </li>
        ))}
        {returned.map(({ thicknessMm, count }) => (
          <li key={thicknessMm}>
            Put back{" "}
            <b className="figure">
              {count > 1 && `${count} × `}
              {lengthWords(reader, thicknessMm, 3)}
            </b>
          </li>
        ))}
        {taken.length + returned.length === 0 && <li>No better stack in this drawer.</li>}
      </ul>
      <p className="text-lg">
        It should then read <b className="figure">{range(then.min, then.max)}</b> {unit}, give or take{" "}
        <span className="figure">{figure(outcome.expandedUncertainty, 1)}</span> with the shims' own.{" "}
        {!fits
          ? "That is outside its limits: it is the nearest this drawer has."
          : outcome.provable
            ? "Inside even so."
            : "That is near the edge: read it before it is locked up."}
      </p>
      {outcome.amount !== 0 && (
        <div>
          <Button kind={fits ? "now" : "line"} large onClick={onTake}>
            Take these, and log it
          </Button>
        </div>
      )}
    </>
  );
}
