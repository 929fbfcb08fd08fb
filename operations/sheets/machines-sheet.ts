import { v7 } from "uuid";
import { accept, type Result } from "../../core/quantity";
import type { Machine } from "../../core/records";
import { machinesOfWorkshop } from "../../data/queries/machines";
import { addMachine } from "../add-machine";
import { editMachine } from "../edit-machine";
import type { Cells } from "./cells";
import type { Sheet } from "./sheet";

const usageUnits = ["hours", "cycles", "starts"] as const;
const keys = ["tag", "name", "site", "hall", "place", "model", "serial", "usageUnit", "units"] as const;
type Fields = Pick<Machine, (typeof keys)[number]>;
type Line = Partial<Fields> & Pick<Fields, "tag" | "name">;

/** Machines by their tags; stages are entered on the machine. A column that a sheet does not have stays as it is. */
export const machinesSheet: Sheet<Line> = {
  name: "machines",
  most: 5000,
  columns: [
    { name: "tag", needed: true },
    { name: "name", needed: true },
    { name: "site" },
    { name: "hall" },
    { name: "place" },
    { name: "model" },
    { name: "serial" },
    { name: "meter counts" },
    { name: "units" },
  ],
  read,
  key: ({ tag }) => tag,
  async apply(context, lines, tell) {
    const all = await machinesOfWorkshop(context.pool, context.person.workshopId);
    const fates: Result<"new" | "changed" | "same">[] = [];
    for (const [index, line] of lines.entries()) {
      if (index % 50 === 0) await tell(index / lines.length);
      const before = all.find(({ tag }) => tag.toLowerCase() === line.tag.toLowerCase());
      const same = before && keys.every((key) => !(key in line) || before[key] === line[key]);
      const ids = { entryId: v7() };
      const kept = same
        ? accept(null)
        : before
          ? await editMachine(context, {
              ...fieldsOf(before),
              air: before.air,
              heaviestKg: before.heaviestKg,
              ...line,
              ...ids,
              machineId: before.id,
            })
          : await addMachine(context, { usageUnit: "hours", ...line, ...ids, id: v7(), stages: [] });
      fates.push(kept.ok ? accept(before ? (same ? "same" : "changed") : "new") : kept);
    }
    return fates;
  },
  async rows({ pool, person }) {
    const all = await machinesOfWorkshop(pool, person.workshopId);
    return all.map((machine) => keys.map((key) => machine[key]));
  },
};

const fieldsOf = (machine: Machine) => Object.fromEntries(keys.map((key) => [key, machine[key]]));

function read(cells: Cells): Result<Line> {
  return cells.done({
    tag: cells.needed("tag", 30),
    name: cells.needed("name", 80),
    ...cells.had<Omit<Fields, "tag" | "name">>({
      site: ["site", () => cells.text("site", 60)],
      hall: ["hall", () => cells.text("hall", 60)],
      place: ["place", () => cells.text("place", 80)],
      model: ["model", () => cells.text("model", 80)],
      serial: ["serial", () => cells.text("serial", 60)],
      usageUnit: ["meter counts", () => cells.oneOf("meter counts", usageUnits, "hours")],
      units: ["units", () => cells.oneOf("units", ["metric", "inch"] as const, "metric")],
    }),
  });
}
