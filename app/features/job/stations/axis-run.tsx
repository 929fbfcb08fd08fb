import type { ChangeEvent, ReactNode } from "react";
import { endOfRun, type RunDirection } from "~/core/logbook";
import { judgedBy, judgedUnit, type StageElement } from "~/core/stages";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

type FieldProps = {
  value: string;
  onChange: (event: ChangeEvent<HTMLInputElement>) => void;
  error: ReactNode;
  autoComplete: string;
};

/** What is to be seen as an axis runs into its end switch: that it stops before the buffer, and how it comes to its place. */
export function AxisRun({
  element,
  direction,
  field,
}: {
  element: StageElement;
  direction: RunDirection;
  field: (name: string) => FieldProps;
}) {
  const { job } = useJobScreen();
  const texts = useTexts();
  const { unit } = judgedUnit[judgedBy(element)];
  const end = endOfRun[direction];
  return (
    <div className="grid gap-3">
      <p className="border-l-4 border-ink pl-3 text-lg">
        Switch before buffer: run it slowly into the switch at the {end} end, a hand on the stop and nobody in its way,
        then at working speed. The cam holds the switch on from there to the solid stop.
      </p>
      <div className="grid sm:grid-cols-2 gap-4">
        <Field label="Left to the buffer, stopped" hint={`${unit}; 0: it touched it`} {...field("leftToBuffer")} />
        <Field label="Overshoots a step by" hint={`${unit}; empty: not looked at`} {...field("overshoot")} />
      </div>
      <Tick
        label="Guides and rods are wiped and lubricated"
        checked={texts["proof.guides"] === "yes"}
        onChange={(checked) => job.changeText("proof.guides", checked ? "yes" : "")}
      />
    </div>
  );
}
