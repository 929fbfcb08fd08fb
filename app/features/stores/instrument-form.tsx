import { useState } from "react";
import { Link } from "react-router";
import { v7 } from "uuid";
import type { Instrument } from "~/data/queries/instruments";
import { Button, buttonClass } from "~/ui/button";
import { Reader, type Texts } from "../stage-form/reader";
import { FormProvider, LinesField, TextField, TickField } from "../stage-form/text-field";
import { useSavedForm } from "../stage-form/use-saved-form";
import { refusalWords } from "../words/refusal";
import { instrumentKinds, shownUnit } from "./instrument-kinds";

type Dimension = Instrument["dimension"];

/** What the form says, as the operation takes it; or what is wrong, by field. */
export function readInstrument(texts: Texts) {
  const read = new Reader(texts);
  const dimension = dimensionOf(texts.dimension);
  const unit = shownUnit[dimension];
  const measured = (name: string) =>
    unit.dimension ? read.measured(name, { ...unit, dimension: unit.dimension }) : read.number(name);
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
    dimension,
    resolution,
    expandedUncertainty,
    coverage,
    leavesMm,
    serial: read.text("serial"),
    unit: unit.unit,
    calibratedOn,
    dueOn,
    retired: read.text("retired") === "yes",
  });
}

const dimensionOf = (text: string | undefined): Dimension =>
  (Object.keys(shownUnit) as Dimension[]).find((dimension) => dimension === text) ?? "length";

const textsOf = (i: Instrument): Texts => ({
  name: i.name,
  kind: i.kind,
  dimension: i.dimension,
  resolution: String(i.resolution),
  uncertainty: String(i.expandedUncertainty),
  coverage: String(i.coverage),
  leaves: i.leavesMm.join(" "),
  serial: i.serial,
  calibrated: i.calibratedOn ?? "",
  due: i.dueOn ?? "",
  retired: i.retiredAt ? "yes" : "",
});

/** An instrument with what its certificate says of it. Readings that stand in the logbooks keep the figures of their day. */
export function InstrumentForm({ instrument }: { instrument: Instrument | null }) {
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
  const unit = shownUnit[dimensionOf(fields.texts.dimension)].unit;
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
          <label className="block">
            <span className="block font-semibold mb-1">It shows</span>
            <select
              className="w-full min-h-12 px-2 bg-panel border-2 border-ink text-lg"
              value={dimensionOf(fields.texts.dimension)}
              onChange={(event) => fields.set("dimension", event.target.value)}
            >
              {Object.entries(shownUnit).map(([dimension, shown]) => (
                <option key={dimension} value={dimension}>
                  {dimension}, {shown.unit}
                </option>
              ))}
            </select>
          </label>
          <TextField name="serial" label="Serial number" />
          <TextField name="resolution" label="Resolution" hint={`${unit}; one step of what it shows`} />
          <TextField name="uncertainty" label="Expanded uncertainty" hint={`${unit}, from the certificate`} />
          <TextField name="coverage" label="Coverage k" hint="usually 2" />
          <TextField name="calibrated" label="Calibrated on" type="date" />
          <TextField name="due" label="Due again on" type="date" />
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
              {refusalWords(refusal)}
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
