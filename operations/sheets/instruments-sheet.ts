import { v7 } from "uuid";
import { instrumentDimensions, instrumentUnits, shownIn } from "../../core/practice";
import { accept, type Result, type UnitId } from "../../core/quantity";
import type { Instrument } from "../../core/records";
import { everyInstrument } from "../../data/queries/instruments";
import { keepInstrument } from "../instruments";
import type { Cells } from "./cells";
import type { Sheet } from "./sheet";

type Needed = Pick<Instrument, "name" | "kind" | "dimension" | "resolution" | "expandedUncertainty">;
type More = Pick<Instrument, "unit" | "coverage" | "leavesMm" | "serial" | "calibratedOn" | "dueOn">;
type Line = Needed & Partial<More>;

/**
 * Instruments by their names, their figures in the unit of the line, or in the usual one. A column that a sheet does not have stays
 * as it is.
 */
export const instrumentsSheet: Sheet<Line> = {
  name: "instruments",
  most: 5000,
  columns: [
    { name: "name", needed: true },
    { name: "kind", needed: true },
    { name: "shows", needed: true },
    { name: "unit" },
    { name: "resolution", needed: true, number: true },
    { name: "expanded uncertainty", needed: true, number: true },
    { name: "coverage", number: true },
    { name: "leaves mm" },
    { name: "serial" },
    { name: "calibrated on" },
    { name: "due on" },
  ],
  read,
  key: ({ name }) => name,
  async apply(context, lines, tell) {
    const all = await everyInstrument(context.pool, context.person.workshopId);
    const fates: Result<"new" | "changed" | "same">[] = [];
    for (const [index, line] of lines.entries()) {
      if (index % 100 === 0) await tell(index / lines.length);
      const before = all.find(({ name }) => name.toLowerCase() === line.name.toLowerCase());
      const same = before && keys.every((key) => !(key in line) || told(asSaid(before)[key]) === told(line[key]));
      const kept = same
        ? accept(null)
        : await keepInstrument(context, {
            ...(before && asSaid(before)),
            ...line,
            id: before?.id ?? v7(),
            seenRevision: before?.revision ?? 0,
            retired: Boolean(before?.retiredAt),
          });
      fates.push(kept.ok ? accept(before ? (same ? "same" : "changed") : "new") : kept);
    }
    return fates;
  },
  async rows({ pool, person }) {
    const all = await everyInstrument(pool, person.workshopId);
    return all.map((i) => [
      i.name,
      i.kind,
      i.dimension,
      shownIn(i).id,
      shownIn(i).shown(i.resolution),
      shownIn(i).shown(i.expandedUncertainty),
      i.coverage,
      i.leavesMm.join(" "),
      i.serial,
      i.calibratedOn ?? "",
      i.dueOn ?? "",
    ]);
  },
};

/** To be compared: a figure that went out in inches comes back good to nine digits. */
const told = (value: unknown): string =>
  typeof value === "number" ? String(Number(value.toPrecision(8))) : JSON.stringify(value);

const asSaid = (instrument: Instrument): Needed & More => ({ ...instrument, unit: shownIn(instrument).id });

const keys = [
  "name",
  "kind",
  "dimension",
  "unit",
  "resolution",
  "expandedUncertainty",
  "coverage",
  "leavesMm",
  "serial",
  "calibratedOn",
  "dueOn",
] as const satisfies readonly (keyof Line)[];

function read(cells: Cells): Result<Line> {
  const over0 = (column: string, least: number): number => {
    const value = cells.number(column);
    if (value === null) cells.wrong("missing", column);
    else if (value < least || (least === 0 && column === "resolution" && value === 0)) cells.wrong("too-small", column);
    return value ?? 0;
  };
  const day = (column: string): string | null => {
    const text = cells.text(column);
    if (text === "") return null;
    if (!/^\d{4}-\d\d-\d\d$/.test(text) || Number.isNaN(Date.parse(text))) cells.wrong("not-a-day", column, { text });
    return text;
  };
  const leaves = (): number[] => {
    const texts = cells.text("leaves mm", 400).split(/\s+/).filter(Boolean);
    const leavesMm = texts.map((leaf) => Number(leaf.replace(",", ".")));
    if (!leavesMm.every((leaf) => leaf > 0 && leaf <= 100)) cells.wrong("not-leaves", "leaves mm");
    return leavesMm;
  };
  const dimension = cells.oneOf("shows", instrumentDimensions, "length");
  const unit = cells.oneOf<UnitId>("unit", instrumentUnits[dimension], instrumentUnits[dimension][0]);
  const { kept } = shownIn({ dimension, unit });
  const line: Line = {
    name: cells.needed("name", 80),
    kind: cells.needed("kind", 60),
    dimension,
    resolution: kept(over0("resolution", 0)),
    expandedUncertainty: kept(over0("expanded uncertainty", 0)),
    ...cells.had<More>({
      unit: ["unit", () => unit],
      coverage: ["coverage", () => cells.number("coverage") ?? 2],
      leavesMm: ["leaves mm", leaves],
      serial: ["serial", () => cells.text("serial", 80)],
      calibratedOn: ["calibrated on", () => day("calibrated on")],
      dueOn: ["due on", () => day("due on")],
    }),
  };
  if (line.calibratedOn && line.dueOn && line.calibratedOn > line.dueOn) cells.wrong("due-before-calibrated", "due on");
  return cells.done(line);
}
