import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import { type Engagement, engagements, shiftsRight } from "~/core/logbook";
import { parseQuantity, type Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { shiftTravel } from "~/core/shifting";
import { type Slide, slideOf } from "~/core/stages";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { ShiftEnds } from "../../shifting/shift-ends";
import { ShiftPicture } from "../../shifting/shift-picture";
import { refusalWords } from "../../words/refusal";
import { shiftWords, travelWords } from "../../words/shift";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

const sides = ["left", "right"] as const;

/** A sliding gear: where it stands against either stop, whether its whole face meets there, and how each gear goes in. */
export function ShiftPane({ stage }: { stage: Stage }) {
  const slide = slideOf(stage.geometry.element);
  return slide && <Shift slide={slide} />;
}

function Shift({ slide }: { slide: Slide }) {
  const reader = useWords();
  const { job } = useJobScreen();
  const texts = useTexts();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const text = (name: string) => texts[`shift.${name}`] ?? "";
  const typed = sides.map((side) => parseQuantity(text(`stop.${side}`), "length", "mm"));
  const [left, right] = typed.map((read) => (read.ok ? read.value.value : null));
  const stops = left != null && right != null && left < right ? { leftMm: left, rightMm: right } : null;
  const found = stops && shiftTravel({ ...slide.travel, stops });
  const how = (side: "left" | "right") => engagements.find((known) => known === text(`how.${side}`)) ?? null;
  const wrong = (part: string, side: string) =>
    problem?.path[0] === part && problem.path[1] === side ? refusalWords(reader, problem) : undefined;
  const field = (part: "stop" | "actuator", side: "left" | "right") => ({
    value: text(`${part}.${side}`),
    autoComplete: "off",
    inputMode: "decimal" as const,
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
      setProblem(null);
      job.changeText(`shift.${part}.${side}`, event.target.value);
    },
    error: wrong(part === "stop" ? "stops" : part, side),
  });
  const log = async () => {
    const engaged = sides.flatMap((side): { gear: string; how: Engagement }[] => {
      const word = how(side);
      return word ? [{ gear: slide[side], how: word }] : [];
    });
    const result = await job.put({
      kind: "shift",
      stops: { left: text("stop.left"), right: text("stop.right") },
      engaged,
      actuator: { left: text("actuator.left"), right: text("actuator.right") },
      note: text("note"),
    });
    setProblem(result.ok ? null : result.refusal);
    if (!result.ok) return;
    for (const side of sides)
      for (const part of ["stop", "how", "actuator"]) job.changeText(`shift.${part}.${side}`, "");
    job.changeText("shift.note", "");
  };
  const last = job.record.shift;
  const actuator = slide.actuator;
  return (
    <div className="grid gap-3 py-2">
      <ShiftPicture {...slide.travel} {...(stops ? { stops } : {})} />
      <p className="text-mid">
        Push it against each stop at working force, and measure where it stands along the shaft. Entered are{" "}
        {slide.travel.stops.leftMm} and {slide.travel.stops.rightMm} mm.
      </p>
      <div className="grid grid-cols-2 gap-3">
        {sides.map((side) => (
          <Field
            key={side}
            label={`At the stop of ${slide[side]}`}
            hint="slide position, mm"
            {...field("stop", side)}
          />
        ))}
      </div>
      {found?.ok && (
        <div role="status" className="grid gap-2">
          <p className="text-lg font-semibold">
            {travelWords(reader, found.value, [`stop of ${slide.left}`, `stop of ${slide.right}`])}.
          </p>
          <ShiftEnds ends={[found.value.left, found.value.right]} named={[slide.left, slide.right]} />
        </div>
      )}
      {sides.map((side) => (
        <Select
          key={side}
          label={`How ${slide[side]} goes in`}
          value={how(side) ?? ""}
          onChange={(event) => job.changeText(`shift.how.${side}`, event.target.value)}
        >
          <option value="">not tried</option>
          {engagements.map((word) => (
            <option key={word} value={word}>
              {word}
            </option>
          ))}
        </Select>
      ))}
      {sides.some((side) => how(side) === "tooth on tooth") && (
        <p className="border-l-4 border-near pl-3">
          Tooth on tooth: let one side turn slowly, by hand or driven, while the other is pushed in; a spring in the
          lever waits for the gap (common practice). Never force it.
        </p>
      )}
      {actuator && (
        <div className="grid grid-cols-2 gap-3">
          {sides.map((side) => (
            <Field
              key={side}
              label={`${actuatorNames[actuator.by]} at ${slide[side]}`}
              hint={`${actuator.unit}; entered ${actuator[side]}`}
              {...field("actuator", side)}
            />
          ))}
          {actuator.ends && (
            <p className="col-span-full text-mid">
              Its own ends are {actuator.ends[0]} and {actuator.ends[1]} {actuator.unit}: the stops have to be met
              before either.
            </p>
          )}
        </div>
      )}
      {problem && !["stops", "actuator"].includes(String(problem.path[0])) && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, problem)}
        </p>
      )}
      <Button onClick={log}>Log the shift</Button>
      {last && (
        <p className="grid gap-1">
          <StateMark state={shiftsRight(last.body) ? "inside" : "outside"} word={shiftWords(reader, last.body).title} />
          <span>{shiftWords(reader, last.body).detail}</span>
        </p>
      )}
    </div>
  );
}

const actuatorNames: Record<NonNullable<Slide["actuator"]>["by"], string> = {
  lever: "Lever",
  servo: "Servo",
  cylinder: "Cylinder",
};
