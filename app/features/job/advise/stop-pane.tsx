import { useMemo } from "react";
import { useWords } from "~/app/features/words/use-words";
import { gainOf, stopSpacer } from "~/core/advice";
import { parseQuantity } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { hardStopOf } from "~/core/stages";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { stageUnit } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { lengthWords } from "../../words/spoken";
import { verdictState } from "../../words/state";
import { useJobScreen } from "../entries/job-context";
import { useLaidPieces } from "../entries/laid-shims";
import type { RoundView } from "../read/round-view";
import { itemsFor, sameSize, sizeOf, takingsOf } from "./drawer-items";
import type { ChosenStack } from "./drawer-pane";

/** Which one piece belongs under a hard stop in place of the one that is fitted: from the drawers, or to be made. */
export function StopPane({
  stage,
  gear,
  view,
  onTake,
}: {
  stage: Stage;
  /** Whose stop it is; undefined where the stage has one. */
  gear: string | undefined;
  view: RoundView;
  onTake: (chosen: ChosenStack) => void;
}) {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const entered = hardStopOf(stage.geometry.element)?.thicknessMm ?? null;
  const laid = useLaidPieces(stage, gear, entered === null ? "" : lengthWords(reader, entered, 2)).here;
  const { text } = laid;
  const fitted = parseQuantity(text, "length", "mm");
  const fittedMm = fitted.ok ? fitted.value.value : null;
  const items = useMemo(() => itemsFor(stage, data.stock ?? []).filter(({ count }) => count > 0), [stage, data.stock]);
  const { limits } = stage;
  const { adjuster } = stage.adjuster;
  const answer = useMemo(() => {
    if (fittedMm === null || !limits || adjuster?.type !== "shims" || !view.sensitivity) return null;
    const sizes = [...new Set(items.map(sizeOf))];
    const found = stopSpacer({
      ends: [
        {
          id: "stop",
          readingsMm: [view.now.min, view.now.max],
          perMm: view.sensitivity * gainOf(adjuster),
          spacerMm: fittedMm,
        },
      ],
      limits: { lo: limits.lo, aim: limits.aim ?? undefined, hi: limits.hi },
      expandedUncertaintyMm: view.expandedUncertainty,
      ...(sizes.length > 0 ? { spacersMm: sizes } : {}),
    });
    return found.ends[0] ?? null;
  }, [fittedMm, limits, adjuster, view, items]);
  const { unit, range } = stageUnit(reader, stage.geometry.element);
  const choose = answer?.choose ?? null;
  const item = choose && items.find((one) => sameSize(sizeOf(one), choose.thicknessMm));
  const take = () => {
    if (!choose || fittedMm === null) return;
    const piece = (thicknessMm: number) => (thicknessMm > 0 ? [{ thicknessMm, count: 1 }] : []);
    const [was, now] = [piece(fittedMm), piece(choose.thicknessMm)];
    onTake({
      amount: Math.round((choose.thicknessMm - fittedMm) * 1000) / 1000,
      min: choose.minMm,
      max: choose.maxMm,
      stack: { was, now },
      stock: takingsOf(was, now, items),
    });
  };
  return (
    <section aria-label="Spacer under the stop" className="border-t border-rule pt-3 grid gap-3">
      <h3 className="text-lg font-bold">One piece in place of it</h3>
      <Field
        label="Spacer that is fitted now"
        hint="mm, as measured; 0 where there is none"
        value={text}
        autoComplete="off"
        onChange={(event) => job.changeText(laid.field, event.target.value)}
        error={text !== "" && !fitted.ok ? refusalWords(reader, fitted.refusal) : undefined}
      />
      {answer && answer.spacerMm < 0 && (
        <p className="font-semibold">
          No spacer is thin enough: the part itself is in the way. Turn {lengthWords(reader, -answer.spacerMm, 2)} off
          what it rests against, or see the parts to.
        </p>
      )}
      {answer && answer.spacerMm >= 0 && answer.changeMm !== 0 && (
        <p className="text-lg">
          A spacer of <b className="figure">{lengthWords(reader, answer.spacerMm, 2)}</b> would bring it where it
          belongs{items.length === 0 && ": make one"}.
        </p>
      )}
      {answer && choose && (
        <>
          <p className="text-lg">
            In the drawers{item?.place && ` (${item.place})`}:{" "}
            <b className="figure">{lengthWords(reader, choose.thicknessMm, 2)}</b>, then{" "}
            <span className="figure">{range(choose.minMm, choose.maxMm)}</span> {unit}{" "}
            <StateMark state={verdictState[choose.verdict]} />
          </p>
          {!answer.feasible && (
            <p className="font-semibold">None on hand holds all of it inside; that is the best of them.</p>
          )}
          {fittedMm !== null && !sameSize(choose.thicknessMm, fittedMm) && (
            <div>
              <Button kind={answer.feasible ? "now" : "line"} large onClick={take}>
                Put it in, and log it
              </Button>
            </div>
          )}
        </>
      )}
      <p className="text-mid">
        Push it against the stop at working force while it is read. Then raise the force in steps and watch the current
        (under Prove): a stop that carries the force leaves it flat.
      </p>
    </section>
  );
}
