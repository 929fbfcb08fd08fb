import { useState } from "react";
import type { RoundResult } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { Fold } from "~/ui/fold";
import { WarmMesh } from "../kinds/gear-pair/warm-mesh";

/** What the backlash as last read becomes where a pair of gears works; nothing of any other stage. */
export function WarmPane({ stage, result }: { stage: Stage; result: RoundResult | null }) {
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const { element } = stage.geometry;
  if (element.kind !== "gear-pair") return null;
  return (
    <Fold summary="What warmth and moisture do to it">
      <WarmMesh
        element={element}
        limits={stage.limits}
        readMm={result && [result.worstMin ?? result.min, result.worstMax ?? result.max]}
        expandedUncertainty={result?.expandedUncertainty ?? 0}
        texts={texts}
        onText={(name, text) => setTexts((before) => ({ ...before, [name]: text }))}
      />
    </Fold>
  );
}
