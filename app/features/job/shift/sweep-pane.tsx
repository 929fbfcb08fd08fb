import { useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { type SweepUnit, sweepUnits } from "~/core/logbook";
import { parseNumber, parseQuantity, type Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { allowedRise, forceSweep, meterStep, type SweepPoint } from "~/core/shifting";
import { gearNames } from "~/core/stages";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { SweepPicture } from "../../shifting/sweep-picture";
import { entryWords } from "../../words/entry";
import { refusalWords } from "../../words/refusal";
import { sweepCauseWords, sweepState, sweepWords } from "../../words/sweep";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

const fewest = 5;
const most = 40;

/** The current while the actuator's force is raised in steps: flat where the stop carries it, rising where the mesh does. */
export function SweepPane({ stage }: { stage: Stage }) {
  const reader = useWords();
  const { job } = useJobScreen();
  const texts = useTexts();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const text = (name: string) => texts[`sweep.${name}`] ?? "";
  const gears = gearNames(stage.geometry.element);
  const gear = gears?.find((name) => name === text("gear")) ?? gears?.[0];
  const unit: SweepUnit = sweepUnits.find((known) => known === text("unit")) ?? "N";
  const used = Array.from({ length: most }, (_, i) => i).filter((i) => text(`${i}.force`) || text(`${i}.current`));
  const rows = Math.min(most, Math.max(fewest, (used.at(-1) ?? -1) + 2));
  const points = used.flatMap((i): SweepPoint[] => {
    const force = unit === "N" ? parseQuantity(text(`${i}.force`), "force", "N") : parseNumber(text(`${i}.force`));
    const current = parseQuantity(text(`${i}.current`), "current", "A");
    if (!force.ok || !current.ok) return [];
    return [
      { force: typeof force.value === "number" ? force.value : force.value.value, currentA: current.value.value },
    ];
  });
  const step = meterStep(
    text("step"),
    used.map((i) => text(`${i}.current`)),
  );
  const found = points.length >= 3 && step.ok ? forceSweep(points, allowedRise, step.value) : null;
  const live = job.record.power?.state === "live";
  const field = (name: string, wrong: boolean) => ({
    value: text(name),
    autoComplete: "off",
    inputMode: "decimal" as const,
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
      setProblem(null);
      job.changeText(`sweep.${name}`, event.target.value);
    },
    error: wrong && problem ? refusalWords(reader, problem) : undefined,
  });
  const log = async () => {
    const result = await job.put({
      kind: "sweep",
      gear,
      unit,
      points: used.map((i) => ({ force: text(`${i}.force`), current: text(`${i}.current`) })),
      step: text("step"),
    });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok)
      for (const i of used) for (const name of ["force", "current"]) job.changeText(`sweep.${i}.${name}`, "");
  };
  const wrongAt = (row: number, name: string) =>
    problem?.path[0] === "points" && problem.path[1] === used.indexOf(row) && problem.path[2] === name;
  return (
    <div className="grid gap-4 py-2 max-w-2xl">
      <p className="text-lg">
        Motor turning without load, the gear held in. Raise the force, let the current settle, note both; four steps or
        more. Stay inside what the actuator and the frame are made for.
      </p>
      <div className="flex flex-wrap gap-x-8 gap-y-3">
        {gears && gears.length > 1 && (
          <Choice
            legend="Gear that is held in"
            name="sweep-gear"
            value={gear ?? ""}
            onChange={(name) => job.changeText("sweep.gear", name)}
            options={gears.map((name) => ({ value: name, label: name }))}
          />
        )}
        <Choice
          legend="Force in"
          name="sweep-unit"
          value={unit}
          onChange={(name) => job.changeText("sweep.unit", name)}
          options={sweepUnits.map((value) => ({ value, label: value }))}
        />
      </div>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2">
        {Array.from({ length: rows }, (_, row) => row).map((row) => (
          <div key={row} className="contents">
            <Field label={`Step ${row + 1}, ${unit}`} {...field(`${row}.force`, wrongAt(row, "force"))} />
            <Field label="Current, A" {...field(`${row}.current`, wrongAt(row, "current"))} />
          </div>
        ))}
        <Field
          label="One step of the meter"
          hint="A; empty: the last digit written"
          {...field("step", problem?.path[0] === "step")}
        />
      </div>
      {found?.ok && (
        <div className="grid gap-2" role="status">
          <SweepPicture
            points={points}
            sweep={found.value}
            unit={unit}
            figure={(value, decimals) => formatNumber(reader, value, decimals)}
          />
          <p className="text-lg font-semibold">{sweepWords(reader, found.value)}.</p>
          <p>
            Over these steps the current rises by {formatNumber(reader, found.value.risePercentInterval[0], 1)} to{" "}
            {formatNumber(reader, found.value.risePercentInterval[1], 1)} % (95 %); {allowedRise} % are allowed (common
            practice). {found.value.cause && sweepCauseWords[found.value.cause]}
          </p>
        </div>
      )}
      {found && !found.ok && <p className="font-semibold">{refusalWords(reader, found.refusal)}</p>}
      {!live && <p className="text-lg">It has to be live for this, with the motor turning.</p>}
      {problem && problem.path.length < 3 && problem.path[0] !== "step" && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, problem)}
        </p>
      )}
      <div>
        <Button onClick={log}>Log the steps</Button>
      </div>
      <ul aria-label="Forces raised">
        {job.record.sweeps.map((sweep) => (
          <li key={sweep.id} className="grid min-h-9">
            <StateMark state={sweepState[sweep.body.verdict]} word={entryWords(reader, sweep, stage).title} />
            <span>{entryWords(reader, sweep, stage).detail}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
