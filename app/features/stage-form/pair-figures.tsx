import type { ReactNode } from "react";
import { gearPair, type PairGeometry, unwiseIn } from "~/core/gears";
import { formatNumber } from "~/core/quantity";
import { commonScale, PairDrawing, pairSize } from "../stage/pair-drawing";
import { refusalWords } from "../words/refusal";
import { unwiseWords } from "../words/unwise";
import { useForm } from "./text-field";
import { readParts } from "./texts";

/** The pair to scale and what follows from it: so that a slip in a figure is seen before it is saved. */
export function PairFigures({ pair }: { pair: PairGeometry | null }) {
  const { fields } = useForm();
  if (!pair)
    return (
      <p className="text-lg text-mid self-start border-l-4 border-rule pl-4">
        Teeth, pitch and centre distance draw the pair here, to scale, and say what follows from them.
      </p>
    );
  const mesh = gearPair(pair);
  if (!mesh.ok)
    return (
      <p role="status" className="text-lg font-semibold text-outside self-start border-l-4 border-outside pl-4">
        {refusalWords(mesh.refusal)}
      </p>
    );
  const size = pairSize(pair);
  const {
    backlash,
    backlashPerCentreMm,
    transverseContactRatio,
    workingPressureAngleDeg,
    zeroBacklashCentreDistanceMm,
  } = mesh.value;
  const warnings = unwiseIn(pair, readParts(fields.texts).value ?? {});
  const f = (value: number, decimals = 3) => formatNumber(value, decimals);
  return (
    <section aria-label="The pair" className="self-start grid gap-3">
      {size && (
        <div className="bg-panel p-3 grid place-items-center">
          <PairDrawing pair={pair} scale={commonScale([size], 440, 260)} label="The pair to scale" />
        </div>
      )}
      <ul aria-label="Unwise" className="grid gap-1">
        {warnings.map((warning) => (
          <li key={JSON.stringify(warning)} className="border-l-4 border-near pl-3">
            {unwiseWords(warning)} It is saved all the same, and recorded.
          </li>
        ))}
      </ul>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        <Figure name="Ratio">{f(mesh.value.ratio, 3)}</Figure>
        <Figure name="Pitch circles">
          {f(mesh.value.workingPitchDiameterMm[0], 2)} and {f(mesh.value.workingPitchDiameterMm[1], 2)} mm, working
        </Figure>
        <Figure name="Tips">
          {f(mesh.value.tipDiameterMm[0], 2)} and {f(mesh.value.tipDiameterMm[1], 2)} mm
        </Figure>
        <Figure name="Backlash there">
          {f(backlash.circumferentialMm)} mm at the pitch circle; none at centres {f(zeroBacklashCentreDistanceMm)} mm
        </Figure>
        <Figure name="A tenth of centres">
          {f(Math.abs(backlashPerCentreMm) / 10)} mm of backlash (2·tan {f(workingPressureAngleDeg, 2)}°, ISO 21771)
        </Figure>
        <Figure name="Contact ratio">{f(transverseContactRatio, 2)}</Figure>
      </dl>
    </section>
  );
}

function Figure({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-mid">{name}</dt>
      <dd className="figure">{children}</dd>
    </>
  );
}
