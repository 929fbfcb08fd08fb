import type { StageElement } from "~/core/stages";
import { sizeWords } from "../kinds";
import { useWords } from "../words/use-words";

/** Teeth or diameters of a stage, as they stand beside its name. */
export const SizeOf = ({ element }: { element: StageElement }) => sizeWords(useWords(), element);
