import { ChoiceField } from "../../form/choice-field";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { useFormTexts } from "../../form/use-form-texts";
import { FieldRow, MoreFields } from "../form-parts";

export function AxisFields() {
  const swings = useFormTexts().axisUnit === "deg";
  return (
    <>
      <ChoiceField
        name="axisUnit"
        legend="It moves"
        usual="mm"
        options={[
          { value: "mm", label: "along, mm" },
          { value: "deg", label: "round, degrees" },
        ]}
      />
      <FieldRow>
        <TextField name="work.lo" label="Work begins at" hint="at the low end" />
        <TextField name="work.hi" label="Work ends at" />
        <TextField name="perTurn" label="A turn of its shaft moves it" />
        <TextField name="buffer.lo" label="Low buffer" hint="at first touch" />
        <TextField name="buffer.hi" label="High buffer" hint="at first touch" />
        <TextField name="stopsIn" label="Stops in, as read" hint="worst: fastest, heaviest; empty: computed" />
        <TextField name="axisSpeed" label="Speed" hint="a second" inputMode="decimal" />
        <TextField name="decel" label="It brakes with" hint="a second squared" inputMode="decimal" />
        <TextField name="reaction" label="Until it brakes" hint="s; switch, controller, brake" inputMode="decimal" />
      </FieldRow>
      {swings && (
        <TextField name="switchRadius" label="Its switches stand from the pivot" hint="mm; empty: not known" />
      )}
      <MoreFields title="Position sensor">
        <FieldRow>
          <TextField name="sensor.turns" label="Turns it has" hint="empty: none" inputMode="decimal" />
          <TextField name="sensor.per" label="Turns a turn of the shaft" hint="empty: 1" inputMode="decimal" />
          <TextField name="sensor.low" label="Reads, where the work begins" hint="turns; empty: not known" />
        </FieldRow>
      </MoreFields>
      <MoreFields title="Load, balance and motor">
        <FieldRow>
          <TextField name="load.force" label="Load" hint="N, or kg" />
          <TextField name="load.payload" label="Carries at most, beside it" hint="N, or kg; empty: nothing" />
          <TextField name="load.friction" label="Friction" hint="N; half of up less down" />
          {swings && <TextField name="load.arm" label="Arm of the load" hint="mm" />}
        </FieldRow>
        <RowsField
          name="strand"
          legend="One spring or cord, as read"
          hint="Stretched step by step with a spring scale; an elastic cord from the side on which it will work."
          one="Point"
          columns={[
            { name: "at", label: "Stretch, mm" },
            { name: "force", label: "Force, N" },
          ]}
        />
        <FieldRow>
          <TextField name="strands" label="Strands" inputMode="numeric" />
          <TextField name="strand.top" label="Stretch at the top" hint="mm" />
          <TextField name="strand.most" label="Never stretched beyond" hint="mm; empty: not known" />
          <TextField name="reeving" label="mm of strand a mm of load" hint="empty: 1" inputMode="decimal" />
          <TextField name="motorTorque" label="The motor gives" hint="N·m" />
        </FieldRow>
        <RowsField
          name="gear"
          legend="Gears between motor and shaft"
          one="Gear"
          columns={[
            { name: "name", label: "Name", wide: true },
            { name: "ratio", label: "Motor turns a turn" },
            { name: "efficiency", label: "Comes through, %" },
          ]}
        />
      </MoreFields>
    </>
  );
}
