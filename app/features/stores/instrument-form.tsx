import { useState } from "react";
import { Link } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import { everyShown, type Shown, shownIn } from "~/core/practice";
import type { Instrument } from "~/core/records";
import { Button, buttonClass } from "~/ui/button";
import { Select } from "~/ui/field";
import { DayField } from "../form/day-field";
import { FormProvider, LinesField, TextField, TickField } from "../form/text-field";
import { TextReader, type Texts } from "../form/text-reader";
import { useSavedForm } from "../form/use-saved-form";
import { refusalWords } from "../words/refusal";
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
  const reader = useWords();
  const draft = instrument ? `instrument ${instrument.id} ${instrument.revision}` : "instrument-new";
  const initial = instrument ? textsOf(instrument) : { dimension: "length", coverage: "2" };
  const { fields, refusal, busy, send } = useSavedForm(draft, initial);
  const [id] = useState(() => instrument?.id ?? v7());
  const [asked, setAsked] = useState(false);
  const done = readInstrument(fields.texts);
  const problems = {
    ...(asked ? (done.problems ?? {}) : {}),
    ...(refusal?.path[0] === undefined
      ? {}
      : { [fieldNames[String(refusal.path[0])] ?? String(refusal.path[0])]: refusal }),
  };
  const shown = shownOf(fields.texts);
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    setAsked(true);
    if (done.value) send({ ...done.value, id, seenRevision: instrument?.revision ?? 0 });
  };
  return (
    <FormProvider value={{ fields, problems }}>
      <form onSubmit={save} className="grid gap-5" noValidate aria-label="Instrument">
        <div className="grid sm:grid-cols-2 gap-4">
          <TextField name="name" label="Name" hint="as people here call it" />
          <TextField name="kind" label="Kind" list="instrument-kinds" hint="dial indicator, caliper, feeler set …" />
          <datalist id="instrument-kinds">
            {instrumentKinds.map((kind) => (
              <option key={kind} value={kind} />
            ))}
          </datalist>
          <Select
            label="It shows"
            value={everyShown.indexOf(shown)}
            onChange={(event) => {
              const { dimension, id: unit } = everyShown[Number(event.target.value)] ?? shown;
              fields.setAll({ dimension, unit });
            }}
          >
            {everyShown.map(({ dimension, symbol }, i) => (
              <option key={`${dimension} ${symbol}`} value={i}>
                {dimension}, {symbol}
              </option>
            ))}
          </Select>
          <TextField name="serial" label="Serial number" />
          <TextField name="resolution" label="Resolution" hint={`${shown.symbol}; one step of what it shows`} />
          <TextField name="uncertainty" label="Expanded uncertainty" hint={`${shown.symbol}, from the certificate`} />
          <TextField name="coverage" label="Coverage k" hint="usually 2" />
          <DayField name="calibrated" label="Calibrated on" />
          <DayField name="due" label="Due again on" />
          <div className="sm:col-span-2">
            <LinesField
              name="leaves"
              label="Leaves of a feeler set"
              hint="mm, with spaces between: 0.05 0.1 0.15"
              rows={2}
            />
          </div>
        </div>
        {instrument && <TickField name="retired" label="Out of use" />}
        <div className="border-t border-rule pt-4 flex flex-wrap gap-4 items-center">
          <Button kind="now" large type="submit" disabled={busy}>
            {instrument ? "Keep" : "Enter it"}
          </Button>
          <Link to="/stores/instruments" className={buttonClass("quiet", true)}>
            Back, and keep what is typed
          </Link>
          {refusal && refusal.path.length === 0 && (
            <p role="alert" className="text-outside font-semibold text-lg">
              {refusalWords(reader, refusal)}
            </p>
          )}
        </div>
      </form>
    </FormProvider>
  );
}

/** Names of the operation's fields where the form's are others. */
const fieldNames: Record<string, string> = {
  expandedUncertainty: "uncertainty",
  leavesMm: "leaves",
  calibratedOn: "calibrated",
  dueOn: "due",
};
