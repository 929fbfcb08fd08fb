import { useWords } from "~/app/features/words/use-words";
import { switchesRead } from "~/core/advice";
import type { CountingReading } from "~/core/rounds";
import type { AxisElement } from "~/core/stages";
import { travelWith } from "~/core/stages/kinds/axis/travel";
import { TravelPicture } from "../../axes/travel-picture";
import { stageUnit } from "../../words/quantity";

/** The axis along its travel, with its switches where they were read. */
export function AxisPart({ element, counting }: { element: AxisElement; counting: readonly CountingReading[] }) {
  const reader = useWords();
  const { work, buffers } = element;
  const { low, high } = switchesRead(counting);
  return (
    <TravelPicture
      work={work}
      low={{ bufferAt: buffers.lo, switchAt: low === undefined ? undefined : buffers.lo + low }}
      high={{ bufferAt: buffers.hi, switchAt: high === undefined ? undefined : buffers.hi - high }}
      travel={travelWith(element, { low, high })}
      label="The axis along its travel, both ends to scale"
      figure={stageUnit(reader, element).figure}
    />
  );
}
