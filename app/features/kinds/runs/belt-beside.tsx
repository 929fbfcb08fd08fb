import { useWords } from "~/app/features/words/use-words";
import type { BeltElement } from "~/core/stages";
import { Fold } from "~/ui/fold";
import type { BesideProps } from "../kind-panes";
import { ByAge } from "./by-age";
import { FramePull } from "./frame-pull";
import { WarmBelt } from "./warm-belt";

/** What bears on a belt's tension beside the reading itself: the belt's age, the heat it runs in, the frame that gives under it. */
export function BeltBeside({
  stage,
  element,
  counting,
  expandedUncertainty,
  texts,
  onText,
}: BesideProps<BeltElement["kind"]>) {
  const reader = useWords();
  const { limits } = stage;
  const values = counting.map(({ value }) => value);
  const tensionN = values.length === 0 ? null : ([Math.min(...values), Math.max(...values)] as const);
  return (
    <Fold summary="New or run in, warm, and in its frame" className="border-t border-rule pt-2 mt-3">
      <div className="grid gap-4 py-2">
        <ByAge reader={reader} kind={element.kind} limits={limits} />
        <WarmBelt
          {...{ reader, limits, tensionN, expandedUncertainty, texts, onText }}
          stiffnessN={element.stiffnessN}
        />
        <FramePull />
      </div>
    </Fold>
  );
}
