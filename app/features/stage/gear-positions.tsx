import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { gearPair } from "~/core/gears";
import type { Stage } from "~/core/records";
import { shiftTravel } from "~/core/shifting";
import { asGearPair, positionOf, type Slide, slideOf, switchGears } from "~/core/stages";
import { inGear } from "~/operations/stage-as-read";
import { ShiftEnds } from "../shifting/shift-ends";
import { ShiftPicture } from "../shifting/shift-picture";
import { stageUnit } from "../words/quantity";
import { travelWords } from "../words/shift";
import { lengthWords } from "../words/spoken";

/** The gears of a switchable stage: where each stands, against what it rests, within which limits; and what slides. Nothing on a stage with one gear. */
export function GearPositions({ stage }: { stage: Stage }) {
  const reader = useWords();
  const { element } = stage.geometry;
  const gears = switchGears(element);
  if (gears.length === 0) return null;
  const { range } = stageUnit(reader, element);
  const slide = slideOf(element);
  return (
    <section aria-labelledby="gears" className="grid gap-3">
      <h2 id="gears" className="text-xl font-bold">
        Gears
      </h2>
      <table className="w-full text-left" aria-labelledby="gears">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pr-2">Gear</th>
            <th className="pr-2">Centres</th>
            <th className="pr-2">Limits</th>
            <th>Rests on</th>
          </tr>
        </thead>
        <tbody>
          {gears.map(({ name, teeth }) => {
            const read = inGear(stage, name);
            const pair = asGearPair(read.geometry.element)?.pair;
            const mesh = pair && gearPair(pair);
            const stop = positionOf(element, name)?.stop;
            return (
              <tr key={name} className="border-b border-rule align-top">
                <th className="py-2 pr-2 font-semibold">
                  {name} <span className="figure font-normal">{teeth.join(" : ")}</span>
                </th>
                <td className="figure py-2 pr-2">
                  {mesh?.ok ? lengthWords(reader, mesh.value.centreDistanceMm, 2) : "–"}
                </td>
                <td className="figure py-2 pr-2">
                  {read.limits ? range(read.limits.lo, read.limits.hi) : "not known"}
                </td>
                <td className="py-2">
                  {stop
                    ? `${stop.by}${stop.thicknessMm === null ? ", not measured" : ` ${lengthWords(reader, stop.thicknessMm, 2)}`}`
                    : "no stop"}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {slide && <Sliding slide={slide} />}
    </section>
  );
}

function Sliding({ slide }: { slide: Slide }) {
  const reader = useWords();
  const found = shiftTravel(slide.travel);
  const { actuator } = slide;
  const f = (value: number) => formatNumber(reader, value, Number.isInteger(value) ? 0 : 1);
  return (
    <div className="grid gap-2">
      <ShiftPicture {...slide.travel} />
      {found.ok && (
        <>
          <p className="text-lg">
            {travelWords(reader, found.value, [`stop of ${slide.left}`, `stop of ${slide.right}`])}.
          </p>
          <ShiftEnds ends={[found.value.left, found.value.right]} named={[slide.left, slide.right]} />
        </>
      )}
      {actuator && (
        <p>
          Shifted by a {actuator.by}: {f(actuator.left)} {actuator.unit} at {slide.left}, {f(actuator.right)}{" "}
          {actuator.unit} at {slide.right}
          {actuator.ends && `; its own ends are ${f(actuator.ends[0])} and ${f(actuator.ends[1])}`}.
        </p>
      )}
    </div>
  );
}
