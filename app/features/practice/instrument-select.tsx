import { type SimulatedKey, simulatedInstruments } from "~/core/practice";
import { BareSelect } from "~/ui/field";

/** Which of the simulated instruments is in hand. */
export function InstrumentSelect({ value, onChange }: { value: SimulatedKey; onChange: (key: SimulatedKey) => void }) {
  return (
    <BareSelect
      label="Simulated instrument"
      value={value}
      onChange={(event) => onChange(event.target.value as SimulatedKey)}
    >
      {simulatedInstruments.map(({ key, kind }) => (
        <option key={key} value={key}>
          {kind}
        </option>
      ))}
    </BareSelect>
  );
}
