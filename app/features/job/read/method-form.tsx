import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import { isOverdue } from "~/core/logbook";
import { dayIn } from "~/operations/day-in";
import { later, useLater } from "~/ui/use-later";
import { measuredWords } from "../../words/quantity-names";
import { heldOf, methodOf } from "./method";
import type { MethodFormProps } from "./method-fields";

const fieldsPart = later(async () => (await import("./method-fields")).MethodFields);

/** Instrument, where its tip stands, temperature, sense of counting: what a reading must say about itself, in a line that opens. */
export function MethodForm(props: MethodFormProps) {
  const reader = useWords();
  const { stage, texts, instruments } = props;
  const method = methodOf(reader, stage, texts, instruments);
  const overdue = isOverdue(method.instrument.dueOn, dayIn(new Date(), reader.zone));
  const held = heldOf(reader, stage.geometry.element, method.quantity);
  const byIndicator = method.quantity === "circumferential-backlash";
  const [opened, setOpened] = useState(false);
  const wrong = method.problem !== null;
  const MethodFields = useLater(fieldsPart, opened || wrong);
  return (
    <details className="border-t border-rule pt-1 shrink-0" open={wrong || undefined} onToggle={() => setOpened(true)}>
      <summary className="min-h-11 content-center cursor-pointer">
        {method.gear && <>{method.gear}, </>}
        <b>{method.instrument.name}</b>
        {overdue && <b className="text-outside">, overdue</b>},{" "}
        {!byIndicator
          ? measuredWords[method.quantity].name.toLowerCase()
          : method.indicatorRadiusMm
            ? `at ${method.indicatorRadiusMm} mm`
            : "at the pitch circle"}
        {held && `, ${held.said(method.held ?? held.usual)}`}
        {method.temperatureC === null ? "" : `, ${Math.round(method.temperatureC)} °C`}
      </summary>
      {(opened || wrong) && MethodFields && <MethodFields {...props} method={method} overdue={overdue} held={held} />}
    </details>
  );
}
