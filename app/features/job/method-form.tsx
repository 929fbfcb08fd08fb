import type { Sense } from "~/core/logbook";
import { formatNumber, parseQuantity } from "~/core/quantity";
import { type MeasuredQuantity, measuredQuantities, typedRound } from "~/core/rounds";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import { Choice, Field } from "~/ui/field";
import { refusalWords } from "../words/refusal";

export type Method = {
  quantity: MeasuredQuantity;
  instrument: Instrument;
  indicatorRadiusMm: number | null;
  indicatorAngleDeg: number;
  temperatureC: number | null;
  sense: Sense;
  bareUnit: "mm" | "thou" | "in";
};

/** How it is read, from the texts of the form; what cannot be understood counts as left out, and the form says so. */
export function methodOf(texts: Record<string, string>, instruments: readonly Instrument[]): Method {
  const chosen = instruments.find((instrument) => instrument.id === texts["method.instrument"]);
  const fallback = instruments.find((instrument) => instrument.kind === "lever indicator") ?? instruments[0];
  if (!fallback) throw new Error("no instrument in this workshop");
  const value = (name: string, dimension: "length" | "angle" | "temperature", bare: string) => {
    const parsed = parseQuantity(texts[name] ?? "", dimension, bare);
    return parsed.ok ? parsed.value.value : null;
  };
  const radius = value("method.radius", "length", "mm");
  const angle = value("method.angle", "angle", "deg");
  return {
    quantity:
      measuredQuantities.find((quantity) => quantity === texts["method.quantity"]) ?? "circumferential-backlash",
    instrument: chosen ?? fallback,
    indicatorRadiusMm: radius !== null && radius > 0 ? radius : null,
    indicatorAngleDeg: angle !== null && Math.abs(angle) < 60 ? angle : 0,
    temperatureC: value("method.temperature", "temperature", "C"),
    sense: texts["method.sense"] === "counter-clockwise" ? "counter-clockwise" : "clockwise",
    bareUnit: texts["method.unit"] === "thou" || texts["method.unit"] === "in" ? texts["method.unit"] : "mm",
  };
}

/** The part of a method that goes with a round into the logbook. */
export const methodInput = (method: Method) => ({
  quantity: method.quantity,
  instrumentId: method.instrument.id,
  indicatorRadiusMm: method.indicatorRadiusMm,
  indicatorAngleDeg: method.indicatorAngleDeg,
  temperatureC: method.temperatureC,
  sense: method.sense,
});

const quantityWords: Record<MeasuredQuantity, { name: string; worth: string }> = {
  "circumferential-backlash": {
    name: "Rim's free way, indicator",
    worth: "The best there is on an installed gear; the tip square to the flank, the other gear held.",
  },
  "normal-backlash": {
    name: "Feeler between the flanks",
    worth:
      "Good where the feeler lies flat; it is shorter than the free way at the pitch circle, and that is taken into account.",
  },
  "tip-clearance": {
    name: "Pin or feeler, tip to root",
    worth:
      "Rough: real tips and roots stray by half a tenth (common practice), and all of that goes into the backlash.",
  },
};

/** What one reading by this method is worth, as it is now set up. */
function worthWords(stage: Stage, method: Method): string {
  const values = typedRound(stage.geometry.pair, method.instrument, method, []);
  const sure = values.ok ? `±${formatNumber(values.value.expandedUncertaintyMm, 3)} mm of backlash. ` : "";
  return `${sure}${quantityWords[method.quantity].worth}`;
}

/** Instrument, where its tip stands, temperature, sense of counting: what a reading must say about itself. */
export function MethodForm({
  stage,
  texts,
  instruments,
  onText,
}: {
  stage: Stage;
  texts: Record<string, string>;
  instruments: readonly Instrument[];
  onText: (name: string, text: string) => void;
}) {
  const method = methodOf(texts, instruments);
  const field = (name: string) => ({
    value: texts[name] ?? "",
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => onText(name, event.target.value),
    autoComplete: "off",
  });
  const problem = (name: string, dimension: "length" | "angle" | "temperature", bare: string) => {
    const typed = texts[name] ?? "";
    const parsed = parseQuantity(typed, dimension, bare);
    return typed === "" || parsed.ok ? undefined : refusalWords(parsed.refusal);
  };
  return (
    <details className="border-t border-rule pt-1 shrink-0">
      <summary className="min-h-11 content-center cursor-pointer">
        <b>{method.instrument.name}</b>,{" "}
        {method.quantity !== "circumferential-backlash"
          ? quantityWords[method.quantity].name.toLowerCase()
          : method.indicatorRadiusMm
            ? `at ${method.indicatorRadiusMm} mm`
            : "at the pitch circle"}
        {method.temperatureC === null ? "" : `, ${Math.round(method.temperatureC)} °C`}
      </summary>
      <div className="grid gap-3 py-2">
        <label className="block">
          <span className="block font-semibold mb-1">What is measured</span>
          <select
            className="w-full min-h-12 px-2 bg-panel border-2 border-ink text-lg"
            value={method.quantity}
            onChange={(event) => onText("method.quantity", event.target.value)}
          >
            {measuredQuantities.map((quantity) => (
              <option key={quantity} value={quantity}>
                {quantityWords[quantity].name}
              </option>
            ))}
          </select>
        </label>
        <p>
          <b>Worth:</b> {worthWords(stage, method)}
        </p>
        <label className="block">
          <span className="block font-semibold mb-1">Instrument</span>
          <select
            className="w-full min-h-12 px-2 bg-panel border-2 border-ink text-lg"
            value={method.instrument.id}
            onChange={(event) => onText("method.instrument", event.target.value)}
          >
            {instruments.map((instrument) => (
              <option key={instrument.id} value={instrument.id}>
                {instrument.name}
              </option>
            ))}
          </select>
        </label>
        {method.quantity === "circumferential-backlash" && (
          <>
            <Field
              label="Tip at radius"
              hint="Empty: at the working pitch circle"
              {...field("method.radius")}
              error={problem("method.radius", "length", "mm")}
            />
            <Field
              label="Inclined by"
              hint="Degrees off the motion; keep below 10"
              {...field("method.angle")}
              error={problem("method.angle", "angle", "deg")}
            />
          </>
        )}
        <Field
          label="Temperature"
          hint="°C, or with °F"
          {...field("method.temperature")}
          error={problem("method.temperature", "temperature", "C")}
        />
        <Choice
          legend="Teeth counted"
          name="sense"
          value={method.sense}
          onChange={(sense) => onText("method.sense", sense)}
          options={[
            { value: "clockwise", label: "clockwise" },
            { value: "counter-clockwise", label: "counter-clockwise" },
          ]}
        />
      </div>
    </details>
  );
}
