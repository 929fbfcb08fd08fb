import { circleOrder, pointsOrder } from "~/core/fastening";
import { ClampPoints } from "../clamps/clamp-points";
import { readClampPoints } from "../clamps/read-clamps";
import { ChoiceField } from "../form/choice-field";
import { TextField } from "../form/text-field";
import { TickField } from "../form/tick-field";
import { useFormTexts } from "../form/use-form-texts";

/** The screws that hold the moving part: where they stand, how far they are drawn, whether they are dressed. */
export function ClampFields() {
  const texts = useFormTexts();
  const points = readClampPoints(texts).value ?? [];
  const free = texts["clamps.way"] === "points";
  return (
    <fieldset className="grid xl:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] gap-x-10 gap-y-4">
      <legend className="text-xl font-bold mb-2">
        Clamps <span className="font-normal text-mid">optional: left empty, none are known</span>
      </legend>
      <div className="grid gap-4 content-start">
        <ChoiceField
          name="clamps.way"
          legend="They stand"
          usual="circle"
          options={[
            { value: "circle", label: "on a circle" },
            { value: "points", label: "point by point" },
          ]}
        />
        {free ? (
          <ClampPoints />
        ) : (
          <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
            <TextField name="clamps.count" label="How many" inputMode="numeric" />
            <TextField name="clamps.circle" label="Bolt circle" hint="diameter, mm" />
            <TextField name="clamps.first" label="First at" hint="degrees from the top" />
          </div>
        )}
        <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
          <TextField name="clamps.size" label="Screw" hint="M6 × 20" />
          <TextField name="clamps.torque" label="Full torque" hint="N·m; empty: not known" />
          <TextField name="clamps.passes" label="Passes" hint="usually 2" inputMode="numeric" />
        </div>
        <ChoiceField
          name="clamps.threads"
          legend="The torque is given for threads that are"
          usual="unsaid"
          options={[
            { value: "unsaid", label: "not said" },
            { value: "dry", label: "dry" },
            { value: "lubricated", label: "oiled or lubricated" },
          ]}
        />
        <TickField name="clamps.compound" label="Dressed with threadlocking compound at the end" />
      </div>
      {points.length > 0 && <ClampPicture points={points} />}
    </fieldset>
  );
}

function ClampPicture({ points }: { points: readonly { x: number; y: number }[] }) {
  const reach = Math.max(...points.flatMap(({ x, y }) => [Math.abs(x), Math.abs(y)]), 1);
  const radii = points.map(({ x, y }) => Math.hypot(x, y));
  const onCircle = points.length > 4 && Math.max(...radii) - Math.min(...radii) < 0.02 * Math.max(...radii);
  const order = onCircle ? circleOrder(points.length) : pointsOrder(points);
  const at = (value: number) => (100 * value) / reach;
  return (
    <figure className="bg-panel p-3 self-start max-w-80">
      <svg
        viewBox="-130 -130 260 260"
        role="img"
        aria-label={`${points.length} clamps, tightened in the order ${order.join(", ")}`}
      >
        <polyline
          points={order.map((clamp) => `${at(points[clamp - 1]?.x ?? 0)},${at(points[clamp - 1]?.y ?? 0)}`).join(" ")}
          className="fill-none stroke-rule"
          strokeWidth="1.5"
          strokeDasharray="4 4"
        />
        {points.map(({ x, y }, i) => (
          <g key={i} transform={`translate(${at(x)} ${at(y)})`}>
            <circle r="17" className="fill-panel stroke-ink" strokeWidth="2" />
            <text y="6" textAnchor="middle" fontSize="17" className="fill-ink figure">
              {i + 1}
            </text>
          </g>
        ))}
      </svg>
      <figcaption>
        Tightened in the order <span className="figure">{order.join(" – ")}</span>.
      </figcaption>
    </figure>
  );
}
