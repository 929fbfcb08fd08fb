import { useWords } from "~/app/features/words/use-words";
import { planetarySet } from "~/core/planetary";
import type { PlanetaryElement } from "~/core/stages";
import { StageDrawing } from "../../drawing/stage-drawing";
import { type KindPanes, noPanes } from "../kind-panes";
import { clockingWords } from "./clocking-words";

export const planetary: KindPanes<"planetary"> = { ...noPanes, part: SetDrawn };

/** Sun, planets and ring, with how each planet is clocked against the one before. */
function SetDrawn({ element }: { element: PlanetaryElement }) {
  const reader = useWords();
  const solved = planetarySet(element.set);
  const clocked = solved.ok ? clockingWords(reader, solved.value.clockingSteps, element.set.planet[0]) : null;
  return (
    <figure className="m-0 h-full min-h-0 grid grid-rows-[minmax(0,1fr)_auto] justify-items-center gap-1">
      <StageDrawing
        element={element}
        fit={{ widthPx: 420, heightPx: 200 }}
        label={`Sun, planets and ring, to scale. ${clocked ?? ""}`}
      />
      {clocked && <figcaption className="text-mid text-center leading-tight">{clocked}</figcaption>}
    </figure>
  );
}
