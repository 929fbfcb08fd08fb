import { useWords } from "~/app/features/words/use-words";
import type { ResponseChange } from "~/core/advice";
import type { Stage } from "~/core/records";
import { responseChangeWords } from "../../words/response";

/** That the adjuster does not do what it did, before it is trusted with the next move. */
export function ResponseChanged({ stage, change }: { stage: Stage; change: ResponseChange }) {
  const reader = useWords();
  return <p className="text-near font-semibold mt-2">{responseChangeWords(reader, stage, change)}.</p>;
}
