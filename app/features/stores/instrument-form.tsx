import { useState } from "react";
import { v7 } from "uuid";
import { everyShown, type Shown, shownIn } from "~/core/practice";
import type { Instrument } from "~/core/records";
import { Select } from "~/ui/field";
import { DayField } from "../form/day-field";
import { FormEnd } from "../form/form-end";
import { SavedForm } from "../form/saved-form";
import { TextField } from "../form/text-field";
import { TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { TickField } from "../form/tick-field";
import { useFormTexts, useWriteTexts } from "../form/use-form-texts";
import { useSavedForm } from "../form/use-saved-form";
import { instrumentKinds } from "./instrument-kinds";

/** What the form says, as the operation takes it; or what is wrong, by field. */
export function readInstrument(texts: Texts) {
  const read = new TextReader(texts);
  const unit = shownOf(texts);
  const measured = (name: string) => {
    // A step of a temperature is no temperature.
    if (unit.dimension === "temperature") return read.number(name);
    return read.measured(name, {
      dimension: unit.dimension,
      bare: unit.id,
      factor: unit.dimension === "angle" ? 60 : 1,
    });
  };
  const resolution = measured("resolution");
  read.want("resolution", resolution > 0, "too-small");
  const expandedUncertainty = measured("uncertainty");
  read.want("uncertainty", expandedUncertainty >= 0, "too-small");
  const coverage = read.numberOr("coverage", 2);
  read.want("coverage", coverage > 0 && coverage <= 10, "too-large");
  const leavesMm = read
    .text("leaves")
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((leaf) => Number(leaf.replace(",", ".")));
  read.want("leaves", leavesMm.every((leaf) => leaf > 0 && leaf <= 100) && leavesMm.length <= 60, "not-leaves");
  const [calibratedOn, dueOn] = [read.text("calibrated") || null, read.text("due") || null];
  read.want("due", !calibratedOn || !dueOn || calibratedOn <= dueOn, "due-before-calibrated");
  return read.done({
    name: read.words("name"),
    kind: read.words("kind"),
    dimension: unit.dimension,
    resolution,
    expandedUncertainty,
    coverage,
    leavesMm,
    serial: read.text("serial"),
    unit: unit.id,
    calibratedOn,
    dueOn,
    retired: read.text("retired") === "yes",
  });
}

const shownOf = ({ dimension = "length", unit = "" }: Texts): Shown =>
  everyShown.find((one) => one.dimension === dimension && (unit === "" || one.id === unit)) ?? (everyShown[0] as Shown);

const textsOf = (i: Instrument): Texts => ({
  name: i.name,
  kind: i.kind,
  dimension: i.dimension,
  unit: shownIn(i).id,
  resolution: String(shownIn(i).shown(i.resolution)),
  uncertainty: String(shownIn(i).shown(i.expandedUncertainty)),
  coverage: String(i.coverage),
  leaves: i.leavesMm.join(" "),
  serial: i.serial,
  calibrated: i.calibratedOn ?? "",
  due: i.dueOn ?? "",
  retired: i.retiredAt ? "yes" : "",
});

/** An instrument with what its certificate says of it. Readings that stand in the logbooks keep the figures of their day. */
export function InstrumentForm({ instrument }: { instrument: Instrument | null }) {
  const [id] = useState(() => instrument?.id ?? v7());
  const saved = useSavedForm({
    key: instrument ? `instrument ${instrument.id} ${instrument.revision}` : "instrument-new",
    initial: instrument ? textsOf(instrument) : { dimension: "length", coverage: "2" },
    read: readInstrument,
    schema: async () => (await import("~/core/records/instrument")).instrumentFields,
    fieldOf: ([name]) => fieldNames[String(name)] ?? String(name),
    send: (said) => ({ ...said, id, seenRevision: instrument?.revision ?? 0 }),
  });
  return (
    <SavedForm of={saved} label="Instrument">
      <div className="grid sm:grid-cols-2 gap-4">
        <TextField name="name" label="Name" hint="as people here call it" />
        <TextField name="kind" label="Kind" usual={instrumentKinds} className="sm:col-span-2" />
        <ShownField />
        <TextField name="serial" label="Serial number" />
        <CertificateFields />
        <DayField name="calibrated" label="Calibrated on" />
        <DayField name="due" label="Due again on" />
        <TextField
          name="leaves"
          label="Leaves of a feeler set"
          hint="mm, with spaces between: 0.05 0.1 0.15"
          className="sm:col-span-2"
        />
      </div>
      {instrument && <TickField name="retired" label="Out of use" />}
      <FormEnd save={instrument ? "Keep" : "Save the instrument"} busy={saved.busy} back="/stores/instruments" />
    </SavedForm>
  );
}

/** What it shows, and in which unit. */
function ShownField() {
  const shown = shownOf(useFormTexts());
  const write = useWriteTexts();
  return (
    <Select
      label="It shows"
      value={everyShown.indexOf(shown)}
      onChange={(event) => {
        const { dimension, id: unit } = everyShown[Number(event.target.value)] ?? shown;
        write({ dimension, unit });
      }}
    >
      {everyShown.map(({ dimension, symbol }, i) => (
        <option key={`${dimension} ${symbol}`} value={i}>
          {dimension}, {symbol}
        </option>
      ))}
    </Select>
  );
}

function CertificateFields() {
  const { symbol } = shownOf(useFormTexts());
  return (
    <>
      <TextField name="resolution" label="Resolution" hint={`${symbol}; one step of what it shows`} />
      <TextField name="uncertainty" label="Expanded uncertainty" hint={`${symbol}, from the certificate`} />
      <TextField name="coverage" label="Coverage k" hint="usually 2" />
    </>
  );
}

/** Names of the operation's fields where the form's are others. */
const fieldNames: Record<string, string> = {
  expandedUncertainty: "uncertainty",
  leavesMm: "leaves",
  calibratedOn: "calibrated",
  dueOn: "due",
};
