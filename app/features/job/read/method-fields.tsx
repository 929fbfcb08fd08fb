import type { RefObject } from "react";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { isOverdue } from "~/core/logbook";
import type { Instrument, Stage } from "~/core/records";
import { typedRound } from "~/core/rounds";
import { waysToMeasure } from "~/core/stages";
import { dayIn } from "~/operations/day-in";
import { Choice } from "~/ui/choice";
import { Field, Select } from "~/ui/field";
import { stageUnit } from "../../words/quantity";
import { measuredWords } from "../../words/quantity-names";
import { refusalWords } from "../../words/refusal";
import { dateWords } from "../../words/times";
import { type heldOf, instrumentsFor, type Method } from "./method";

/** What one reading by this method is worth, as it is now set up. */
function worthWords(reader: Reader, stage: Stage, method: Method): string {
  const values = typedRound(stage.geometry.element, method.instrument, method, []);
  const unit = stageUnit(reader, stage.geometry.element);
  const linear = method.quantity !== "span-frequency" && method.quantity !== "span-deflection";
  const sure = values.ok && linear ? `±${unit.said(values.value.expandedUncertainty, 1)} of ${unit.name}. ` : "";
  return `${sure}${measuredWords[method.quantity].worth}`;
}

export type MethodFormProps = {
  stage: Stage;
  texts: Record<string, string>;
  instruments: readonly Instrument[];
  onText: (name: string, text: string) => void;
  /** Told of its fields, by name, so that one with a problem can be given the focus. */
  fields: RefObject<Map<string, HTMLInputElement>>;
};

/** The fields of the method by which is read. */
export function MethodFields({
  stage,
  texts,
  instruments,
  onText,
  fields,
  method,
  overdue,
  held,
}: MethodFormProps & { method: Method; overdue: boolean; held: ReturnType<typeof heldOf> }) {
  const reader = useWords();
  const { element } = stage.geometry;
  const byIndicator = method.quantity === "circumferential-backlash";
  const today = dayIn(new Date(), reader.zone);
  const field = (name: string) => ({
    name,
    ref: (input: HTMLInputElement | null) => {
      if (input) fields.current.set(name, input);
      else fields.current.delete(name);
    },
    value: texts[name] ?? "",
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => onText(name, event.target.value),
    autoComplete: "off",
  });
  const problem = (name: string) =>
    method.problem?.path[0] === name ? refusalWords(reader, method.problem) : undefined;
  return (
    <div className="grid gap-3 py-2">
      <Select
        label="What is measured"
        value={method.quantity}
        onChange={(event) => onText("method.quantity", event.target.value)}
      >
        {waysToMeasure(element).map((quantity) => (
          <option key={quantity} value={quantity}>
            {measuredWords[quantity].name}
          </option>
        ))}
      </Select>
      <p>
        <b>Worth:</b> {worthWords(reader, stage, method)}
      </p>
      <Select
        label="Instrument"
        value={method.instrument.id}
        onChange={(event) => onText("method.instrument", event.target.value)}
      >
        {instrumentsFor(method.quantity, instruments).map((instrument) => (
          <option key={instrument.id} value={instrument.id}>
            {instrument.name}
            {isOverdue(instrument.dueOn, today) && ", overdue"}
          </option>
        ))}
      </Select>
      {overdue && (
        <p className="border-l-4 border-outside pl-3">
          Its calibration was due on {dateWords(reader, method.instrument.dueOn ?? "")}. The reading is taken, and the
          logbook says so.
        </p>
      )}
      {held && <Field label={held.label} hint={held.hint} {...field("method.held")} error={problem("method.held")} />}
      {byIndicator && (
        <>
          <Field
            label="Tip at radius"
            hint="Empty: at the working pitch circle"
            {...field("method.radius")}
            error={problem("method.radius")}
          />
          <Field
            label="Inclined by"
            hint="Degrees off the motion; keep below 10"
            {...field("method.angle")}
            error={problem("method.angle")}
          />
        </>
      )}
      <Field
        label="Temperature"
        hint="°C, or with °F"
        {...field("method.temperature")}
        error={problem("method.temperature")}
      />
      <Choice
        legend="Counted"
        name="sense"
        value={method.sense}
        onChange={(sense) => onText("method.sense", sense)}
        options={[
          { value: "clockwise", label: "clockwise" },
          { value: "counter-clockwise", label: "counter-clockwise" },
        ]}
      />
    </div>
  );
}
