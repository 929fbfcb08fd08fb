import { v7 } from "uuid";
import { accept, type Result, refuse } from "../../core/quantity";
import type { StageLimits } from "../../core/records";
import { type MeasuredQuantity, measuredQuantities } from "../../core/stages";
import { machinesOfWorkshop } from "../../data/queries/machines";
import { stagesOfMachines } from "../../data/queries/stages";
import { reviseStage } from "../revise-stage";
import type { Cells } from "./cells";
import type { Sheet } from "./sheet";

const sourceKinds = ["maker", "drawing", "standard", "house rule", "recommended"] as const;

type Line = {
  tag: string;
  stage: string;
  quantity: MeasuredQuantity;
  lo: number;
  aim?: number | null;
  hi: number;
  held?: number | null;
  sourceKind: StageLimits["sourceKind"];
  source: string;
};

/**
 * Limits of the stages, by the machine's tag and the stage's name; each that differs becomes a new revision. Without a column for them, aim
 * and what is held stay as they are.
 */
export const limitsSheet: Sheet<Line> = {
  name: "limits",
  most: 5000,
  columns: [
    { name: "tag", needed: true },
    { name: "stage", needed: true },
    { name: "quantity", needed: true },
    { name: "lower", needed: true, number: true },
    { name: "aim", number: true },
    { name: "upper", needed: true, number: true },
    { name: "held", number: true },
    { name: "source kind", needed: true },
    { name: "source", needed: true },
  ],
  read,
  key: ({ tag, stage }) => `${tag}, ${stage}`,
  async apply(context, lines, tell) {
    const machines = await machinesOfWorkshop(context.pool, context.person.workshopId);
    const stages = await stagesOfMachines(
      context.pool,
      machines.map(({ id }) => id),
    );
    const fates: Result<"new" | "changed" | "same">[] = [];
    for (const [index, line] of lines.entries()) {
      if (index % 50 === 0) await tell(index / lines.length);
      const machine = machines.find(({ tag }) => tag.toLowerCase() === line.tag.toLowerCase());
      const stage = stages.find(
        ({ machineId, name }) => machineId === machine?.id && name.toLowerCase() === line.stage.toLowerCase(),
      );
      if (!machine) fates.push(refuse("no-machine-tagged", ["tag"], { tag: line.tag }));
      else if (!stage) fates.push(refuse("no-stage-named", ["stage"], { name: line.stage }));
      else {
        const { limits: known } = stage;
        const { tag: _, stage: __, ...said } = line;
        const stays = known?.given.quantity === said.quantity ? known.given : { aim: null, held: null };
        const limits = { aim: stays.aim, held: stays.held, ...said };
        const before = known && { ...known.given, sourceKind: known.sourceKind, source: known.source };
        const same =
          before !== null &&
          (Object.keys(limits) as (keyof typeof limits)[]).every((key) => before[key] === limits[key]);
        const input = { what: "limits", entryId: v7(), stageId: stage.id, text: "by CSV", revisionId: v7() };
        const seenRevision = known?.revision ?? 0;
        const kept = same ? accept(null) : await reviseStage(context, { ...input, seenRevision, limits });
        fates.push(kept.ok ? accept(same ? "same" : "changed") : kept);
      }
    }
    return fates;
  },
  async rows({ pool, person }) {
    const machines = await machinesOfWorkshop(pool, person.workshopId);
    const stages = await stagesOfMachines(
      pool,
      machines.map(({ id }) => id),
    );
    return stages.flatMap(({ machineId, name, limits }) =>
      limits
        ? [
            [
              machines.find(({ id }) => id === machineId)?.tag ?? "",
              name,
              limits.given.quantity,
              limits.given.lo,
              limits.given.aim ?? "",
              limits.given.hi,
              limits.given.held ?? "",
              limits.sourceKind,
              limits.source,
            ],
          ]
        : [],
    );
  },
};

function read(cells: Cells): Result<Line> {
  const figure = (column: string): number => {
    const value = cells.number(column);
    if (value === null) cells.wrong("missing", column);
    return value ?? 0;
  };
  const line: Line = {
    tag: cells.needed("tag", 30),
    stage: cells.needed("stage", 80),
    quantity: cells.oneOf("quantity", measuredQuantities, "circumferential-backlash"),
    lo: figure("lower"),
    ...cells.had<{ aim: number | null; held: number | null }>({
      aim: ["aim", () => cells.number("aim")],
      held: ["held", () => cells.number("held")],
    }),
    hi: figure("upper"),
    sourceKind: cells.oneOf("source kind", sourceKinds, "house rule"),
    source: cells.needed("source", 200),
  };
  if (line.lo > line.hi) cells.wrong("window-upside-down", "lower");
  if (typeof line.aim === "number" && (line.aim < line.lo || line.aim > line.hi)) cells.wrong("aim-outside", "aim");
  return cells.done(line);
}
