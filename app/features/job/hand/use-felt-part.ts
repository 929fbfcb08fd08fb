import { feltPlaces } from "~/core/logbook";
import type { Stage } from "~/core/records";
import type { FeltPart } from "../../feel/feel-ring";
import { useOutline } from "../read/round-pane";

/** The part that is turned, where it has as many teeth as it is felt at; null: rings alone. */
export function useFeltPart(stage: Stage): FeltPart | null {
  const part = useOutline(stage);
  return part.outline.length === feltPlaces(stage.geometry.element) ? part : null;
}
